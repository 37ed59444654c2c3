import { isBuilt } from '../scripts/prepare.mjs';

/** A part of the command line: as it was built, which starts at once; from its sources where they were changed since. */
export async function load(name) {
  if (isBuilt()) return import(`../dist/cli/${name}.js`);
  const { register } = await import('tsx/esm/api');
  register();
  return import(`../src/cli/${name}.ts`);
}
