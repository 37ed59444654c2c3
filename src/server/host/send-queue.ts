import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { RecordStore } from '../blog/record-store.ts';
import { type BlogHost, HostProblem } from './blog-host.ts';
import { PictureFiles } from './picture-files.ts';
import { runJob } from './run-job.ts';
import type { SendJob, SendOrder, Way } from './send-job.ts';

/** Milliseconds between tries: a host that restarts is met again soon, one that is away for the night is left in peace. */
const PAUSES = [2000, 10_000, 30_000, 120_000, 600_000, 1_800_000, 3_600_000];
/** Longest that a timer may be set to; beyond it one fires at once. */
const LONGEST_TIMER = 2 ** 31 - 1;
/** Ended jobs that are remembered. */
const REMEMBERED = 200;

const ENDED: ReadonlySet<SendJob['state']> = new Set(['done', 'given-up']);

/**
 * What waits to be sent to where posts are published. Each order and each step of it is on the disk before it is acted upon,
 * so that it goes on where it was after any end of the process. One goes at a time, in the order in which they were given.
 */
export class SendQueue {
  private readonly jobs: RecordStore<SendJob>;
  readonly pictures: PictureFiles;
  private timer: NodeJS.Timeout | null = null;
  private running: Promise<void> | null = null;
  private isStopped = false;

  constructor(
    folder: string,
    private readonly hostOf: (way: Way) => BlogHost,
    private readonly clock: () => number = Date.now,
    private readonly pauses: readonly number[] = PAUSES,
    /** The address at which a post stands now that stood at another port of the same host. */
    private readonly addressNow: (way: Way, url: string) => string = (_way, url) => url,
  ) {
    this.jobs = new RecordStore(join(folder, 'jobs'), ({ id }) => id);
    this.pictures = new PictureFiles(join(folder, 'pictures'));
    // What was under way when the process ended is begun again.
    for (const job of this.jobs.all())
      if (job.state === 'sending') this.jobs.put({ ...job, state: 'waiting', next: '' });
    this.wake();
  }

  private now(): string {
    return new Date(this.clock()).toISOString();
  }

  all(): SendJob[] {
    return this.jobs.all().sort((a, b) => a.turn - b.turn);
  }

  /** Takes an order. A newer one for the same post takes the place of one that was not begun. */
  order(order: SendOrder): SendJob {
    const all = this.all();
    const earlier = all.filter(({ postId, siteId }) => postId === order.postId && siteId === order.siteId);
    // A page that has not heard yet where its post stands sends it as new.
    const isSameWay = ({ way }: SendJob) => JSON.stringify(way) === JSON.stringify(order.way);
    const done = earlier.findLast((one) => one.state === 'done' && one.url !== '' && isSameWay(one));
    const place = order.url === '' && done ? { url: done.url, known: done.version } : {};
    const job: SendJob = {
      ...order,
      ...place,
      id: randomUUID(),
      turn: (all.at(-1)?.turn ?? 0) + 1,
      state: 'waiting',
      tries: 0,
      next: order.due,
      problem: '',
      // Whether an earlier one arrived is not known while its answer is missing.
      begunBy:
        earlier.findLast((one) => one.begunBy && one.state !== 'done' && isSameWay(one))?.begunBy ?? '',
      // Pictures that are up there need not go again; elsewhere they are not up.
      placed: Object.assign({}, ...earlier.filter(isSameWay).map(({ placed }) => placed)) as Record<
        string,
        string
      >,
      version: null,
      isLater: false,
      ordered: this.now(),
      ended: '',
    };
    this.jobs.put(job);
    for (const one of earlier) if (one.state !== 'sending') this.jobs.delete(one.id);
    this.tidy();
    this.wake();
    return job;
  }

  /** Begins a job anew that failed or waits. Null where there is none. */
  again(id: string, known?: string | null): SendJob | null {
    const job = this.jobs.get(id);
    if (!job || job.state === 'sending' || job.state === 'done') return null;
    const next: SendJob = {
      ...job,
      state: 'waiting',
      tries: 0,
      next: '',
      problem: '',
      ended: '',
      ...(known === undefined ? {} : { known }),
    };
    this.jobs.put(next);
    this.wake();
    return next;
  }

  /** Gives a job up that is not done. Null where there is none. */
  giveUp(id: string): SendJob | null {
    const job = this.jobs.get(id);
    if (!job || job.state === 'done' || job.state === 'sending') return null;
    const next: SendJob = { ...job, state: 'given-up', next: '', ended: this.now() };
    this.jobs.put(next);
    this.dropPictures();
    return next;
  }

  /** When all that is due has been tried. */
  async settled(): Promise<void> {
    while (this.running) await this.running;
  }

  stop(): void {
    this.isStopped = true;
    if (this.timer) clearTimeout(this.timer);
  }

  private wake(): void {
    if (this.isStopped || this.running) return;
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    const now = this.clock();
    const waiting = this.all().filter(({ state }) => state === 'waiting');
    const due = waiting.find(({ next }) => next === '' || Date.parse(next) <= now);
    if (due) {
      this.running = this.run(due).finally(() => {
        this.running = null;
        this.wake();
      });
      return;
    }
    const soonest = Math.min(...waiting.map(({ next }) => Date.parse(next)));
    if (!Number.isFinite(soonest)) return;
    this.timer = setTimeout(() => this.wake(), Math.min(soonest - now, LONGEST_TIMER));
    this.timer.unref();
  }

  private async run(given: SendJob): Promise<void> {
    const own = this.afterOwn(given);
    const url = own.url === '' ? '' : this.addressNow(own.way, own.url);
    const placed = Object.fromEntries(
      Object.entries(own.placed).map(([sha, at]) => [sha, this.addressNow(own.way, at)]),
    );
    let job: SendJob = { ...own, url, placed, state: 'sending', tries: given.tries + 1, next: '' };
    const keep = (next: SendJob) => {
      job = next;
      this.jobs.put(job);
    };
    keep(job);
    try {
      const { url, version, isLater } = await runJob(this.hostOf(job.way), job, this.pictures, keep);
      keep({ ...job, state: 'done', url, version, isLater, problem: '', begunBy: '', ended: this.now() });
      this.dropPictures();
    } catch (error) {
      keep(this.afterProblem(job, error));
    }
  }

  /** What this queue itself has done with the post since the order was given is no news to it. */
  private afterOwn(job: SendJob): SendJob {
    const own = this.all().findLast(
      ({ siteId, postId, state, ended }) =>
        siteId === job.siteId && postId === job.postId && state === 'done' && ended >= job.ordered,
    );
    return own ? { ...job, url: own.url, known: own.version } : job;
  }

  private afterProblem(job: SendJob, error: unknown): SendJob {
    if (!(error instanceof HostProblem)) {
      console.error(error);
      return { ...job, state: 'failed', problem: 'The server could not send it. Its log says more.' };
    }
    const { kind, message: problem, askAgainIn } = error;
    if (kind === 'changed')
      return { ...job, state: 'changed', problem, url: job.url || error.url, begunBy: '' };
    if (kind !== 'away') return { ...job, state: 'failed', problem };
    const pause = askAgainIn ?? this.pauses[Math.min(job.tries, this.pauses.length) - 1];
    return { ...job, state: 'waiting', problem, next: new Date(this.clock() + pause).toISOString() };
  }

  /** Files of pictures that no job needs any more. */
  private dropPictures(): void {
    const needed = new Set(
      this.jobs.all().flatMap((job) => (ENDED.has(job.state) ? [] : job.pictures.map(({ sha }) => sha))),
    );
    for (const job of this.jobs.all())
      for (const { sha } of job.pictures) if (!needed.has(sha)) this.pictures.drop(sha);
  }

  private tidy(): void {
    const ended = this.all().filter(({ state }) => ENDED.has(state));
    for (const { id } of ended.slice(0, Math.max(0, ended.length - REMEMBERED))) this.jobs.delete(id);
  }
}
