import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../../../../core/criteria/index.ts';
import { emptyFields, type PostFields, readMarkdown } from '../../../../core/draft/index.ts';
import { emptyScene, scorePost } from '../../../../core/scoring/index.ts';
import { indexedPost } from '../../../../core/site/index.ts';
import { trailStates } from './trail-state.ts';

function states(given: Partial<PostFields>, md = '', outlined = 0) {
  const fields = { ...emptyFields(), ...given };
  const document = { fields, draft: readMarkdown(md).draft };
  const { report, facts } = scorePost(
    document,
    indexedPost('p', document),
    emptyScene(),
    new DraftReadings(),
  );
  return trailStates(fields, outlined, facts.words, report);
}

describe('the marks of the trail', () => {
  it('are all empty for a new post', () => {
    expect(states({})).toEqual({
      target: 'empty',
      study: 'empty',
      outline: 'empty',
      write: 'empty',
      release: 'empty',
      reuse: 'empty',
    });
  });
  it('Target is begun with a keyword and ready with a brief', () => {
    expect(states({ keyword: 'bike tour' }).target).toBe('begun');
    expect(states({ goal: 'Bring readers' }).target).toBe('begun');
    expect(states({ keyword: 'bike tour', supporting: ['tent'], audience: ['riders'] }).target).toBe('ready');
  });
  it('Study is begun with some pages and ready with enough of them', () => {
    const study = (taken: number | null) =>
      trailStates(emptyFields(), 0, 0, null, taken === null ? null : { taken }).study;
    expect([study(null), study(0), study(4), study(5)]).toEqual(['empty', 'begun', 'begun', 'ready']);
  });
  it('Outline counts planned headings, or those that are written', () => {
    expect(states({}, '', 1).outline).toBe('begun');
    expect(states({}, '', 4).outline).toBe('ready');
    expect(states({}, `## Kit\n\n${'Words of the text. '.repeat(20)}`).outline).toBe('ready');
  });
  it('Write is ready near the wished length', () => {
    expect(states({ targetWords: 100 }, 'Some words here.').write).toBe('begun');
    expect(states({ targetWords: 100 }, 'Some words here. '.repeat(31)).write).toBe('ready');
  });
  it('Release is begun with a listing and ready when published', () => {
    expect(states({ title: 'T', slug: 't' }).release).toBe('begun');
    expect(states({ status: 'published', title: 'T', slug: 't' }, 'Low water at nine.').release).toBe(
      'ready',
    );
    expect(states({ status: 'published' }).release).toBe('empty');
    expect(states({ status: 'published' }, 'Three words alone.').release).toBe('empty');
  });
  it('Reuse is begun when something was made, and ready when something went out', () => {
    const reuse = (made: number, sent: number) =>
      trailStates(emptyFields(), 0, 0, null, null, { made, sent }).reuse;
    expect([reuse(0, 0), reuse(2, 0), reuse(2, 1)]).toEqual(['empty', 'begun', 'ready']);
  });
});
