import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDraft } from '../draft/draft-arbitrary.test-data.ts';
import { type Block, emptyFields, type PostDocument, readMarkdown } from '../draft/index.ts';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { knownWords } from '../language/known-words.ts';
import { emptyScene, scorePost } from '../scoring/index.ts';
import { indexedPost } from '../site/index.ts';
import { CRITERION_IDS, DraftReadings, defaultProfile, GROUPS, notesOf, ramp, readProfile } from './index.ts';
import { ALL_IDS, judge, PROSE, words } from './judge.test-data.ts';

const scene = emptyScene();
const score = (document: PostDocument, readings = new DraftReadings()) =>
  scorePost(document, indexedPost('own', document), scene, readings).report;
const document = (md: string, fields = {}): PostDocument => {
  const read = readMarkdown(md);
  return { fields: { ...read.fields, ...fields }, draft: read.draft };
};

describe('the score', () => {
  it.each(HOSTILE_WORDS)('is a number though "%s" stands in the text, the fields and the study', (word) => {
    const report = score(
      document(`# The ${word}\n\n${PROSE} Every ${word} is ${word}.\n\n## On ${word}s\n\n${PROSE}`, {
        keyword: `${word} for riders`,
        supporting: [word],
        slug: word,
        metaTitle: word,
        metaDescription: `All about ${word}`,
      }),
    );
    for (const line of report.criteria)
      expect([line.id, Number.isFinite(line.points), Number.isFinite(line.available)]).toEqual([
        line.id,
        true,
        true,
      ]);
    expect(Number.isFinite(report.score)).toBe(true);
  });
  it('is a number for every common English word', () => {
    const all = [...knownWords().all, ...knownWords().syllables.keys()];
    const md = Array.from(
      { length: Math.ceil(all.length / 12) },
      (_, at) => `${all.slice(at * 12, at * 12 + 12).join(' ')}.`,
    ).join('\n\n');
    expect(Number.isFinite(score(document(md, { keyword: 'word lists' })).score)).toBe(true);
  });
  it('names the criterion that has no number, instead of adding it up', () => {
    const own = document(`# Tides\n\n${PROSE}`);
    const limits = { ...defaultProfile.limits, readingEaseMargin: Number.NaN };
    const broken = { ...scene, site: { ...scene.site, profile: { ...defaultProfile, limits } } };
    expect(() => scorePost(own, indexedPost('own', own), broken, new DraftReadings())).toThrow(
      /reading-ease/,
    );
  });
  it('knows every criterion of the profile, in one order', () => expect(ALL_IDS).toEqual([...CRITERION_IDS]));
  it('of an empty draft is 0', () => expect(score(document('')).score).toBe(0));
  it('scales what applies to 100, by criterion and by group', () => {
    const report = score(document(`# Bike tour\n\n${PROSE}`, { keyword: 'bike tour' }));
    expect(report.criteria.reduce((sum, one) => sum + one.available, 0)).toBeCloseTo(100, 9);
    expect(report.groups.map((group) => group.id)).toEqual([...GROUPS]);
    expect(report.groups.reduce((sum, one) => sum + one.points, 0)).toBeCloseTo(report.score, 9);
  });
  it('does not rise when the keyword is deleted', () => {
    const md = `# Bike tour\n\n${PROSE} A bike tour is slow.\n\n## Kit for a bike tour\n\n${words(80)}`;
    expect(score(document(md)).score).toBeLessThan(score(document(md, { keyword: 'bike tour' })).score);
    expect(score(document(md, { keyword: 'rain cape' })).score).toBeGreaterThanOrEqual(
      score(document(md)).score,
    );
  });
  it('stays within 0 and 100, gives advice exactly where points are to win, and never throws', () => {
    fc.assert(
      fc.property(
        anyDraft,
        fc.constantFrom('', 'bike tour', '自転車', 'the'),
        fc.string({ maxLength: 40 }),
        (draft, keyword, title) => {
          const report = score({
            fields: { ...emptyFields(), keyword, title, supporting: ['panniers'] },
            draft,
          });
          expect(report.score).toBeGreaterThanOrEqual(0);
          expect(report.score).toBeLessThanOrEqual(100);
          for (const { advice, points, available, evidence } of report.criteria) {
            expect(advice === null).toBe(points === available);
            for (const place of evidence) expect(draft.blocks[place.block]?.id).toBe(place.blockId);
          }
        },
      ),
    );
  });
  it('lists notes by points to win', () => {
    const gains = notesOf(score(document(PROSE, { keyword: 'bike tour' })).criteria).map(
      (one) => one.available - one.points,
    );
    expect(gains).toEqual([...gains].sort((a, b) => b - a));
  });
});

describe('the memo', () => {
  const edit = fc.record({
    at: fc.nat(40),
    text: fc.constantFrom('A bike tour begins.', 'Eighty % of riders rest.', '', PROSE),
    what: fc.constantFrom('change', 'insert', 'remove', 'head'),
  });
  it('gives any edit sequence the totals of a full run', () => {
    fc.assert(
      fc.property(anyDraft, fc.array(edit, { maxLength: 12 }), (draft, edits) => {
        const readings = new DraftReadings();
        const fields = { ...emptyFields(), keyword: 'bike tour', supporting: ['panniers', 'ferry'] };
        let blocks: Block[] = draft.blocks;
        for (const [step, { at, text, what }] of edits.entries()) {
          const place = blocks.length ? at % blocks.length : 0;
          const fresh: Block = {
            id: `e${step}`,
            kind: what === 'head' ? 'heading' : 'paragraph',
            path: [],
            text,
            marks: [],
            ...(what === 'head' ? { level: 2 } : {}),
          };
          if (what === 'change' && blocks[place])
            blocks = blocks.with(place, { ...blocks[place], text, marks: [] });
          else if (what === 'remove') blocks = blocks.filter((_, index) => index !== place);
          else blocks = blocks.toSpliced(place, 0, fresh);
          const now = { fields, draft: { version: 1 as const, blocks } };
          expect(score(now, readings)).toEqual(score(now));
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('a profile', () => {
  it('moves weights and limits', () => {
    const reading = readProfile({ version: 1, weights: { 'title-single': 100 }, limits: { bodyWords: 100 } });
    expect(reading.profile?.weights['title-single']).toBe(100);
    expect(reading.profile?.weights['alt-present']).toBe(4);
    const report = scorePost(
      document(`# A\n\n${PROSE}`),
      indexedPost('own', document('')),
      { ...scene, site: { ...scene.site, profile: reading.profile } },
      new DraftReadings(),
    ).report;
    expect(report.criteria.reduce((sum, one) => sum + one.available, 0)).toBeCloseTo(100, 9);
    expect(report.criteria.find((one) => one.id === 'title-single')!.points).toBeGreaterThan(25);
  });
  it.each([
    [{ weights: {} }, 'version'],
    [{ version: 1, weights: { 'no-such': 1 } }, 'no-such'],
    [{ version: 1, weights: { 'title-single': -1 } }, 'title-single'],
    [{ version: 1, limits: { metaTitlePixels: [0, 500, 400, 700] } }, 'metaTitlePixels'],
    [{ version: 1, weights: Object.fromEntries(CRITERION_IDS.map((id) => [id, 0])) }, 'weight 0'],
    [null, 'profile'],
  ])('%j is refused with a reason', (json, reason) => expect(readProfile(json).problem).toContain(reason));
  it('is valid as it ships', () => expect(readProfile(defaultProfile).profile).toEqual(defaultProfile));
});

describe('ramps', () => {
  it.each([
    [-1, 0],
    [0, 0],
    [5, 0.5],
    [10, 1],
    [20, 1],
    [25, 0.5],
    [30, 0],
    [Number.NaN, 0],
    [Number.POSITIVE_INFINITY, 0],
  ])('%d gives %d', (x, y) => expect(ramp(x, [0, 10, 20, 30])).toBe(y));
  it('open sides stay full', () =>
    expect([ramp(-5, [null, null, 1, 2]), ramp(1e9, [0, 1, null, null])]).toEqual([1, 1]));
});

describe('fixes', () => {
  it('come too late without harm', () => {
    const line = judge('claims-sourced', { md: `${PROSE} Twice as many came.` });
    expect(line.mended().total).toBeGreaterThan(line.total);
  });
});
