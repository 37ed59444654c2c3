// Tells whether what is built is still what the sources say. Imports as little as it can: every start of the command line asks.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const at = (...parts) => join(root, ...parts);

const CLI = ['src/core', 'src/cli', 'vite.cli.config.ts', 'package-lock.json'];
const ALL = ['src', 'scripts', 'vite.config.ts', 'vite.cli.config.ts', 'package-lock.json'];

/** The sources that something is built from: path, size and time of change of each. */
function sources(names) {
  const lines = [];
  const add = (path, { size, mtimeMs }) => lines.push(`${path} ${size} ${mtimeMs}`);
  const visit = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
      a.name < b.name ? -1 : 1,
    )) {
      const path = `${folder}/${entry.name}`;
      if (entry.isDirectory()) visit(path);
      else if (!entry.name.includes('.test.')) add(path, statSync(path));
    }
  };
  for (const name of names) {
    const path = at(name);
    const stat = statSync(path);
    if (stat.isDirectory()) visit(path);
    else add(path, stat);
  }
  return lines.join('\n');
}

/** What is built: the file that says from which sources, and those sources as they stand. */
const application = { stamp: at('dist', '.built-from'), names: ALL };
const commandLine = { stamp: at('dist', 'cli', '.built-from'), names: CLI };
export const BUILT = { application, commandLine };

/** The interface is built with the words of a translation where one is named. */
function wordsOf() {
  const named = process.env['WORDS'];
  if (!named) return '';
  const { size, mtimeMs } = statSync(named);
  return `\nwords ${named} ${size} ${mtimeMs}`;
}

export const sourcesOf = ({ names }) => sources(names) + (names === ALL ? wordsOf() : '');

/** Whether something was built from the sources as they stand. */
export function isBuilt({ stamp, names }) {
  try {
    return readFileSync(stamp, 'utf8') === sources(names);
  } catch {
    return false;
  }
}
