import { describe, expect, it } from 'vitest';
import { aboveMore, draftedExcerpt, readMarkdown } from './index.ts';

const TEXT = 'The tide comes twice a day. It waits for nobody.\n\n## When\n\nAt noon.\n';

describe('what lists show of a post', () => {
  it('stands above the mark', () => {
    const { draft } = readMarkdown(`One.\n\n<!--more-->\n\nTwo.`);
    expect(aboveMore(draft)?.map(({ text }) => text)).toEqual(['One.']);
    expect(draftedExcerpt(draft)).toBe('One.');
  });
  it('is not known without a mark, and with nothing above it', () => {
    expect(aboveMore(readMarkdown(TEXT).draft)).toBeNull();
    expect(aboveMore(readMarkdown('a\n').draft)).toBeNull();
  });
  it('is drafted of whole sentences of the first paragraphs', () =>
    expect(draftedExcerpt(readMarkdown(TEXT).draft)).toBe(
      'The tide comes twice a day. It waits for nobody. At noon.',
    ));
  it('leaves out what is no sentence', () =>
    expect(
      draftedExcerpt(
        readMarkdown(
          '[Download the ebook](/e)\n\ntide-table - what the water does\n\n-l --local Only here.\n\nThe tide comes twice.',
        ).draft,
      ),
    ).toBe('The tide comes twice.'));
  it('never goes beyond what lists have room for', () => {
    const long = `${'A sentence of some length stands here. '.repeat(20)}`;
    const drafted = draftedExcerpt(readMarkdown(long).draft);
    expect(drafted.length).toBeGreaterThan(200);
    expect(drafted.length).toBeLessThanOrEqual(250);
    expect(drafted).toMatch(/here\.$/);
    expect(draftedExcerpt(readMarkdown('word '.repeat(90)).draft)).toBe('');
  });
});
