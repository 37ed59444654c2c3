import type { Limits } from '../../../core/criteria/index.ts';
import {
  type Along,
  answerMisses,
  askedAgain,
  type FieldValue,
  type Finish,
  isRepeat,
  type Pattern,
  readAnswer,
  type TextRequest,
  type TextService,
  type TextWay,
  type TitleShown,
  withoutRepeats,
  wordsOf,
} from '../../../core/writing/index.ts';
import { type AskedRow, beginGeneration, growGeneration } from '../../data/generations.ts';
import type { GenerationAsked } from '../../data/study-rows.ts';

/** A request that is ready to be sent. */
export interface ReadyRequest {
  pattern: Pattern;
  values: FieldValue[];
  along: readonly Along[];
  request: TextRequest;
}

/** One part of a text: what stands before it, and its request, made when its turn comes. */
export interface TextPart {
  /** Markdown that stands before the answer: the heading of a section. */
  lead: string;
  /** What is being written, for the progress. */
  name: string;
  prepare(): Promise<ReadyRequest>;
}

/** Where a run belongs and by what it is answered. */
export interface RunAround {
  siteId: string;
  postId: string;
  way: TextWay;
  service: TextService;
  limits: Limits;
  site: TitleShown;
  /** Runs of one place have one group. */
  group: string;
  /** Words at which a text of several parts is long enough; null: it has all its parts. */
  until: number | null;
}

/** How a run stands. */
export interface RunState {
  /** Markdown, as far as it has come. */
  text: string;
  finish: Finish | 'running';
  /** The service asked to wait until then (milliseconds since 1970). */
  wait: { until: number; why: string } | null;
  /** Empty: without a model. */
  model: string;
  problem: string;
  note: string;
  /** What the answer misses of what was asked. */
  misses: string[];
  /** Pieces that said what earlier answers said, and were dropped. */
  dropped: number;
  /** Times that it was asked again because the answer missed. */
  again: number;
  /** Of a text of several parts: which one is being written. */
  part: { at: number; of: number; name: string } | null;
  /** Generations that it was kept as. */
  rows: string[];
}

/** A text that is coming, or that came: it is watched, and can be stopped. */
export interface TextInHand {
  /** Tells one from another. */
  readonly key: string;
  readonly state: RunState;
  /** Resolves when it has ended. */
  readonly done: Promise<void>;
  readonly isRunning: boolean;
  subscribe: (listener: () => void) => () => void;
  snapshot: () => RunState;
  /** Ends it; what has come stays. */
  stop(): void;
}

/** A text that is shown anew at most so often, and kept at most so often, in milliseconds. */
const SHOWN_EVERY = 100;
const KEPT_EVERY = 1000;
/** Times that a model is asked again where its answer misses. */
const MOST_AGAIN = 2;
const TITLE_LENGTH = 90;

const bareTitle = (text: string, otherwise: string) =>
  text
    .split('\n')
    .map((line) => line.replace(/^[#>\s*-]+/, '').trim())
    .find(Boolean)
    ?.slice(0, TITLE_LENGTH) || otherwise;

/**
 * A text on its way: asked for part by part, shown and kept as it comes. It lives outside of any screen, ends by itself or when it is
 * stopped, and never loses what has come.
 */
export class TextRun implements TextInHand {
  readonly key = crypto.randomUUID();
  state: RunState = {
    text: '',
    finish: 'running',
    wait: null,
    model: '',
    problem: '',
    note: '',
    misses: [],
    dropped: 0,
    again: 0,
    part: null,
    rows: [],
  };
  readonly done: Promise<void>;
  private readonly stopping = new AbortController();
  private readonly listeners = new Set<() => void>();
  private shownAt = 0;
  private showTimer: ReturnType<typeof setTimeout> | null = null;

  constructor(
    private readonly parts: readonly TextPart[],
    private readonly around: RunAround,
  ) {
    this.done = this.run().catch((error: unknown) => {
      this.set({
        finish: 'failed',
        problem: error instanceof Error ? error.message : 'The text could not be made.',
      });
    });
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): RunState => this.state;

  stop(): void {
    this.stopping.abort();
  }

  get isRunning(): boolean {
    return this.state.finish === 'running';
  }

  private async run(): Promise<void> {
    const { until } = this.around;
    let finish: Finish = 'done';
    const lacking: string[] = [];
    for (const [at, part] of this.parts.entries()) {
      if (this.stopping.signal.aborted) {
        finish = 'stopped';
        break;
      }
      if (this.parts.length > 1) this.set({ part: { at: at + 1, of: this.parts.length, name: part.name } });
      const before = this.state.text === '' ? '' : `${this.state.text.trimEnd()}\n\n`;
      this.set({ text: before + part.lead });
      finish = await this.answer(await part.prepare(), before + part.lead);
      // Where there is nothing to make one section from, the others may have something: its heading waits.
      if (finish === 'failed' && this.parts.length > 1 && this.around.way.kind === 'stand-in') {
        lacking.push(part.name);
        finish = 'done';
        continue;
      }
      if (finish === 'failed' || finish === 'stopped') break;
      if (until !== null && wordsOf([this.state.text]) >= until) break;
    }
    this.set({
      finish,
      wait: null,
      part: null,
      ...(lacking.length > 0
        ? {
            problem: `Nothing is known for ${lacking.map((name) => `“${name}”`).join(', ')}: the heading stands alone.`,
          }
        : {}),
    });
  }

  /** Asks once, and again where a model's answer misses what was asked for. */
  private async answer(ready: ReadyRequest, lead: string): Promise<Finish> {
    const { pattern, values } = ready;
    let { request } = ready;
    for (let again = 0; ; again++) {
      const { finish, text } = await this.generate({ ...ready, request }, lead);
      if (finish === 'failed' || finish === 'stopped' || this.around.way.kind === 'stand-in') return finish;
      const pieces = readAnswer(text, pattern.readAs);
      const { before } = ready.request.compose;
      const { fresh, dropped } = withoutRepeats(pieces, before, pattern.readAs);
      const isWhole = pattern.readAs === 'paragraphs' || pattern.readAs === 'text';
      const repeats = isWhole
        ? isRepeat(pieces.join('\n\n'), before, pattern.readAs)
        : fresh.length < Math.ceil(pieces.length / 2);
      const misses = [
        ...answerMisses(pieces, pattern, values, this.around.limits, this.around.site),
        ...(repeats ? ['It says what was answered before. Give something else.'] : []),
      ];
      if (misses.length === 0 || again === MOST_AGAIN) {
        if (!isWhole && dropped > 0)
          this.set({ text: lead + fresh.join('\n'), dropped: this.state.dropped + dropped });
        this.set({ misses });
        return finish;
      }
      this.set({ again: this.state.again + 1, misses });
      request = askedAgain(request, text, misses);
    }
  }

  private async generate(
    { pattern, values, along, request }: ReadyRequest,
    lead: string,
  ): Promise<{ finish: Finish; text: string }> {
    const { siteId, postId, service, way, group } = this.around;
    const began = Date.now();
    const row: AskedRow = {
      id: crypto.randomUUID(),
      siteId,
      postId,
      at: new Date(began).toISOString(),
      recipe: 'pattern',
      title: pattern.name,
      input: values
        .filter(({ value }) => value.trim())
        .map(({ id, value }) => `${pattern.fields.find((field) => field.id === id)?.name ?? id}: ${value}`)
        .join('\n'),
      output: '',
      asked: {
        pattern: pattern.id,
        patternName: pattern.name,
        values,
        along: [...along],
        messages: request.messages,
        service: way.kind,
        model: '',
        finish: 'running',
        problem: '',
        note: '',
        ms: 0,
        into: pattern.into,
        readAs: pattern.readAs,
        taken: 'no',
        group,
      },
    };
    let text = '';
    let keptAt = began;
    let keepTimer: ReturnType<typeof setTimeout> | null = null;
    // In order: an earlier state must not come after a later one.
    let lastKept: Promise<unknown> = Promise.resolve();
    const inOrder = (work: () => Promise<void>) => {
      lastKept = lastKept.then(work).catch((error: unknown) => {
        console.error('A text could not be kept:', error);
      });
    };
    const keep = (more: Partial<GenerationAsked> = {}) => {
      if (keepTimer) clearTimeout(keepTimer);
      keepTimer = null;
      keptAt = Date.now();
      const grown = { output: text, title: bareTitle(text, pattern.name) };
      const asked = { ms: keptAt - began, ...more };
      inOrder(() => growGeneration(row.id, grown, asked));
    };
    this.set({ rows: [...this.state.rows, row.id] });
    inOrder(() => beginGeneration(row));
    for await (const event of service.generate(request, { signal: this.stopping.signal })) {
      if (event.kind === 'wait') {
        this.set({ wait: { until: Date.now() + 1000 * event.seconds, why: event.why } });
      } else if (event.kind === 'piece') {
        const isFirst = text === '';
        text += event.text;
        this.show(lead + text);
        // What came last is kept too, however long the next piece takes.
        if (isFirst) keep();
        else keepTimer ??= setTimeout(() => keep(), Math.max(0, keptAt + KEPT_EVERY - Date.now()));
      } else {
        const { finish, model, problem, note } = event;
        keep({ finish, model, problem, note });
        this.set({ text: lead + text, wait: null, model, problem, note });
        await lastKept;
        return { finish, text };
      }
    }
    keep({ finish: 'failed', problem: 'The answer has no end.' });
    await lastKept;
    return { finish: 'failed', text };
  }

  private set(more: Partial<RunState>): void {
    this.state = { ...this.state, ...more };
    this.tell();
  }

  /** Shows text as it comes, not with every piece: many come within one frame. */
  private show(text: string): void {
    this.state = { ...this.state, text, wait: null };
    this.showTimer ??= setTimeout(
      () => {
        this.showTimer = null;
        this.tell();
      },
      Math.max(0, this.shownAt + SHOWN_EVERY - performance.now()),
    );
  }

  private tell(): void {
    this.shownAt = performance.now();
    for (const listener of this.listeners) listener();
  }
}
