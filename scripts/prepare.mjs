// Sets up what is missing: checks Node, installs packages, builds. Nothing but Node's own modules is imported here.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const at = (...parts) => join(root, ...parts);

export function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  fail(
    `Dune Sparrow needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and try again.`,
  );
}

function run(command, args) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2] });
  return !error && status === 0;
}

const sameAs = (stamp, value) => existsSync(stamp) && readFileSync(stamp, 'utf8') === value;

export function install() {
  const stamp = at('node_modules', '.dune-sparrow-installed');
  const wanted = createHash('sha256')
    .update(readFileSync(at('package-lock.json')))
    .digest('hex');
  if (sameAs(stamp, wanted)) return;
  console.error('Installing packages (once, about a minute)...');
  if (!run('npm', ['ci', '--no-audit', '--no-fund']))
    fail('The packages could not be installed: `npm ci` failed. Check the network and try again.');
  writeFileSync(stamp, wanted);
}

/** A fingerprint of every source that the build reads: path, size and time of change. */
function sources() {
  const hash = createHash('sha256');
  const visit = (path) => {
    const stat = statSync(path);
    if (stat.isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else if (!path.includes('.test.')) hash.update(`${path} ${stat.size} ${stat.mtimeMs}\n`);
  };
  for (const name of ['src', 'scripts', 'vite.config.ts', 'vite.cli.config.ts', 'package-lock.json'])
    visit(at(name));
  return hash.digest('hex');
}

const BUILT_FROM = at('dist', '.built-from');

/** Whether what is built was built from the sources as they stand. */
export const isBuilt = () => existsSync(BUILT_FROM) && sameAs(BUILT_FROM, sources());

export function build() {
  const wanted = sources();
  if (sameAs(BUILT_FROM, wanted)) return;
  console.error('Building...');
  const vite = [at('node_modules', 'vite', 'bin', 'vite.js'), 'build', '--logLevel', 'warn'];
  if (!run(process.execPath, vite)) fail('The application could not be built; the lines above say why.');
  if (!run(process.execPath, [...vite, '--config', 'vite.cli.config.ts']))
    fail('The command line could not be built; the lines above say why.');
  if (!run(process.execPath, [at('scripts', 'build-service-worker.mjs')]))
    fail('The service worker could not be written; the lines above say why.');
  if (!run(process.execPath, [at('scripts', 'build-demo.mjs')]))
    fail('The demo data could not be built; the lines above say why.');
  mkdirSync(at('dist'), { recursive: true });
  writeFileSync(BUILT_FROM, wanted);
}
