import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database, openDatabase } from '../data/database.ts';
import { addStudy, changeStudy } from '../data/studies.ts';
import { pageRowOf } from '../data/study-pages.ts';
import type { StudyRow } from '../data/study-rows.ts';
import { type PlanWish, plans } from './plan.ts';
import { studies } from './study.ts';

openDatabase('study-worker');

const html = (title: string, ...sections: [heading: string, text: string][]) =>
  `<html><head><title>${title}</title></head><body><article><h1>${title}</h1>${sections
    .map(([heading, text]) => `<h2>${heading}</h2><p>${text}</p>`)
    .join('')}</article></body></html>`;
const HIGH =
  'At high water the causeway lies under two metres of sea, and a tide table tells the hour of it for every harbour of the coast.';
const LOW =
  'At low water the sand is firm for three hours, and a rider with a tide table crosses it without a wet foot or a pushed bicycle.';
const PAGES: [name: string, content: string][] = [
  ['one', html('Reading a tide table', ['High water', HIGH], ['Low water', LOW])],
  ['two', html('Tide tables explained', ['What is high water?', `${HIGH} Springs are higher.`])],
  ['three', html('A tide table for riders', ['Low water and sand', `${LOW} Neaps leave less.`])],
  ['broken', '<html><body><div id="app"></div></body></html>'],
];

async function begun(id = 'study', patch: Partial<StudyRow> = {}): Promise<void> {
  const contents = await Promise.all(PAGES.map(([, text]) => pageRowOf('s', { format: 'html', text })));
  await addStudy(
    {
      id,
      siteId: 's',
      query: 'tide table',
      region: 'GB',
      made: '2026-11-01T00:00:00Z',
      revision: 1,
      posts: ['p'],
      earlier: '',
      pages: PAGES.map(([name], at) => ({
        key: contents[at].key,
        address: `https://${name}.example/`,
        publisher: name,
        kind: 'blog',
        rank: at + 1,
        title: name,
        left: false,
        problem: '',
      })),
      asked: [{ text: 'When is low water?', place: 'suggestion', volume: 40 }],
      phrases: [],
      choices: { pinned: [], dropped: [], added: [] },
      facts: null,
      ...patch,
    },
    contents,
  );
}

beforeEach(async () => {
  await Promise.all(database().tables.map((table) => table.clear()));
});

describe('a study in its worker', () => {
  it('reads its pages, tells how far it is and which cannot be read, and keeps what the criteria need', async () => {
    await begun();
    const reported: number[] = [];
    const view = (await studies.view('study', 'job', (done) => reported.push(done)))!;
    expect(reported).toEqual([1, 2, 3, 4]);
    expect(view.study.taken).toHaveLength(3);
    expect(
      view.lines.map(({ ref, figures }) => [ref.publisher, figures !== null, ref.problem !== '']),
    ).toEqual([
      ['one', true, false],
      ['two', true, false],
      ['three', true, false],
      ['broken', false, true],
    ]);
    expect(view.study.topics.map(({ name }) => name)).toEqual(expect.arrayContaining(['High water']));
    const kept = (await database().studies.get('study'))!;
    expect(kept.facts?.topics.length).toBe(view.study.topics.length);
    expect(kept.facts?.score?.best).toBeGreaterThan(0);
  });

  it('is worked out anew for other pages, and the same again for the same', async () => {
    await begun();
    const before = (await studies.view('study', 'job'))!.study;
    const leave = (left: boolean) =>
      changeStudy('study', ({ pages }) => ({
        pages: pages.map((page, at) => (at === 1 ? { ...page, left } : page)),
      }));
    await leave(true);
    expect((await studies.view('study', 'job'))!.study.taken).toEqual([
      'https://one.example/',
      'https://three.example/',
    ]);
    await leave(false);
    expect((await studies.view('study', 'job'))!.study).toEqual(before);
  });

  it('can be stopped while it reads, and goes on from there', async () => {
    await begun('stopped', { query: 'low water' });
    const running = studies.view('stopped', 'off', (done) => {
      if (done === 1) studies.callOff('off');
    });
    await expect(running).rejects.toMatchObject({ name: 'AbortError' });
    expect((await database().studies.get('stopped'))?.facts).toBeNull();
    expect((await studies.view('stopped', 'job'))!.study.taken).toHaveLength(3);
  });

  it('shows a page with its terms, a term in use, and what changed since the study before', async () => {
    await begun();
    await studies.view('study', 'job');
    const page = (await studies.page('study', 'https://one.example/', ['high water']))!;
    const marked = page.blocks.flatMap(({ text, marks }) =>
      marks.map(({ start, end }) => text.slice(start, end)),
    );
    expect(marked).toEqual(['High water', 'high water']);
    expect(await studies.page('study', 'https://nobody.example/', [])).toBeNull();
    expect(
      (await studies.examples('study', await studies.keyOf('study', 'Low waters'))).map(
        ({ publisher }) => publisher,
      ),
    ).toEqual(['one', 'three']);
    await begun('later', { earlier: 'study', made: '2026-11-09T00:00:00Z' });
    await changeStudy('later', ({ pages }) => ({ pages: pages.slice(1) }));
    expect((await studies.change('later'))?.change.pagesOut).toEqual(['https://one.example/']);
    expect(await studies.change('study')).toBeNull();
  });

  it('reads a page that was brought as it reads a found one', async () => {
    const bytes = new TextEncoder().encode(PAGES[0][1]);
    const [page] = await studies.readFiles([{ path: 'saved.html', bytes }]);
    expect(page).toMatchObject({ title: 'Reading a tide table', problem: '' });
  });
});

describe('a plan in the same worker', () => {
  const wish: PlanWish = {
    studyId: 'study',
    query: 'tide table',
    keyword: 'tide table',
    points: ['The causeway is ours'],
    must: ['High water'],
    questions: ['When is low water?'],
    words: 600,
    audience: [],
    tone: '',
    characters: 70,
  };
  const item = (text: string) => ({ id: text, level: 2, text, note: '' });
  it('is held against the study, its gaps merged, questions put at its end', async () => {
    await begun();
    const outline = [item('High water by the tide table')];
    const plan = await plans.plan(outline, wish, '1');
    expect(plan.coverage.topics).toEqual([{ text: 'High water', by: 'High water by the tide table' }]);
    expect(plan.coverage.questions[0].by).toBeNull();
    expect(plan.gaps.map(({ text }) => text)).toContain('When is low water?');
    expect(
      plan.budget.intro + Object.values(plan.budget.sections).reduce((sum, words) => sum + words, 0),
    ).toBe(600);
    const merged = plans.merge(outline, plan.gaps);
    expect(merged.length).toBe(1 + plan.gaps.length);
    expect(
      plans
        .faq(merged, ['Is it cold?'])
        .map(({ text }) => text)
        .slice(-2),
    ).toEqual(['Frequently asked questions', 'Is it cold?']);
    expect(
      plans.combine(outline, [{ level: 2, text: 'High waters by a tide table', note: '' }]),
    ).toHaveLength(1);
  });
  it('is proposed from the study, and without one from its points alone', async () => {
    await begun();
    const proposals = await plans.propose(wish, 3, [], '2');
    // Three short pages give one plan; another would only say the same in other words.
    expect(proposals).toHaveLength(1);
    expect(proposals[0].items.map(({ text }) => text)).toContain('The causeway is ours');
    const alone = await plans.propose({ ...wish, studyId: null, must: [] }, 1, [], '');
    expect(alone[0].items.some(({ text }) => text.includes('The causeway is ours'))).toBe(true);
  });
});
