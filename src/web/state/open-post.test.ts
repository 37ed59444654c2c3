import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../../core/criteria/index.ts';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { emptyScene, indexedPost, scorePost } from '../../core/site/index.ts';
import type { ScoreAnswer } from '../workers/scoring-worker.ts';
import {
  fieldsSet,
  openPostReducer,
  outlineSet,
  postClosed,
  postOpened,
  saved,
  saveFailed,
  saveStarted,
  scored,
} from './open-post.ts';

const opened = openPostReducer(
  undefined,
  postOpened({ id: 'p', siteId: 's', fields: emptyFields(), outline: [], changed: '2026-11-01T09:00:00Z' }),
);

function answer(md: string, keyword = '', postId = 'p'): ScoreAnswer {
  const read = readMarkdown(md);
  const document = { fields: { ...read.fields, keyword }, draft: read.draft };
  const { report, facts } = scorePost(
    document,
    indexedPost(postId, document),
    emptyScene(),
    new DraftReadings(),
  );
  return { postId, revision: 1, report, words: facts.words, fixes: {}, coverage: null };
}

describe('the post in hand', () => {
  it('begins saved, with what was stored', () =>
    expect(opened).toMatchObject({ id: 'p', save: 'saved', savedAt: '2026-11-01T09:00:00Z', report: null }));
  it('takes fields and outline', () => {
    const item = { id: 'h', level: 2, text: 'Kit', note: '' };
    const next = openPostReducer(openPostReducer(opened, fieldsSet({ title: 'T' })), outlineSet([item]));
    expect([next.fields.title, next.outline]).toEqual(['T', [item]]);
    expect(opened.fields.title).toBe('');
  });
  it('says how far saving has come, and why it failed', () => {
    const failed = openPostReducer(openPostReducer(opened, saveStarted()), saveFailed('Storage is full.'));
    expect(failed).toMatchObject({ save: 'failed', problem: 'Storage is full.' });
    expect(openPostReducer(failed, saved('2026-11-02T09:00:00Z'))).toMatchObject({
      save: 'saved',
      problem: '',
      savedAt: '2026-11-02T09:00:00Z',
    });
  });
  it('is empty again when closed', () => expect(openPostReducer(opened, postClosed()).id).toBeNull());
});

describe('what the last change did', () => {
  const before = openPostReducer(opened, scored(answer('# Bike tour\n\nShort.')));
  it('is nothing after the first report', () => expect(before.lastChange).toBeNull());
  it('is the gain and the criterion that moved most', () => {
    const after = openPostReducer(
      before,
      scored(answer(`# Bike tour\n\n${'A longer text about the dyke. '.repeat(40)}`)),
    );
    expect(after.lastChange!.gain).toBeCloseTo(after.report!.score - before.report!.score, 9);
    expect(after.lastChange!.what).toBe('Length');
  });
  it('stays where the score did not move', () => {
    const first = openPostReducer(before, scored(answer('# Bike tour\n\nShort and more.')));
    expect(openPostReducer(first, scored(answer('# Bike tour\n\nShort and more.'))).lastChange).toEqual(
      first.lastChange,
    );
  });
  it('an answer for another post is dropped', () =>
    expect(openPostReducer(before, scored(answer('x', '', 'other')))).toBe(before));
});
