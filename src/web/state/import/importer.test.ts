import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { database, openDatabase } from '../../data/database.ts';
import { changeSite, currentSite, ensureSite, pagesOf } from '../../data/sites.ts';
import { store } from '../store.ts';
import { importAddresses, takeBackImport } from './importer.ts';

vi.mock('../../workers/reading-client.ts', () => ({
  ReadingClient: class {
    close() {}
  },
}));

const run = () => store.getState().importRun;
const bring = async (list: string) => importAddresses((await currentSite())!, list);
const LIST = 'https://saltmarsh.example/rent\nhttps://saltmarsh.example/team\n';

beforeEach(async () => {
  openDatabase('importer');
  await Promise.all(database().tables.map((table) => table.clear()));
  await ensureSite();
});

describe('taking an import back', () => {
  it('takes pages out, and the address that the site took from them', async () => {
    await bring(LIST);
    expect((await currentSite())?.baseAddress).toBe('https://saltmarsh.example');
    await takeBackImport();
    expect(run().state).toBe('undone');
    const site = (await currentSite())!;
    expect([site.baseAddress, await pagesOf(site.id)]).toEqual(['', null]);
  });
  it('leaves house rules that were set since, and says that something stays', async () => {
    await bring(LIST);
    const { id } = (await currentSite())!;
    await changeSite(id, { baseAddress: 'https://blog.example', name: 'Named since' });
    await takeBackImport();
    expect(await currentSite()).toMatchObject({ baseAddress: 'https://blog.example', name: 'Named since' });
    expect(run().lines.at(-1)).toMatchObject({
      outcome: 'left',
      said: 'What was changed since stays as it is.',
    });
  });
  it('goes on where one step fails, and names it', async () => {
    await bring(LIST);
    vi.spyOn(database().pages, 'delete').mockRejectedValueOnce(new Error('no room'));
    await takeBackImport();
    expect(run().lines.at(-1)?.said).toMatch(/one step failed: .*no room/);
    expect((await currentSite())?.baseAddress).toBe('');
  });
  it('happens once, and nothing comes in meanwhile', async () => {
    await bring(LIST);
    const first = takeBackImport();
    expect(run().state).toBe('undoing');
    await takeBackImport();
    expect(run().state).toBe('undoing');
    await bring('https://saltmarsh.example/late\n');
    await first;
    expect(run().state).toBe('undone');
    expect(await pagesOf((await currentSite())!.id)).toBeNull();
  });
});
