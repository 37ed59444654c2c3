import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BroughtPage } from '../../../../core/formats/index.ts';
import { database, openDatabase } from '../../../data/database.ts';
import { changeStudy, studiesOf, studyOfPost } from '../../../data/studies.ts';
import { bringPages } from './start-study.ts';

openDatabase('brought-pages');
/** Called in the middle of reading: what another tab, or the writer, does meanwhile. */
let meanwhile = async (): Promise<void> => {};
vi.mock('../../../workers/study-client.ts', async () => {
  const { studies } = await import('../../../workers/study.ts');
  return {
    studyWorker: async () => ({
      ...studies,
      changeOf: async (...given: Parameters<typeof studies.changeOf>) => {
        await meanwhile();
        return studies.changeOf(...given);
      },
    }),
  };
});
vi.mock('../../../services/market.ts', () => ({
  market: { questions: async () => [], keywords: async () => [] },
}));

const wanted = { siteId: 's', postId: 'p', query: 'tide table', region: 'GB' };
const page = (name: string, text: string, problem = ''): BroughtPage => ({
  path: `${name}.html`,
  address: `https://${name}.example/`,
  publisher: name,
  title: name,
  format: 'markdown',
  text,
  problem,
});
const NOW = '2026-11-01T10:00:00Z';
const at = (...names: string[]) => new Map(names.map((name) => [`https://${name}.example/`, NOW]));
const pages = async () =>
  (await studyOfPost('s', 'p'))?.pages.map(({ publisher, rank, left, read }) => [
    publisher,
    rank,
    left,
    read ?? '',
  ]);

beforeEach(async () => {
  meanwhile = async () => {};
  await Promise.all(database().tables.map((table) => table.clear()));
});

describe('pages that are brought', () => {
  it('begin a study; what cannot be read leaves nothing, and nothing alone begins none', async () => {
    expect(await bringPages(wanted, [page('one', '', 'There is no page (404).')], NOW)).toEqual({
      added: 0,
      again: [],
    });
    expect(await studiesOf('s')).toEqual([]);
    const brought = await bringPages(
      wanted,
      [page('one', '# One'), page('two', '', 'gone'), page('three', '# Three')],
      NOW,
    );
    expect(brought.added).toBe(2);
    expect(await pages()).toEqual([
      ['one', 1, false, ''],
      ['three', 2, false, ''],
    ]);
  });
  it('of one address under two names are one page', async () => {
    const { added, again } = await bringPages(
      wanted,
      [page('one', '# One'), page('one', '# One')],
      NOW,
      at('one'),
    );
    expect([added, again]).toEqual([1, []]);
    expect(await pages()).toEqual([['one', 1, false, NOW]]);
  });
  it('that are read again keep what was decided about them meanwhile, and what another tab brought is not there twice', async () => {
    await bringPages(wanted, [page('one', '# One\n\nTwo words')], NOW);
    const study = (await studyOfPost('s', 'p'))!;
    meanwhile = async () => {
      await changeStudy(study.id, (row) => ({
        pages: [
          ...row.pages.map((each) => ({ ...each, left: true })),
          { ...row.pages[0], address: 'https://two.example/', publisher: 'two', rank: 2, left: true },
        ],
      }));
    };
    const { added, again } = await bringPages(
      wanted,
      [page('one', '# One\n\n## New\n\nThree more words'), page('two', '# Two')],
      NOW,
      at('one', 'two'),
    );
    expect(added).toBe(1);
    expect(again[0].change).toMatchObject({ headingsIn: ['New'] });
    // What the page had before is named by nothing and lies there no more.
    expect(await database().studyPages.count()).toBe(2);
    expect(await pages()).toEqual([
      ['one', 1, true, NOW],
      ['two', 2, true, NOW],
    ]);
  });
  it('go into the study that was begun while they were read', async () => {
    await bringPages(wanted, [page('one', '# One')], NOW);
    await bringPages(wanted, [page('two', '# Two')], NOW);
    expect(await studiesOf('s')).toHaveLength(1);
    expect(await pages()).toHaveLength(2);
  });
});
