import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyDraft, emptyFields } from '../../../core/draft/index.ts';
import { savePost } from '../../data/posts.ts';
import { UnsavedWords } from '../../data/unsaved-words.ts';
import { PostSaver, type SaverOwner } from './post-saver.ts';

vi.mock('../../data/posts.ts', async (original) => ({ ...(await original<object>()), savePost: vi.fn() }));
const write = vi.mocked(savePost);

const content = { document: { fields: emptyFields(), draft: emptyDraft() }, outline: [] };
const full = () => Object.assign(new Error('no room'), { name: 'QuotaExceededError' });

function saverOf(owner: Partial<SaverOwner> = {}): PostSaver {
  const words = new UnsavedWords({ visit: 'v', siteId: 's', postId: 'a' }, { changed: '', content });
  vi.spyOn(words, 'keep').mockReturnValue();
  return new PostSaver(
    'a',
    1,
    {
      read: () => content,
      onSaving: () => {},
      onSaved: () => {},
      setAside: async () => {},
      takeIn: () => {},
      ...owner,
    },
    words,
  );
}

/** Holds the next write; called, it ends. */
function heldWrite(): (revision: number) => void {
  let end: (revision: number) => void = () => {};
  write.mockReturnValueOnce(
    new Promise((resolve) => {
      end = resolve;
    }),
  );
  return (revision) => end(revision);
}

beforeEach(() => {
  vi.useFakeTimers();
  write.mockReset();
});

describe('saving a post', () => {
  it('writes once soon after a change, however many changes there were', async () => {
    write.mockResolvedValue(2);
    const saver = saverOf();
    for (let key = 0; key < 5; key++) saver.changed();
    await vi.advanceTimersByTimeAsync(300);
    expect(write).toHaveBeenCalledTimes(1);
    expect(saver.stored).toBe(2);
    expect(saver.isBehind).toBe(false);
  });
  it('says why it is not saved, and still does while it is tried again', async () => {
    write.mockRejectedValueOnce(full());
    const saver = saverOf();
    saver.changed();
    await vi.advanceTimersByTimeAsync(300);
    expect(saver.failure).toContain('full');
    const again = heldWrite();
    await vi.advanceTimersByTimeAsync(5000);
    expect(write).toHaveBeenCalledTimes(2);
    expect(saver.failure).toContain('full');
    again(2);
    await vi.advanceTimersByTimeAsync(1);
    expect(saver.failure).toBe('');
  });
  it('writes one after the other; what comes while one is written is written after it', async () => {
    const first = heldWrite();
    const saver = saverOf();
    saver.changed();
    const done = saver.write();
    await vi.advanceTimersByTimeAsync(1);
    saver.changed();
    const later = saver.write();
    await vi.advanceTimersByTimeAsync(1);
    expect(write).toHaveBeenCalledTimes(1);
    write.mockResolvedValueOnce(3);
    first(2);
    await Promise.all([done, later]);
    expect(write.mock.calls.map(([{ revision }]) => revision)).toEqual([1, 2]);
  });
  it('says so when a write takes too long, and takes it back when that write is done after all', async () => {
    const held = heldWrite();
    const said: string[] = [];
    const saver = saverOf({ onSaving: ({ save }) => said.push(save) });
    saver.changed();
    await vi.advanceTimersByTimeAsync(4000);
    expect(saver.failure).toBe('');
    await vi.advanceTimersByTimeAsync(2000);
    expect(saver.failure).toContain('save it as a file');
    expect(saver.isAtRisk).toBe(true);
    saver.changed();
    expect(said.at(-1)).toBe('failed');
    write.mockResolvedValueOnce(3);
    held(2);
    await vi.advanceTimersByTimeAsync(300);
    expect(saver.failure).toBe('');
    expect(said.at(-1)).toBe('saved');
    expect(write.mock.calls.map(([{ revision }]) => revision)).toEqual([1, 2]);
  });
  it('does not wait for ever at closing, and tells that something is not kept', async () => {
    const held = heldWrite();
    const saver = saverOf();
    saver.changed();
    const closed = saver.close();
    await vi.advanceTimersByTimeAsync(6000);
    expect(await closed).toBe(false);
    held(2);
    expect(await saver.close()).toBe(true);
  });
  it('tells at closing whether everything is kept, and tries no more by itself', async () => {
    write.mockRejectedValue(full());
    const saver = saverOf();
    saver.changed();
    expect(await saver.close()).toBe(false);
    await vi.advanceTimersByTimeAsync(60_000);
    expect(write).toHaveBeenCalledTimes(1);
    write.mockResolvedValue(2);
    expect(await saver.close()).toBe(true);
  });
});
