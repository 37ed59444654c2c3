import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv from 'ajv';
import { zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StudyReportJson } from '../core/formats/index.ts';

const validate = new Ajv({ allErrors: true, strict: false }).compile(
  JSON.parse(readFileSync(new URL('../core/formats/study-report.schema.json', import.meta.url), 'utf8')),
);
let folder = '';

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'studied-'));
  mkdirSync(join(folder, 'pages'));
  for (const [at, place] of ['mill', 'quay', 'sluice', 'ferry', 'bridge'].entries())
    writeFileSync(
      join(folder, 'pages', `${at + 1}-${place}.html`),
      `<html lang="en"><head><title>Tide table of the ${place}</title></head><body><article><h1>Reading a tide table</h1>${[
        [
          'High water',
          `By the tide table high water at the ${place} comes ${at + 2} hours late. The ${place} floods, and the causeway by the ${place} is closed.`,
        ],
        [
          'Crossing on foot',
          `Walkers need an hour for the sand before the ${place}; boots and a stick help, and a whistle for fog. Read the tide table of the ${place} twice.`,
        ],
      ]
        .map(([part, text]) => `<h2>${part}</h2>${`<p>${text}</p>`.repeat(4)}`)
        .join('')}</article></body></html>`,
    );
  writeFileSync(
    join(folder, 'questions.txt'),
    'when does high water come | the shop\nhow do you hire a submarine for a tide table\n',
  );
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const run = (...args: string[]): Promise<{ status: number; out: string; err: string }> =>
  new Promise((done) => {
    execFile(
      process.execPath,
      [join(process.cwd(), 'bin/dune-sparrow'), ...args],
      { cwd: folder, maxBuffer: 1 << 28 },
      (error, out, err) => done({ status: error ? Number(error.code) : 0, out, err }),
    );
  });
const studied = async (...args: string[]): Promise<StudyReportJson> => {
  const { out, status, err } = await run('study', ...args, '--query', 'tide table', '--json');
  expect([status, err]).toEqual([0, '']);
  const json = JSON.parse(out);
  expect(validate(json), JSON.stringify(validate.errors)).toBe(true);
  return json;
};

describe('a study on the command line', () => {
  it('is one object of the agreed shape: pages in their order, what they share, questions with the pages that answer', async () => {
    const report = await studied('pages', '--questions', 'questions.txt');
    expect(report).toMatchObject({ version: 1, query: 'tide table', language: 'en' });
    expect(report.pages.map(({ file }) => file)).toEqual([
      'pages/1-mill.html',
      'pages/2-quay.html',
      'pages/3-sluice.html',
      'pages/4-ferry.html',
      'pages/5-bridge.html',
    ]);
    expect(report.pages[0]).toMatchObject({ headings: ['High water', 'Crossing on foot'], leaveOut: null });
    expect(report.topics.map(({ name, pages }) => [name, pages.length])).toEqual([
      ['High water', 5],
      ['Crossing on foot', 5],
    ]);
    expect(report.terms.map(({ text }) => text)).toContain('causeway');
    expect(report.questions.find(({ text }) => text === 'when does high water come')?.pages).toHaveLength(5);
    expect(report.unsaid.map(({ text }) => text)).toEqual(['how do you hire a submarine for a tide table']);
    expect(report.bands['words']).toMatchObject({ lower: expect.any(Number), best: expect.any(Number) });
  });
  it('takes the order of its arguments for ranks, and zips', async () => {
    writeFileSync(
      join(folder, 'more.zip'),
      zipSync({ 'x/two.html': readFileSync(join(folder, 'pages', '2-quay.html')) }),
    );
    const report = await studied('pages/3-sluice.html', 'more.zip', 'pages/1-mill.html');
    expect(report.pages.map(({ file }) => file)).toEqual([
      'pages/3-sluice.html',
      'x/two.html',
      'pages/1-mill.html',
    ]);
  });
  it('is taken by score and by outline', async () => {
    writeFileSync(
      join(folder, 'study.json'),
      (await run('study', 'pages', '--query', 'tide table', '--json')).out,
    );
    writeFileSync(join(folder, 'post.md'), '# Tides\n\n## High water\n\nIt comes twice a day.\n');
    const scored = await run('score', 'post.md', '--study', 'study.json', '--json');
    expect(scored.status).toBe(0);
    const criteria: { id: string; applies: boolean }[] = JSON.parse(scored.out).criteria;
    expect(criteria.find(({ id }) => id === 'topics-covered')?.applies).toBe(true);
    const proposed = await run(
      'outline',
      'study.json',
      '--points',
      'The causeway is ours; Ask the miller',
      '--json',
    );
    const proposals: {
      shape: string;
      headings: { level: number; text: string; why: string[] }[];
      words: number;
    }[] = JSON.parse(proposed.out);
    expect(proposals.length).toBeGreaterThan(0);
    for (const { headings, words } of proposals) {
      expect(words).toBeGreaterThan(0);
      const texts = headings.map(({ text }) => text);
      expect(texts).toEqual(expect.arrayContaining(['The causeway is ours', 'Ask the miller']));
      expect(new Set(texts).size).toBe(texts.length);
      expect(headings.find(({ text }) => text.includes('High water'))?.why.join()).toContain('5 pages');
    }
    const covered = JSON.parse((await run('outline', 'study.json', '--covers', 'post.md', '--json')).out);
    expect(covered.topics).toEqual([
      { name: 'High water', covered: true, by: 'High water' },
      { name: 'Crossing on foot', covered: false, by: null },
    ]);
    expect(covered.share).toBeGreaterThan(0);
    expect(covered.share).toBeLessThan(1);
  });
  it('is told in words, too', async () => {
    const { out, status } = await run('study', 'pages', '--query', 'tide table');
    expect(status).toBe(0);
    expect(out).toContain('tide table: 5 pages, 5 of them taken in');
    expect(out).toMatch(/100 % +High water/);
  });
  it.each([
    [['study', 'pages'], '--query'],
    [['study', '--query', 'x'], 'at least one page'],
    [['study', 'nothing.html', '--query', 'x'], 'is not there'],
    [['study', 'pages', '--query', 'x', '--questions', 'nothing.txt'], 'cannot be read'],
    [['study', 'pages', '--querry', 'x'], '--query'],
    [['outline', 'questions.txt'], 'not valid JSON'],
    [['outline'], 'Name the study'],
    [['outline', 'study.json', '--count', '0'], '1 to 20'],
    [['outline', 'study.json', '--covers', 'nothing.md'], 'cannot be read'],
  ])('%j is refused with 2 and says why', async (args, reason) => {
    const { status, err, out } = await run(...args);
    expect([status, out]).toEqual([2, '']);
    expect(err).toContain(reason);
  });
  it('of which a page cannot be read says so, prints the rest and ends with 2', async () => {
    writeFileSync(join(folder, 'empty.html'), '<html><body><div id="app"></div></body></html>');
    const { status, err, out } = await run(
      'study',
      'pages/1-mill.html',
      'empty.html',
      '--query',
      'constructor',
      '--json',
    );
    expect([status, JSON.parse(out).pages.length]).toEqual([2, 1]);
    expect(err).toContain('No article was found');
  });
});
