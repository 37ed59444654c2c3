import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DraftReadings, fixesFor } from '../core/criteria/index.ts';
import { readPostFile, UnreadableFile } from '../core/draft/index.ts';
import { Vocabulary } from '../core/language/index.ts';
import { emptyScene, scorePost } from '../core/scoring/index.ts';
import { indexedPost } from '../core/site/index.ts';
import { type OddInput, oddInputs } from './odd-inputs.test-data.ts';

const LONG = process.env['LONG'] === '1';
/** In the everyday run one of so many inputs is tried; `LONG=1` tries all. */
const EVERY = LONG ? 1 : 12;
const LENGTH = 100_000;
/** Milliseconds below which nothing is said of how work grows. */
const SHORT = 700;
/** Milliseconds from which a run of the command line is made again, and how often at most. */
const SLOW = 1300;
const TRIES = 4;
/** Four times the text may cost so many times the work. */
const MOST_GROWTH = 9;

/** Milliseconds of reading and scoring, and the score; null: refused in a sentence. */
async function scored(name: string, text: string): Promise<{ time: number; score: number | null }> {
  const begun = performance.now();
  let score: number | null = null;
  try {
    const { fields, draft } = await readPostFile(new TextEncoder().encode(text), name);
    const post = indexedPost(name, { fields }, name);
    const { facts, context, report } = scorePost(
      { fields, draft },
      post,
      emptyScene(),
      new DraftReadings(new Vocabulary()),
    );
    score = report.score;
    // What each criterion would change is worked out on the same page.
    for (const { id, advice } of report.criteria)
      if (advice !== null) expect(fixesFor(id, facts, context).length).toBeLessThan(100);
  } catch (error) {
    expect([name, error]).toEqual([name, expect.any(UnreadableFile)]);
    expect((error as Error).message).toMatch(/^cannot be read(?: as text)?: .*\.$/);
  }
  return { time: performance.now() - begun, score };
}

async function judge({ name, text }: OddInput): Promise<string | null> {
  const whole = await scored(name, text(LENGTH));
  if (whole.score !== null) expect([name, Number.isFinite(whole.score)]).toEqual([name, true]);
  if (whole.time < SHORT) return null;
  let { time } = whole;
  let part = (await scored(name, text(LENGTH / 4))).time;
  // What a text costs is told by the best of its runs: a machine that has other work makes any of them longer.
  for (let tries = 1; time / part > MOST_GROWTH && tries < TRIES; tries++) {
    time = Math.min(time, (await scored(name, text(LENGTH))).time);
    part = Math.min(part, (await scored(name, text(LENGTH / 4))).time);
  }
  return time / part <= MOST_GROWTH ? null : `${name}: ${Math.round(part)} ms became ${Math.round(time)} ms`;
}

describe('texts of a hundred thousand characters that nobody should send', () => {
  it('are scored with work in proportion to their length, or refused in a sentence', async () => {
    // Tables are built with the first text.
    await scored('first.md', 'The tide is high.');
    const inputs = oddInputs();
    expect(inputs.length).toBeGreaterThan(500);
    const slow: string[] = [];
    for (const [at, input] of inputs.entries())
      if (at % EVERY === 0) slow.push(...[await judge(input)].flatMap((said) => said ?? []));
    expect(slow).toEqual([]);
  }, 900_000);
});

describe.runIf(LONG)('the same texts given to the command line', () => {
  it('come back with a finite score, or with one sentence', () => {
    const folder = mkdtempSync(join(tmpdir(), 'odd-'));
    const slow: string[] = [];
    let slowest = { name: '', time: 0 };
    let refused = 0;
    let again = 0;
    for (const [at, { name, text }] of oddInputs().entries()) {
      const file = join(folder, `${at}.${name.split('.').at(-1)}`);
      writeFileSync(file, text(LENGTH));
      let time = Number.POSITIVE_INFINITY;
      let run = null;
      // What an input costs is told by the best of its runs: a machine that has other work makes any of them longer.
      for (let tries = 0; run === null || (time > SLOW && tries < TRIES); tries++) {
        const begun = performance.now();
        run = spawnSync('bin/dune-sparrow', ['score', file, '--json'], {
          encoding: 'utf8',
          maxBuffer: 2 ** 28,
        });
        time = Math.min(time, performance.now() - begun);
        if (tries > 0) again += 1;
      }
      rmSync(file);
      if (time > slowest.time) slowest = { name, time };
      if (time > SLOW) slow.push(`${name} ${Math.round(time)}`);
      if (run.status === 0) {
        expect([name, Number.isFinite(JSON.parse(run.stdout).score)]).toEqual([name, true]);
      } else {
        refused += 1;
        expect([name, run.status]).toEqual([name, 2]);
        expect(run.stderr.trim()).toMatch(/^[^\n]+ cannot be read[^\n]*\.$/);
      }
    }
    rmSync(folder, { recursive: true });
    console.info(
      `${refused} refused; slowest ${Math.round(slowest.time)} ms: ${slowest.name}; ${again} runs made again; above ${SLOW} ms: ${slow.join(', ') || 'none'}`,
    );
  }, 1_800_000);
});
