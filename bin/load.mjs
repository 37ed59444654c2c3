import { existsSync } from 'node:fs';
import { isBuilt } from '../scripts/prepare.mjs';

/** A part of the command line: as it was built, which starts at once; from its sources where they were changed since. */
export async function load(name) {
  const built = new URL(`../dist/cli/${name}.js`, import.meta.url);
  if (existsSync(built) && isBuilt()) return import(built);
  const { register } = await import('tsx/esm/api');
  register();
  return import(`../src/cli/${name}.ts`);
}
