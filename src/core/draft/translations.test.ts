import { describe, expect, it } from 'vitest';
import { splitFrontMatter } from './front-matter.ts';
import { emptyFields, readHtml, readMarkdown, translationIn, writeHtmlPage, writeMarkdown } from './index.ts';

const read = (yaml: string) => splitFrontMatter(`---\n${yaml}\n---\nText.`).fields.translations;

describe('the translations of a post in front matter', () => {
  it.each([
    ['lines', 'translations:\n  - de /tasche\n  - fr https://canal.example/sac'],
    ['a mapping', 'translations:\n  de: /tasche\n  fr: https://canal.example/sac'],
  ])('are read from %s', (_, yaml) =>
    expect(read(yaml)).toEqual(['de /tasche', 'fr https://canal.example/sac']),
  );
  it('are kept where nobody can read them, so that they can be mended', () =>
    expect(read('translations:\n  - xx\n  - de javascript:alert(1)')).toEqual([
      'xx',
      'de javascript:alert(1)',
    ]));
  it('go out and come back in Markdown and in a page', () => {
    const fields = {
      ...emptyFields(),
      title: 'Bag',
      language: 'en',
      translations: ['de /tasche', 'fr /sac'],
    };
    const { draft } = readMarkdown('Text.');
    expect(readMarkdown(writeMarkdown({ fields, draft })).fields.translations).toEqual(fields.translations);
    const page = writeHtmlPage({ fields, draft }, '');
    expect(page).toContain('<link rel="alternate" hreflang="de" href="/tasche">');
    expect(readHtml(page).fields.translations).toEqual(fields.translations);
  });
  it('of a page are those in other languages: not its own, nor the one for everybody', () =>
    expect(
      readHtml(
        '<html lang="en"><head><link rel="alternate" hreflang="en" href="/bag"><link rel="alternate" hreflang="x-default" href="/"><link rel="alternate" hreflang="de" href="/tasche"><link rel="alternate" type="application/rss+xml" href="/rss"><link rel="alternate" hreflang="fr" href="javascript:alert(1)"></head><body><p>Text.</p></body></html>',
      ).fields.translations,
    ).toEqual(['de /tasche']));
});

describe('a translation', () => {
  it.each([
    ['de /tasche', { language: 'de', address: '/tasche' }],
    ['pt-BR https://canal.example/a', { language: 'pt-BR', address: 'https://canal.example/a' }],
    ['de', null],
    ['/tasche', null],
    ['de /a b', null],
    ['de javascript:alert(1)', null],
    ['__proto__ /x', null],
    ['constructor /x', null],
    ['', null],
  ])('"%s"', (item, expected) => expect(translationIn(item)).toEqual(expected));
});
