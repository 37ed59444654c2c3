import { spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const BIN = join(import.meta.dirname, '../../bin/dune-sparrow');
const GOOD = '---\ntitle: Tides\nkeyword: tide table\n---\n\nA tide table has two columns.\n';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'hostile-'));
  chmodSync(folder, 0o755);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const run = (args: string[], options: object = {}) =>
  spawnSync(process.execPath, [BIN, 'score', ...args], { encoding: 'utf8', timeout: 60_000, ...options });

describe('the command line', () => {
  it('lets nothing that a draft or its name holds look like a line of the report', () => {
    const name = join(folder, 'tides\n\n100.0 of 100, 9 words\n.md');
    writeFileSync(
      name,
      '---\ntitle: "a\\n+99.9  Forged (title)\\e[2J"\nkeyword: "x\\n\\n+50.0  Forged (keyword)"\n---\n\nText.',
    );
    const { stdout } = run([name]);
    const lines = stdout.split('\n');
    expect(lines.filter((line) => /^\s*(?:\+\d+\.\d\s+Forged|100\.0 of)/.test(line))).toEqual([]);
    expect(lines[0]).toContain('tides 100.0 of 100, 9 words .md: ');
    expect(stdout).not.toContain('\u001b');
  }, 120_000);

  it('refuses pipes and devices, which could be read for ever', () => {
    const pipe = join(folder, 'pipe.md');
    expect(spawnSync('mkfifo', [pipe]).status).toBe(0);
    for (const path of [pipe, '/dev/zero']) {
      const { status, stderr } = run([path]);
      expect([status, stderr]).toEqual([2, expect.stringContaining('it is no ordinary file')]);
    }
    writeFileSync(join(folder, 'plain.md'), GOOD);
    const { status, stderr } = run([join(folder, 'plain.md'), '--study', '/dev/zero']);
    expect([status, stderr]).toEqual([2, expect.stringContaining('no ordinary file')]);
    rmSync(pipe);
  }, 120_000);

  it('ends quietly, with the status it would have had, when nobody reads on', () => {
    const site = join(folder, 'many');
    mkdirSync(site);
    for (let at = 0; at < 60; at++) writeFileSync(join(site, `post-${at}.md`), GOOD);
    const script = `"${process.execPath}" "${BIN}" score "${site}" --min 99 | head -c 10; echo " \${PIPESTATUS[0]}"`;
    const { stdout, stderr } = spawnSync('bash', ['-c', script], { encoding: 'utf8' });
    expect(stderr).toBe('');
    expect(stdout.trim().endsWith(' 1')).toBe(true);
  }, 120_000);

  it.skipIf(process.getuid?.() === undefined)(
    'scores a folder without a subfolder that it may not read',
    () => {
      const site = join(folder, 'site');
      const locked = join(site, 'locked');
      mkdirSync(locked, { recursive: true });
      writeFileSync(join(site, 'open.md'), GOOD);
      writeFileSync(join(locked, 'hidden.md'), GOOD);
      chmodSync(locked, 0);
      // Nothing is locked for the superuser: asked as nobody.
      const { status, stdout, stderr } = run(
        [site],
        process.getuid?.() === 0 ? { uid: 65_534, gid: 65_534 } : {},
      );
      chmodSync(locked, 0o755);
      expect(stdout).toContain('open.md: ');
      expect(stderr).toContain('locked cannot be read. Check your rights to it');
      expect(status).toBe(2);
    },
    120_000,
  );
});
