// Writes the service worker beside the built application, with the list of all files and a version that is their digest.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';

const web = join(root, 'dist', 'web');
const hash = createHash('sha256');
const files = [];
const visit = (folder, path) => {
  for (const name of readdirSync(folder).sort()) {
    const place = join(folder, name);
    if (statSync(place).isDirectory()) {
      if (name !== '.vite') visit(place, `${path}${name}/`);
    } else if (name !== 'service-worker.js' && !name.endsWith('.map')) {
      hash.update(path + name).update(readFileSync(place));
      if (name !== 'index.html') files.push(path + name);
    }
  }
};
visit(web, '/');
const template = readFileSync(join(root, 'src', 'web', 'service-worker.js'), 'utf8');
writeFileSync(
  join(web, 'service-worker.js'),
  template
    .replace('__FILES__', JSON.stringify(files))
    .replace('__VERSION__', hash.digest('hex').slice(0, 16)),
);
