// The command line as it was built: its files are CommonJS, and what the engine made of them lies beside them, so that a
// start reads code that is compiled instead of compiling a megabyte.
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, resolve } from 'node:path';
import { Script } from 'node:vm';
import { crc32 } from 'node:zlib';
import { at } from '../scripts/sources.mjs';

const compiled = (file) => `${file}.compiled`;

/** Before what is kept stands the checksum of it and of the source: the engine takes damaged code on trust and falls. */
const SUM = 4;
const sumOf = (source, code) => crc32(code, crc32(source));

/** What the engine made of a file at the last build; a start without it is slower and nothing else. */
function compiledBefore(file, source) {
  try {
    const kept = readFileSync(compiled(file));
    const code = kept.subarray(SUM);
    return kept.readUInt32LE(0) === sumOf(source, code) ? code : undefined;
  } catch {
    return undefined;
  }
}

const modules = new Map();

function load(file) {
  const known = modules.get(file);
  if (known) return known.module.exports;
  const module = { exports: {} };
  const source = readFileSync(file);
  // The engine refuses what another version of it made, or the same one under other flags.
  const script = new Script(`(function (exports, require, module, __filename, __dirname) {${source}\n})`, {
    filename: file,
    cachedData: compiledBefore(file, source),
  });
  modules.set(file, { module, script, source });
  const folder = dirname(file);
  const require = createRequire(file);
  script.runInThisContext()(
    module.exports,
    (name) => (name.startsWith('.') ? load(resolve(folder, name)) : require(name)),
    module,
    file,
    folder,
  );
  return module.exports;
}

/** What a file of the built command line exports. */
export const loadBuilt = (name) => load(join(at('dist', 'cli'), `${name}.cjs`));

/** Keeps what the engine made of all that was loaded in this process, what ran of it compiled whole. */
export function keepCompiled() {
  for (const [file, { script, source }] of modules) {
    const half = `${compiled(file)}.half`;
    const code = script.createCachedData();
    const sum = Buffer.alloc(SUM);
    sum.writeUInt32LE(sumOf(source, code));
    writeFileSync(half, Buffer.concat([sum, code]));
    renameSync(half, compiled(file));
  }
}
