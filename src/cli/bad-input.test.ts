import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const BIN = join(import.meta.dirname, '../../bin/dune-sparrow');
const GOOD = '---\ntitle: Tides\nkeyword: tide table\n---\n\nA tide table has two columns.\n';
const docx = zipSync({ 'word/document.xml': strToU8('<w:document/>') });

/** Files as nobody should send them, and what is said of each; null: a normal report. */
const FILES: Record<string, [content: string | Uint8Array, said: RegExp | null]> = {
  'good.md': [GOOD, null],
  'alias-bomb.md': [
    `---\n${'abcdefg'
      .split('')
      .map((name, at, all) => `${name}: &${name} [${Array(9).fill(at ? `*${all[at - 1]}` : 'x')}]`)
      .join('\n')}\n---\n\nText.`,
    /alias-bomb.md: The front matter could not be read; it was left out/,
  ],
  'prototype.md': ['---\n__proto__:\n  polluted: true\nconstructor: x\ntitle: P\n---\n\nText.', null],
  'deep-yaml.md': [`---\na: ${'['.repeat(20_000)}\n---\n\nText.`, /front matter is not valid YAML/],
  'binary.txt': [
    Uint8Array.from({ length: 5000 }, (_v, at) => (at * 7919) % 251),
    /binary.txt cannot be read/,
  ],
  'picture.md': [Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10]), /it is a PNG picture/],
  'truncated.docx': [docx.slice(0, docx.length / 2), /truncated.docx cannot be read: the file is damaged/],
  'bomb.docx': [zipSync({ 'word/document.xml': new Uint8Array(40_000_000) }), /bomb.docx cannot be read/],
  'invalid.md': [Uint8Array.from([0x41, 0xff, 0xfe, 0x42]), /not valid UTF-8/],
  'nul.txt': ['a\0b of words', /1 NUL character was left out/],
  'nested.html': [
    `${'<div>'.repeat(10_000)}deep`,
    /nested.html cannot be read: its markup is nested too deeply/,
  ],
  'nested.md': [`${'> '.repeat(10_000)}deep`, /nested.md cannot be read/],
  'line.txt': ['word '.repeat(10_000_000), /line.txt cannot be read: it holds 50.0 MB of text/],
  'title.md': [`---\ntitle: ${'A long title '.repeat(80_000)}\n---\n\nText.`, null],
  'keyword.md': [`---\nkeyword: ${'bike tour '.repeat(1000)}\n---\n\n${'A bike tour. '.repeat(500)}`, null],
  'right-to-left.md': ['---\ntitle: "abc\u202egnp.exe"\n---\n\nText \u202e turned.', null],
  'surrogates.html': ['<p>&#xD800; and &#xDC00; stand alone</p>', null],
  'footnotes.md': [`${'[^1]'.repeat(60_000)}\n\n[^1]: x`, /footnotes.md cannot be read/],
};

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'bad-input-'));
  for (const [name, [content]] of Object.entries(FILES)) writeFileSync(join(folder, name), content);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const run = (...args: string[]) =>
  spawnSync(process.execPath, [BIN, 'score', ...args], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    // Beyond this the process is killed and the test fails.
    env: { ...process.env, NODE_OPTIONS: '--max-old-space-size=1200' },
  });

describe('a folder of files as nobody should send them', () => {
  it('gives a report or one clear line for each, exit 2, and the good ones whole', () => {
    const { status, stdout, stderr } = run(folder, '--json');
    expect(status).toBe(2);
    const lines = stderr.trim().split('\n');
    expect(lines.filter((line) => !line.startsWith('dune-sparrow: '))).toEqual([]);
    const reports = JSON.parse(stdout) as { file: string; score: number }[];
    const reported = new Map(reports.map((report) => [report.file.slice(folder.length + 1), report]));
    for (const [name, [, said]] of Object.entries(FILES)) {
      const own = lines.filter((line) => line.includes(name));
      if (said === null) expect([name, own]).toEqual([name, []]);
      else expect(own.join('\n')).toMatch(said);
      expect([name, reported.has(name)]).toEqual([name, !/cannot be read/.test(own.join())]);
    }
    const alone = JSON.parse(run(join(folder, 'good.md'), '--json').stdout);
    const facts = (report: unknown) => (report as { facts: { keyword: unknown } }).facts.keyword;
    expect(facts(reported.get('good.md'))).toEqual(facts(alone));
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  }, 300_000);
  it('prints no characters that turn a line', () => {
    const { stdout } = run(join(folder, 'right-to-left.md'));
    expect(stdout).toContain('right-to-left.md');
    expect(stdout).not.toMatch(/[\u202a-\u202e]/);
  }, 120_000);
  it('a folder without posts says so', () => {
    const empty = join(folder, 'media');
    mkdirSync(empty);
    const { status, stderr } = run(empty);
    expect([status, stderr.trim()]).toEqual([2, expect.stringContaining('holds no post')]);
  }, 120_000);
});
