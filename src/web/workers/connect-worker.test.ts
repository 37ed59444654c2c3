import { expose } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { connectWorker, untilAborted, WorkerFailed } from './connect-worker.ts';

interface Adder {
  add(a: number, b: number): number;
  hang(): Promise<never>;
  refuse(): never;
}

const made: FakeWorker[] = [];

/** A worker in this very thread, whose end can be brought about. */
class FakeWorker {
  onerror: ((event: Partial<ErrorEvent>) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  ended = false;
  private readonly channel = new MessageChannel();
  constructor(loads = true) {
    made.push(this);
    if (!loads) return;
    const api: Adder = {
      add: (a, b) => a + b,
      hang: () => new Promise(() => {}),
      refuse: () => {
        throw new Error('no such sum');
      },
    };
    expose(api, this.channel.port1);
    this.channel.port1.start();
    this.channel.port2.start();
  }
  postMessage(message: unknown, transfer: Transferable[] = []) {
    this.channel.port2.postMessage(message, transfer);
  }
  addEventListener(type: string, listener: (event: Event) => void) {
    this.channel.port2.addEventListener(type, listener);
  }
  removeEventListener(type: string, listener: (event: Event) => void) {
    this.channel.port2.removeEventListener(type, listener);
  }
  terminate() {
    this.ended = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
}

const link = (loads: () => boolean = () => true) =>
  connectWorker<Adder>({
    name: 'The adder',
    start: () => new FakeWorker(loads()) as unknown as Worker,
    open: (api) => api.add(0, 0) as Promise<number>,
  });

afterEach(() => {
  vi.useRealTimers();
  for (const worker of made.splice(0)) if (!worker.ended) worker.terminate();
});

describe('a worker that is connected', () => {
  it('is started by the first who asks, and answers', async () => {
    const adder = link();
    expect(made.length).toBe(0);
    const api = await adder.api();
    expect(await api.add(2, 3)).toBe(5);
    await adder.api();
    expect(made.length).toBe(1);
    await expect(api.refuse()).rejects.toThrow('no such sum');
  });
  it('rejects all that waits when it dies, and the next call starts another', async () => {
    const adder = link();
    const api = await adder.api();
    const waiting = [api.hang(), api.hang()];
    made[0].onerror!({ message: 'out of memory' });
    for (const call of waiting) await expect(call).rejects.toThrow(/The adder stopped \(out of memory\)/);
    await expect(api.add(1, 1)).rejects.toBeInstanceOf(WorkerFailed);
    expect(made[0].ended).toBe(true);
    expect(await (await adder.api()).add(1, 1)).toBe(2);
    expect(made.length).toBe(2);
  });
  it('that cannot be loaded is said so, and tried again at the next call', async () => {
    let loads = false;
    const adder = link(() => loads);
    const first = adder.api();
    made[0].onerror!({});
    await expect(first).rejects.toThrow(/could not be loaded/);
    loads = true;
    expect(await (await adder.api()).add(4, 4)).toBe(8);
  });
  it('that never says anything is given up after a while', async () => {
    vi.useFakeTimers();
    const adder = link(() => false);
    const asked = expect(adder.api()).rejects.toThrow(/did not start/);
    await vi.advanceTimersByTimeAsync(60_000);
    await asked;
    expect(made[0].ended).toBe(true);
  });
  it('that is closed rejects what waits', async () => {
    const adder = link();
    const hanging = (await adder.api()).hang();
    adder.close();
    await expect(hanging).rejects.toThrow(/closed/);
  });
});

describe('an answer that nobody waits for any more', () => {
  it('is rejected with the reason, and the worker told to stop', async () => {
    const stop = vi.fn();
    const waiting = new AbortController();
    const answer = untilAborted(new Promise(() => {}), waiting.signal, stop);
    waiting.abort();
    await expect(answer).rejects.toMatchObject({ name: 'AbortError' });
    expect(stop).toHaveBeenCalledOnce();
    await expect(untilAborted(Promise.resolve(1), waiting.signal)).rejects.toMatchObject({
      name: 'AbortError',
    });
  });
  it('comes where the signal stays silent', async () => {
    expect(await untilAborted(Promise.resolve(1), undefined)).toBe(1);
    expect(await untilAborted(Promise.resolve(2), new AbortController().signal)).toBe(2);
  });
});
