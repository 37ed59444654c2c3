import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Block, emptyFields, readMarkdown } from '../../core/draft/index.ts';
import type { ScoreAnswer, ScoreRequest } from './scoring-worker.ts';

const calls: {
  request: ScoreRequest;
  answer: (value: Partial<ScoreAnswer>) => void;
  fail: (error: Error) => void;
}[] = [];

vi.mock('comlink', () => ({
  proxy: (value: unknown) => value,
  wrap: () => ({
    watch: async () => {},
    score: (request: ScoreRequest) =>
      new Promise((answer, fail) => {
        calls.push({ request, answer: answer as never, fail });
      }),
  }),
}));

vi.mock('../data/database.ts', () => ({ database: () => ({ name: 'd' }) }));
vi.mock('../data/watch-scene.ts', () => ({ watchScene: () => {} }));
vi.mock('../data/storage.ts', () => ({ storageKind: () => 'kept' }));

beforeEach(() => {
  calls.length = 0;
  vi.stubGlobal(
    'Worker',
    class {
      terminate() {}
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

async function client() {
  const { ScoringClient } = await import('./scoring-client.ts');
  const answers: ScoreAnswer[] = [];
  const failures: string[] = [];
  return {
    client: new ScoringClient(
      { siteId: 's', postId: 'p' },
      {
        onAnswer: (answer) => answers.push(answer),
        onScene: () => {},
        onFailure: (reason) => failures.push(reason),
      },
    ),
    answers,
    failures,
  };
}

const document = (blocks: Block[]) => ({ fields: emptyFields(), draft: { version: 1 as const, blocks } });
const settle = () => new Promise((done) => setTimeout(done));

describe("the page's side of scoring", () => {
  const { blocks } = readMarkdown('One.\n\nTwo.\n\nThree.').draft;

  it('sends everything first, then only blocks that changed', async () => {
    const { client: scoring } = await client();
    scoring.request(1, document(blocks));
    await settle();
    calls[0].answer({});
    await settle();
    const changed = { ...blocks[1], text: 'Two and more.' };
    scoring.request(2, document(blocks.with(1, changed)));
    await settle();
    expect(calls.map(({ request }) => request.changed.length)).toEqual([3, 1]);
    expect(calls[1].request.changed[0]).toBe(changed);
    expect(calls[1].request.order).toEqual(['b1', 'b2', 'b3']);
  });

  it('remembers only the latest request while one is under way', async () => {
    const { client: scoring, answers } = await client();
    scoring.request(1, document(blocks));
    scoring.request(2, document(blocks.slice(1)));
    scoring.request(3, document(blocks.slice(2)));
    await settle();
    expect(calls.length).toBe(1);
    calls[0].answer({ revision: 1 });
    await settle();
    expect(calls.length).toBe(2);
    expect(calls[1].request.order).toEqual(['b3']);
    calls[1].answer({ revision: 3 });
    await settle();
    expect(answers.map((answer) => answer.revision)).toEqual([1, 3]);
  });

  it('tells of a failure and sends everything again after it', async () => {
    const { client: scoring, failures } = await client();
    scoring.request(1, document(blocks));
    await settle();
    calls[0].fail(new Error('out of memory'));
    await settle();
    expect(failures).toEqual(['out of memory']);
    scoring.request(2, document(blocks));
    await settle();
    expect(calls[1].request.changed.length).toBe(3);
  });
});
