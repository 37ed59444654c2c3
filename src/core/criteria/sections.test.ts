import { describe, expect, it } from 'vitest';
import { factsOf, studyTerm } from './judge.test-data.ts';
import { sectionFacts } from './section-facts.ts';
import { sectionRemarks } from './section-remarks.ts';

const PLAIN = 'We ride along the dyke in the morning and come home at noon with sand in our shoes. '.repeat(
  4,
);
const HARD =
  'Notwithstanding considerable meteorological unpredictability, experienced practitioners characteristically demonstrate extraordinary adaptability regarding infrastructural inadequacies. '.repeat(
    4,
  );

const MD = `Before it all begins. ${PLAIN}

## What to bring

${PLAIN}A [pump](/pump) and a map. About 40 % of riders forget the pump.

- water
- bread

## Where to sleep

![A tent](tent.png)

${HARD}

### By the sea

## Last words
`;

describe('the sections of a draft', () => {
  const facts = factsOf({
    md: MD,
    study: { terms: [studyTerm('pump'), studyTerm('sand')] },
    questions: ['what to bring on a ride', 'who swims'],
  });
  const sections = sectionFacts(facts);
  const of = (heading: string) => sections.find((section) => section.heading === heading)!;

  it('begin with what stands before the first heading', () =>
    expect(sections.map(({ heading, level }) => `${level} ${heading}`)).toEqual([
      '0 ',
      '2 What to bring',
      '2 Where to sleep',
      '3 By the sea',
      '2 Last words',
    ]));
  it('hold links, pictures, lists and figures, each in its own', () => {
    expect(of('What to bring')).toMatchObject({
      links: 1,
      pictures: 0,
      scanPoints: 1,
      claims: 1,
      openClaims: 1,
    });
    expect(of('Where to sleep')).toMatchObject({ links: 0, pictures: 1, scanPoints: 0, claims: 0 });
  });
  it('hold terms, of which some stand nowhere else', () => {
    expect(of('What to bring')).toMatchObject({ terms: 2, termsOnlyHere: 1 });
    expect(sections[0]).toMatchObject({ terms: 1, termsOnlyHere: 0 });
  });
  it('answer the questions whose words they hold', () =>
    expect(
      sections.flatMap(({ heading, questions }) => questions.map((text) => `${heading}: ${text}`)),
    ).toEqual(['What to bring: what to bring on a ride']));
  it('hold no open figure any more where it is the writer’s own count', () => {
    const own = factsOf({ md: MD, ownFigures: ['About 40 % of riders forget the pump.'] });
    expect(sectionFacts(own).map(({ claims, openClaims }) => [claims, openClaims])).toEqual([
      [0, 0],
      [1, 0],
      [0, 0],
      [0, 0],
      [0, 0],
    ]);
  });
  it('add up to the words of the post', () =>
    expect(sections.reduce((sum, { words }) => sum + words, 0)).toBe(
      facts.words - facts.headings.reduce((sum, { reading }) => sum + reading.words, 0),
    ));
  it('stand out where they are hard, bare, thin or empty', () => {
    const remarks = sectionRemarks(sections, 60);
    const said = (heading: string) => remarks[sections.indexOf(of(heading))].join(' ');
    expect(said('What to bring')).toBe('A figure without a source.');
    expect(said('Where to sleep')).toBe('Harder to read than wished.');
    expect(said('By the sea')).toContain('Empty');
    expect(said('Last words')).toContain('Empty');
  });
  it('are none in a draft without text, and one without headings', () => {
    expect(sectionFacts(factsOf({ md: '' }))).toEqual([]);
    expect(sectionFacts(factsOf({ md: PLAIN }))).toHaveLength(1);
    expect(sectionRemarks([], 60)).toEqual([]);
  });
  it('have no remark where a heading only gathers those below it', () => {
    const nested = sectionFacts(factsOf({ md: `## One\n\n### Two\n\n${PLAIN}` }));
    expect(sectionRemarks(nested, 0)).toEqual([[], []]);
  });
});
