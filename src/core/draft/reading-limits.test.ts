import { describe, expect, it } from 'vitest';
import { readPostFile, UnreadableFile } from './index.ts';
import { MAX_DEPTH } from './parse-html.ts';

const read = (name: string, text: string) => readPostFile(new TextEncoder().encode(text), name);
const many = (n: number, make: (at: number) => string) =>
  Array.from({ length: n }, (_, at) => make(at)).join('');

describe('a text that would take work out of proportion is refused by what stands in it', () => {
  it.each<[what: string, name: string, text: string, said: RegExp]>([
    ['elements within one another', 'a.html', '<div>'.repeat(20_000), /nested too deeply \(400/],
    [
      'formats that are never closed',
      'a.html',
      many(20_000, (at) => `<p><b id=${at}>a`),
      /nested too deeply/,
    ],
    ['formats left open in a table', 'a.html', `<table>${'a<b>'.repeat(50_000)}`, /nested too deeply/],
    [
      'mail addresses',
      'a.md',
      many(5001, () => 'a@b.example '),
      /more than 5,000 addresses and pictures \(line 1\)/,
    ],
    ['pictures', 'a.md', many(5001, () => '<img src=a>'), /more than 5,000 addresses and pictures/],
    ['HTML in Markdown', 'a.md', many(5500, (at) => `<p><b id=${at}>a`), /nested too deeply/],
    [
      'quotes within quotes',
      'a.md',
      `Fine.\n\n${'> '.repeat(50_000)}deep`,
      /line 3 stands in 50000 quotes and lists; 100 are the most/,
    ],
    ['blank lines', 'a.md', `Fine.${'\n'.repeat(40_000)}`, /more than 30,000 lines \(line 30001\)/],
    ['escapes', 'a.md', `Fine.\n\n${'\\*'.repeat(30_000)}`, /more than 12,000 tags, escapes .* \(line 3\)/],
    ['references', 'a.md', '&#1;'.repeat(30_000), /more than 12,000 tags/],
    ['lists within lists', 'a.md', `${'- '.repeat(50_000)}deep`, /nested too deeply/],
    ['marks that find no partner', 'a.md', `Fine.\n\n${'*a_ '.repeat(20_000)}`, /line 3 holds 40,000 marks/],
    ['links that are never closed', 'a.md', '[a](b '.repeat(50_000), /marks such as/],
    ['calls of one footnote', 'a.md', `${'[^1]'.repeat(60_000)}\n\n[^1]: x`, /marks such as/],
  ])('%s', async (_what, name, text, said) => {
    const refused = await read(name, text).catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(UnreadableFile);
    expect((refused as Error).message).toMatch(said);
  });
});

describe('what is merely long is read', () => {
  it.each<[what: string, name: string, text: string, blocks: number]>([
    ['paragraphs that are never closed', 'a.html', '<p>Tide.'.repeat(20_000), 20_000],
    ['nested as far as is allowed', 'a.html', `${'<div>'.repeat(MAX_DEPTH - 4)}deep`, 1],
    ['a list of addresses', 'a.md', `${many(8_000, (at) => `[a${at}]: https://a.example/${at}\n`)}\nEnd.`, 1],
    ['a list with marks in each item', 'a.md', many(6_000, (at) => `- **${at}** and [it](/${at})\n`), 6_000],
    [
      'a table with marks in each row',
      'a.md',
      `| a | b |\n|---|---|\n${'| **a** | [b](/b) |\n'.repeat(6_000)}`,
      12_002,
    ],
    ['a paragraph for each line, with marks', 'a.md', 'Low *water* is [here](/a).\n\n'.repeat(6_000), 6_000],
  ])('%s', async (_what, name, text, blocks) => {
    expect((await read(name, text)).draft.blocks.length).toBe(blocks);
  });
});

describe('front matter of lines nested deep', () => {
  it('is read or left out in one sentence, and the text below it stands', async () => {
    const deep = `k: ${'{k: '.repeat(5000)}1${'}'.repeat(5000)}`;
    const read = await readPostFile(new TextEncoder().encode(`---\n${deep}\n---\n\nThe tide turns.`), 'a.md');
    expect(read.draft.blocks.map(({ text }) => text)).toEqual(['The tide turns.']);
    for (const note of read.notes) expect(note).toMatch(/^[^\n]+\.$/);
  });
});
