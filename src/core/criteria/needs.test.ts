import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields, readMarkdown } from '../draft/index.ts';
import { CRITERIA } from './criteria-list.ts';
import type { Context } from './criterion.ts';
import { DraftReadings } from './draft-facts.ts';
import { CRITERION_IDS, defaultProfile } from './index.ts';
import { PROSE } from './judge.test-data.ts';
import { appliesTo, isForAnyPage, type Need } from './needs.ts';
import { readProfile } from './profile.ts';

const settings = {
  host: null,
  titlePattern: null,
  siteName: '',
  language: 'en',
  ownPath: null,
  pictures: new Map(),
  limits: defaultProfile.limits,
  study: null,
  year: null,
};
const factsOf = (markdown: string, fields: Partial<PostFields> = {}, language = 'en') =>
  new DraftReadings().facts(
    { fields: { ...emptyFields(), language, ...fields }, draft: readMarkdown(markdown).draft },
    {
      ...settings,
      pictures: new Map([['media/quay.png', { bytes: 1000, width: 100 }]]),
    },
  );
const alone: Context = { site: null, study: null };
const around: Context = {
  site: {
    postId: 'a',
    ownPath: null,
    metaTitles: new Map(),
    targets: new Map(),
    pages: new Map(),
    pagesKnown: true,
  } as unknown as Context['site'],
  study: { keywordRateUpper: 0, words: null, score: null, terms: [], topics: [] },
};

describe('what a criterion needs', () => {
  it.each<[Need, Parameters<typeof factsOf>, Parameters<typeof factsOf>]>([
    ['words', [PROSE], ['Three words only.']],
    ['wording', [PROSE], [PROSE, {}, 'fi']],
    ['pictures', ['![A quay](quay.png)'], ['A quay.']],
    ['picture-files', ['![A quay](media/quay.png)'], ['![A quay](https://elsewhere.example/quay.png)']],
    ['supporting', ['', { supporting: ['tide table'] }], ['']],
    ['questions', ['', { questions: ['When is high water?'] }], ['']],
  ])('%s: is there or is not', (need, having, lacking) => {
    expect(appliesTo({ needs: [need] }, factsOf(...having), alone)).toBe(true);
    expect(appliesTo({ needs: [need] }, factsOf(...lacking), alone)).toBe(false);
  });
  it.each<Need>(['site', 'study'])('a %s around the post', (need) => {
    expect(appliesTo({ needs: [need] }, factsOf(''), around)).toBe(true);
    expect(appliesTo({ needs: [need] }, factsOf(''), alone)).toBe(false);
  });
  it('all of it must be there, and its own condition is asked only then', () => {
    const own = {
      needs: ['words', 'study'] as const,
      applies: (_facts: unknown, { study }: Context) => study!.terms.length > 0,
    };
    expect(appliesTo(own, factsOf(PROSE), alone)).toBe(false);
    expect(appliesTo(own, factsOf(PROSE), around)).toBe(false);
    expect(appliesTo({ needs: own.needs }, factsOf(PROSE), around)).toBe(true);
  });
  it('tells which criteria hold for any page: those that need nothing only its writer has', () => {
    const own = CRITERIA.filter((criterion) => !isForAnyPage(criterion)).map(({ id }) => id);
    expect([...own].sort()).toEqual([
      'body-length',
      'house-voice',
      'image-weight',
      'keyword-free',
      'links-live',
      'meta-title-distinct',
      'next-step',
      'questions-answered',
      'staple-terms',
      'supporting-keywords',
      'supporting-terms',
      'topics-covered',
    ]);
  });
});

describe('the profile that comes with the criteria', () => {
  it('weighs each as it says of itself', () => {
    expect(Object.keys(defaultProfile.weights)).toEqual([...CRITERION_IDS]);
    expect(CRITERIA.every(({ id, weight }) => defaultProfile.weights[id] === weight)).toBe(true);
  });
  it('knows its criteria by name: another is refused, whatever it is called', () => {
    for (const id of ['meta-titel-width', 'constructor', 'toString'])
      expect(readProfile(JSON.parse(`{"version":1,"weights":{"${id}":3}}`)).problem).toContain(
        `"${id}" is no criterion`,
      );
  });
});
