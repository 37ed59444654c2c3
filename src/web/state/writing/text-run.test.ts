import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { defaultProfile } from '../../../core/criteria/index.ts';
import {
  ALONG,
  filledFields,
  nothingKnown,
  requestOf,
  SHIPPED_PATTERNS,
  type TextEvent,
  type TextService,
  type TextWay,
} from '../../../core/writing/index.ts';
import { database, openDatabase } from '../../data/database.ts';
import { changeGeneration, generationsOfSite, removeGenerations, sayRead } from '../../data/generations.ts';
import { type TextPart, TextRun } from './text-run.ts';

openDatabase('text-run');
beforeEach(() => database().generations.clear());

const ENDPOINT: TextWay = { kind: 'endpoint', base: 'http://localhost/v1', model: 'm' };
const STAND_IN: TextWay = { kind: 'stand-in', base: '', model: '' };
const end = (more: Partial<Extract<TextEvent, { kind: 'end' }>> = {}): TextEvent => ({
  kind: 'end',
  finish: 'done',
  model: 'played-1',
  problem: '',
  note: '',
  usage: null,
  ...more,
});
const piece = (text: string): TextEvent => ({ kind: 'piece', text });

/** A service that answers each request in turn; the last answer stands for all further ones. */
function played(...answers: (readonly TextEvent[])[]) {
  const asked: string[][] = [];
  const service: TextService = {
    async *generate({ messages }, { signal }) {
      asked.push(messages.map(({ content }) => content));
      for (const event of answers[Math.min(asked.length, answers.length) - 1]) {
        await new Promise((done) => setTimeout(done, 1));
        if (signal.aborted) {
          yield end({ finish: 'stopped' });
          return;
        }
        yield event;
      }
    },
  };
  return { service, asked };
}

const part = (id: string, lead = '', before: string[] = []): TextPart => {
  const pattern = SHIPPED_PATTERNS.find((one) => one.id === id)!;
  const known = { ...nothingKnown(), brief: { ...nothingKnown().brief, keyword: 'tides', title: 'Tides' } };
  const values = filledFields(pattern, known);
  return {
    lead,
    name: lead || id,
    prepare: async () => ({
      pattern,
      values,
      along: pattern.along,
      request: requestOf({
        pattern,
        values,
        known,
        along: ALONG,
        limits: defaultProfile.limits,
        site: { titlePattern: null, name: '' },
        before,
        seed: 0,
      }),
    }),
  };
};
const run = (parts: TextPart[], service: TextService, way = ENDPOINT, until: number | null = null) =>
  new TextRun(parts, {
    siteId: 's',
    postId: 'p',
    way,
    service,
    limits: defaultProfile.limits,
    site: { titlePattern: null, name: '' },
    group: 'g',
    until,
  });
const TITLES = 'One of the tides\nTwo ebbs\nThree ways over';

describe('a text on its way', () => {
  it('is shown as it comes, and kept with what was asked and what became of it', async () => {
    const { service } = played([
      piece('One of '),
      piece('the tides\nTwo ebbs\nThree ways over'),
      end({ problem: 'A gap.' }),
    ]);
    const text = run([part('titles')], service);
    const shown: string[] = [];
    text.subscribe(() => shown.push(text.snapshot().text));
    await text.done;
    expect(text.state).toMatchObject({
      text: TITLES,
      finish: 'done',
      model: 'played-1',
      problem: 'A gap.',
      misses: [],
    });
    expect(shown.at(-1)).toBe(TITLES);
    const [row] = await generationsOfSite('s');
    expect(row).toMatchObject({
      postId: 'p',
      recipe: 'pattern',
      title: 'One of the tides',
      output: TITLES,
      asked: {
        pattern: 'titles',
        finish: 'done',
        model: 'played-1',
        taken: 'no',
        group: 'g',
        problem: 'A gap.',
      },
    });
    expect(row.asked!.messages[1].content).toContain('Tides');
  });
  it('is kept from its first piece on, whatever happens then', async () => {
    let go = () => {};
    const held = new Promise<void>((done) => {
      go = done;
    });
    const text = run([part('titles')], {
      async *generate() {
        yield piece('One of');
        await held;
        yield piece(' the tides\nTwo ebbs\nThree ways over');
        yield end();
      },
    });
    // No further piece comes, and no end: a page that is closed now has kept what it showed.
    await expect
      .poll(async () => (await generationsOfSite('s'))[0]?.output, { timeout: 5000 })
      .toBe('One of');
    expect((await generationsOfSite('s'))[0].asked!.finish).toBe('running');
    go();
    await text.done;
    expect((await generationsOfSite('s'))[0].output).toBe(TITLES);
  });
  it('is asked again where it misses, with what it missed; each answer is kept', async () => {
    const { service, asked } = played([piece('Only one'), end()], [piece(TITLES), end()]);
    const text = run([part('titles')], service);
    await text.done;
    expect(text.state).toMatchObject({ text: TITLES, again: 1, misses: [] });
    expect(asked[1].at(-1)).toContain('1 came; 5 were asked for.');
    expect(await generationsOfSite('s')).toHaveLength(2);
  });
  it('is asked three times at most, and then what it misses is said', async () => {
    const { service, asked } = played([piece('Only one'), end()]);
    const text = run([part('titles')], service);
    await text.done;
    expect(asked).toHaveLength(3);
    expect(text.state).toMatchObject({
      finish: 'done',
      text: 'Only one',
      misses: ['1 came; 5 were asked for.'],
    });
  });
  it('gives nothing again that was answered before: a few are dropped, more are asked for anew', async () => {
    const { service, asked } = played(
      [piece('One of the tides\nTwo ebbs\nA third thing'), end()],
      [piece('The tides, one of them\nFour springs\nFive neaps\nSix floods'), end()],
    );
    const text = run([part('titles', '', ['One of the tides', 'Two ebbs'])], service);
    await text.done;
    expect(asked[1].at(-1)).toContain('It says what was answered before.');
    expect(text.state).toMatchObject({ text: 'Four springs\nFive neaps\nSix floods', dropped: 1, again: 1 });
  });
  it('is stopped, and what has come stays', async () => {
    const { service } = played([
      piece('One of'),
      ...Array.from({ length: 500 }, () => piece(' more')),
      end(),
    ]);
    const text = run([part('titles')], service);
    await expect.poll(() => text.state.text.length).toBeGreaterThan(6);
    text.stop();
    await text.done;
    expect(text.state.finish).toBe('stopped');
    expect(text.isRunning).toBe(false);
    expect((await generationsOfSite('s'))[0]).toMatchObject({
      output: text.state.text,
      asked: { finish: 'stopped' },
    });
  });
  it('of several parts goes on to the words that were asked for', async () => {
    const { service, asked } = played([piece('word '.repeat(100)), end()]);
    const parts = ['## One\n\n', '## Two\n\n', '## Three\n\n'].map((lead) => part('section', lead));
    const text = run(parts, service, STAND_IN, 150);
    await text.done;
    expect(asked).toHaveLength(2);
    expect(text.state.text).toMatch(/^## One\n\n(?:word ?)+\n\n## Two\n\n(?:word ?)+$/);
    expect(text.state.rows).toHaveLength(2);
  });
  it('of several parts goes on where there is nothing to make one from, and says for which', async () => {
    const { service } = played(
      [end({ finish: 'failed', problem: 'Nothing.', model: '' })],
      [piece('Some words.'), end({ model: '' })],
    );
    const text = run(
      ['## One\n\n', '## Two\n\n'].map((lead) => part('section', lead)),
      service,
      STAND_IN,
    );
    await text.done;
    expect(text.state).toMatchObject({
      finish: 'done',
      problem: 'Nothing is known for “## One\n\n”: the heading stands alone.',
    });
    expect(text.state.text).toBe('## One\n\n## Two\n\nSome words.');
  });
  it('fails with a sentence where it cannot even be asked for', async () => {
    const text = run(
      [{ lead: '', name: 'x', prepare: () => Promise.reject(new Error('The site is gone.')) }],
      played([end()]).service,
    );
    await text.done;
    expect(text.state).toMatchObject({ finish: 'failed', problem: 'The site is gone.' });
  });
});

describe('a text that a person works with while it comes', () => {
  it('keeps what was taken and read of it, whatever comes after', async () => {
    let go = () => {};
    const held = new Promise<void>((done) => {
      go = done;
    });
    const text = run([part('section')], {
      async *generate() {
        yield piece('word '.repeat(80));
        await held;
        yield piece('word '.repeat(70));
        yield end();
      },
    });
    await expect.poll(async () => (await generationsOfSite('s'))[0]?.output.length ?? 0).toBeGreaterThan(0);
    await changeGeneration(text.state.rows[0], () => ({ taken: 'part', blocks: ['a'] }));
    await sayRead('s', 'p', ['a']);
    go();
    await text.done;
    const [row] = await generationsOfSite('s');
    expect(row).toMatchObject({ read: ['a'], asked: { taken: 'part', blocks: ['a'], finish: 'done' } });
    expect(row.output.length).toBe(750);
  });
  it('stays away where it was cleared meanwhile', async () => {
    let go = () => {};
    const held = new Promise<void>((done) => {
      go = done;
    });
    const text = run([part('titles')], {
      async *generate() {
        yield piece('One');
        await held;
        yield piece(' of the tides\nTwo ebbs\nThree ways over');
        yield end();
      },
    });
    await expect.poll(async () => (await generationsOfSite('s'))[0]?.output ?? '').toBe('One');
    await removeGenerations(text.state.rows);
    go();
    await text.done;
    expect(text.state.text).toBe(TITLES);
    expect(await generationsOfSite('s')).toEqual([]);
  });
});

describe('what was generated', () => {
  it('is said to be read, with a way back, and cleared, with a way back', async () => {
    const { service } = played([piece(TITLES), end()]);
    await run([part('titles')], service).done;
    const [{ id }] = await generationsOfSite('s');
    await changeGeneration(id, () => ({ taken: 'part', blocks: ['a', 'b'] }));
    const readNow = async () => (await generationsOfSite('s'))[0]?.read ?? [];
    const takeBack = await sayRead('s', 'p', ['a', 'stranger']);
    expect(await readNow()).toEqual(['a']);
    await sayRead('s', 'p', ['b']);
    await takeBack();
    expect(await readNow()).toEqual(['b']);
    const back = await removeGenerations([id]);
    expect(await generationsOfSite('s')).toEqual([]);
    await changeGeneration(id, () => ({ taken: 'whole' }));
    expect(await generationsOfSite('s')).toEqual([]);
    await back();
    expect(await readNow()).toEqual(['b']);
  });
});
