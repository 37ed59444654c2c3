// Sets up what is missing: checks Node, installs packages, builds. Nothing but Node's own modules is imported here.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { at, BUILT, isBuilt, root, sourcesOf } from './sources.mjs';

export { root };

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

export function build() {
  if (isBuilt(BUILT.application) && isBuilt(BUILT.commandLine)) return;
  const wanted = [BUILT.application, BUILT.commandLine].map((part) => [part.stamp, sourcesOf(part)]);
  console.error('Building...');
  const vite = [at('node_modules', 'vite', 'bin', 'vite.js'), 'build', '--logLevel', 'warn'];
  if (!run(process.execPath, vite)) fail('The application could not be built; the lines above say why.');
  if (!run(process.execPath, [...vite, '--config', 'vite.cli.config.ts']))
    fail('The command line could not be built; the lines above say why.');
  if (!run(process.execPath, [at('scripts', 'compile-command-line.mjs')]))
    fail('The command line could not be tried; the lines above say why.');
  if (!run(process.execPath, [at('scripts', 'build-service-worker.mjs')]))
    fail('The service worker could not be written; the lines above say why.');
  if (!run(process.execPath, [at('scripts', 'build-demo.mjs')]))
    fail('The demo data could not be built; the lines above say why.');
  mkdirSync(at('dist'), { recursive: true });
  for (const [stamp, from] of wanted) writeFileSync(stamp, from);
}
