import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields, readHtml, readMarkdown } from '../draft/index.ts';
import { emptyScene, scorePost } from '../scoring/index.ts';
import { indexedPost } from '../site/index.ts';
import { DraftReadings } from './draft-facts.ts';
import { openingDescription } from './opening-description.ts';
import { reportFacts } from './report-facts.ts';

function factsOf(md: string, given: Partial<PostFields> = {}) {
  const read = md.startsWith('<') ? readHtml(md) : readMarkdown(md);
  const document = { fields: { ...emptyFields(), ...read.fields, ...given }, draft: read.draft };
  return scorePost(document, indexedPost('p', document), emptyScene(), new DraftReadings()).facts;
}

describe('facts of a report', () => {
  it('count what a reader reads: captions and cells, no alt text, no code', () => {
    const md =
      'One two.\n\n| three | four |\n| --- | --- |\n| five | six |\n\n```\nnot this\n```\n\n<figure><img src="a.png" alt="nor this"><figcaption>seven</figcaption></figure>\n';
    const { words, sentences, paragraphs, images } = reportFacts(factsOf(md));
    expect({ words, sentences, paragraphs, images }).toEqual({
      words: 7,
      sentences: 1,
      paragraphs: 1,
      images: [{ src: 'a.png', alt: 'nor this' }],
    });
  });
  it('are null where nothing is said', () => {
    expect(reportFacts(factsOf(''))).toMatchObject({
      title: null,
      metaTitle: null,
      metaDescription: null,
      slug: null,
      language: null,
      keyword: null,
      readability: { fleschReadingEase: null, fleschKincaidGrade: null },
      pixels: { metaTitle: null, metaDescription: null },
    });
  });
  it('tell exact uses from variants', () => {
    const { keyword } = reportFacts(
      factsOf('A bike tour, two bike tours, a bike-tour and a tour by bike.', {
        keyword: 'bike tour',
        slug: 'bike-tours',
      }),
    );
    expect(keyword).toMatchObject({
      exact: 1,
      variant: 3,
      inIntro: 'exact',
      inSlug: 'variant',
      inTitle: 'no',
      inHeadings: 0,
    });
  });
  it('a picture in the fields is one of the images', () => {
    expect(reportFacts(factsOf('Text', { image: 'media/a.webp', imageAlt: 'A bike' })).images).toEqual([
      { src: 'media/a.webp', alt: 'A bike' },
    ]);
  });
  it('follow the formula over their own counts', () => {
    const facts = factsOf('The road is flat. The wind is low.');
    const { readability, words, sentences } = reportFacts(facts);
    expect([words, sentences, facts.totals.read.syllables]).toEqual([8, 2, 8]);
    expect(readability.fleschReadingEase).toBeCloseTo(206.835 - 1.015 * 4 - 84.6, 9);
  });
});

describe('the opening that could be the description', () => {
  it('is whole sentences that fit', () => {
    const opening = openingDescription(
      factsOf(`## Kit\n\nPack light. Ride far. ${'A very long sentence goes on and '.repeat(12)}ends.`),
    );
    expect(opening).toBe('Pack light. Ride far.');
  });
  it('passes over lists and headings, and is empty without a paragraph', () => {
    expect(openingDescription(factsOf('- one\n- two'))).toBe('');
    expect(openingDescription(factsOf('- one\n\nThen this.'))).toBe('Then this.');
  });
});
