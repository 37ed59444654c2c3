import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../../../core/criteria/index.ts';
import { emptyFields, readMarkdown } from '../../../core/draft/index.ts';
import { emptyScene, scorePost } from '../../../core/scoring/index.ts';
import { indexedPost } from '../../../core/site/index.ts';
import type { ScoreAnswer } from '../../workers/scoring-worker.ts';
import {
  contentShown,
  openPostReducer,
  postClosed,
  postOpened,
  type Saving,
  saveMoved,
  scored,
} from './open-post.ts';

const session = 'visit';
const opened = openPostReducer(
  undefined,
  postOpened({
    session,
    id: 'p',
    siteId: 's',
    fields: emptyFields(),
    outline: [],
    changed: '2026-11-01T09:00:00Z',
  }),
);

function answer(md: string): ScoreAnswer {
  const read = readMarkdown(md);
  const document = { fields: read.fields, draft: read.draft };
  const { report, facts } = scorePost(
    document,
    indexedPost('p', document),
    emptyScene(),
    new DraftReadings(),
  );
  return { postId: 'p', revision: 1, report, words: facts.words, coverage: null };
}
const report = (md: string) => scored({ session, answer: answer(md) });
const saving = (how: Saving) => saveMoved({ session, saving: how });

describe('the post in hand', () => {
  it('begins saved, with what was stored', () =>
    expect(opened).toMatchObject({ id: 'p', save: 'saved', savedAt: '2026-11-01T09:00:00Z', report: null }));
  it('shows fields and outline as its session has them', () => {
    const outline = [{ id: 'h', level: 2, text: 'Kit', note: '' }];
    const next = openPostReducer(
      opened,
      contentShown({ session, fields: { ...emptyFields(), title: 'T' }, outline }),
    );
    expect([next.fields.title, next.outline]).toEqual(['T', outline]);
    expect(opened.fields.title).toBe('');
  });
  it('says how far saving has come, and why it failed', () => {
    const failed = openPostReducer(
      openPostReducer(opened, saving({ save: 'saving' })),
      saving({ save: 'failed', problem: 'Storage is full.' }),
    );
    expect(failed).toMatchObject({ save: 'failed', problem: 'Storage is full.' });
    expect(openPostReducer(failed, saving({ save: 'saved', at: '2026-11-02T09:00:00Z' }))).toMatchObject({
      save: 'saved',
      problem: '',
      savedAt: '2026-11-02T09:00:00Z',
    });
  });
  it('is empty again when its session closes', () =>
    expect(openPostReducer(opened, postClosed({ session })).id).toBeNull());
  it('refuses whatever another session says, though it is of the same post', () => {
    for (const action of [
      contentShown({ session: 'earlier', fields: emptyFields(), outline: [] }),
      saveMoved({ session: 'earlier', saving: { save: 'failed', problem: 'x' } }),
      scored({ session: 'earlier', answer: answer('x') }),
      postClosed({ session: 'earlier' }),
    ])
      expect(openPostReducer(opened, action)).toBe(opened);
  });
});

describe('what the last change did', () => {
  const before = openPostReducer(opened, report('# Bike tour\n\nShort.'));
  it('is nothing after the first report', () => expect(before.lastChange).toBeNull());
  it('is the gain and the criterion that moved most', () => {
    const after = openPostReducer(
      before,
      report(`# Bike tour\n\n${'A longer text about the dyke. '.repeat(40)}`),
    );
    expect(after.lastChange!.gain).toBeCloseTo(after.report!.score - before.report!.score, 9);
    expect(after.lastChange!.what).toBe('Enough to be a post');
  });
  it('stays where the score did not move', () => {
    const first = openPostReducer(before, report('# Bike tour\n\nShort and more.'));
    expect(openPostReducer(first, report('# Bike tour\n\nShort and more.')).lastChange).toEqual(
      first.lastChange,
    );
  });
});
