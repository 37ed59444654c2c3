import { setFlagsFromString } from 'node:v8';
import { BUILT, isBuilt } from '../scripts/sources.mjs';
import { loadBuilt } from './built.mjs';

// One file is read before anything would pay for being compiled twice; a folder of them is long enough to earn it.
setFlagsFromString('--interrupt-budget=1000000');

/** A part of the command line: as it was built, which starts at once; from its sources where they were changed since. */
export async function load(name) {
  if (isBuilt(BUILT.commandLine)) return loadBuilt(name);
  const { register } = await import('tsx/esm/api');
  register();
  return import(`../src/cli/${name}.ts`);
}
