import { execFile } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const start = promisify(execFile);

/** The built command line in a folder of its own, so that what lies beside it can be damaged. */
let folder = '';
const compiled = () => join(folder, 'dist/cli/main.cjs.compiled');

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'started-'));
  for (const part of ['bin', 'scripts/sources.mjs', 'dist/cli', 'package.json'])
    cpSync(part, join(folder, part), { recursive: true });
  writeFileSync(
    join(folder, 'post.md'),
    '# Low tide\n\nWe rode over the sand at low tide and had bread at the mill.\n',
  );
  writeFileSync(
    join(folder, 'start.mjs'),
    `import { loadBuilt } from './bin/built.mjs';
     await loadBuilt('main').main(['score', 'post.md', '--json']);`,
  );
});
afterAll(() => rmSync(folder, { recursive: true }));

const report = async () => (await start(process.execPath, ['start.mjs'], { cwd: folder })).stdout;

describe('a start of the built command line', () => {
  it('says the same with its compiled code damaged, cut short or gone', async () => {
    const whole = await report();
    expect(JSON.parse(whole).score).toBeGreaterThan(0);
    copyFileSync(compiled(), join(folder, 'kept'));
    const bytes = readFileSync(compiled());
    for (let at = 3000; at < bytes.length; at += 5000) bytes[at] ^= 0x55;
    writeFileSync(compiled(), bytes);
    expect(await report()).toBe(whole);
    copyFileSync(join(folder, 'kept'), compiled());
    truncateSync(compiled(), 5000);
    expect(await report()).toBe(whole);
    rmSync(compiled());
    expect(await report()).toBe(whole);
  });
});
