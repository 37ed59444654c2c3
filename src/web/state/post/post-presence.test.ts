import 'fake-indexeddb/auto';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { openDatabase } from '../../data/database.ts';
import { until } from './page-stand-in.test-data.ts';
import { PostPresence } from './post-presence.ts';

type Granted = (lock: object | null) => unknown;

/** Locks as a browser has them: one holder of a name, the others in line; whoever steals ends the holder's. */
function lockManager() {
  let holder: { end: (error: Error) => void } | null = null;
  const line: (() => void)[] = [];
  const grant = (granted: Granted) =>
    new Promise<unknown>((done, fail) => {
      const own = { end: fail };
      holder = own;
      const over = () => {
        if (holder !== own) return;
        holder = null;
        line.shift()?.();
      };
      Promise.resolve(granted({})).then(
        (value) => {
          over();
          done(value);
        },
        (error: Error) => {
          over();
          fail(error);
        },
      );
    });
  return {
    request: async (_name: string, options: LockOptions, granted: Granted): Promise<unknown> => {
      await Promise.resolve();
      if (options.steal) {
        const before = holder;
        holder = null;
        before?.end(new DOMException('stolen', 'AbortError'));
        return grant(granted);
      }
      if (!holder) return grant(granted);
      if (options.ifAvailable) return granted(null);
      return new Promise((done, fail) => {
        const next = () => grant(granted).then(done, fail);
        line.push(next);
        options.signal?.addEventListener('abort', () => {
          const at = line.indexOf(next);
          if (at < 0) return;
          line.splice(at, 1);
          fail(new DOMException('aborted', 'AbortError'));
        });
      });
    },
  };
}

const open: PostPresence[] = [];
function tab() {
  const calls: string[] = [];
  const presence = new PostPresence('p', {
    lead: () => calls.push('lead'),
    follow: () => calls.push('follow'),
    yield: async () => {
      calls.push('save');
    },
  });
  open.push(presence);
  return { presence, calls };
}

beforeAll(() => {
  openDatabase('presence');
  vi.stubGlobal('navigator', { locks: lockManager() });
});
afterEach(() => {
  for (const presence of open.splice(0)) presence.close();
});

describe('tabs that have one post open', () => {
  it('the first writes, the next follows and writes when the first goes', async () => {
    const first = tab();
    await until(() => first.calls.includes('lead'));
    const second = tab();
    await until(() => second.calls.includes('follow'));
    first.presence.close();
    await until(() => second.calls.at(-1) === 'lead');
  });
  it('one takes over: the writer saves first, and follows', async () => {
    const first = tab();
    await until(() => first.calls.includes('lead'));
    const second = tab();
    await until(() => second.calls.includes('follow'));
    await second.presence.takeOver();
    await until(() => second.calls.at(-1) === 'lead');
    await until(() => first.calls.at(-1) === 'follow');
    expect(first.calls.indexOf('save')).toBeGreaterThan(0);
  });
  it('one that takes over from a tab that has just closed writes, and is not left reading', async () => {
    const first = tab();
    await until(() => first.calls.includes('lead'));
    const second = tab();
    await until(() => second.calls.includes('follow'));
    const taking = second.presence.takeOver();
    first.presence.close();
    await taking;
    await until(() => second.calls.at(-1) === 'lead');
    // Nothing turns it back into a reader afterwards.
    await new Promise((done) => setTimeout(done, 30));
    expect(second.calls.at(-1)).toBe('lead');
  });
});
