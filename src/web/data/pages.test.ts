import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database, openDatabase } from './database.ts';
import { addPages, pagesOf, removePages, restorePages } from './sites.ts';

const page = (path: string, title?: string) => ({
  address: `https://saltmarsh.example${path}`,
  ...(title ? { title } : {}),
});
const titles = async () =>
  Object.fromEntries(
    (await pagesOf('s'))?.map(({ address, title }) => [address.slice(25), title ?? '']) ?? [],
  );
const retitle = (path: string, title: string) => database().pages.update(['s', path], { title });

beforeEach(async () => {
  openDatabase('test');
  await database().pages.clear();
});

describe('pages of a site', () => {
  it('come in once, and a title that was missing is filled in', async () => {
    await addPages('s', [page('/rent'), page('/courses', 'Courses')]);
    const { added } = await addPages('s', [
      page('/rent', 'Rent a bike'),
      page('/courses', 'Other'),
      page('/team'),
    ]);
    expect(added).toBe(1);
    expect(await titles()).toEqual({ '/rent': 'Rent a bike', '/courses': 'Courses', '/team': '' });
  });
  it('are taken back as far as nothing of them was changed since', async () => {
    await addPages('s', [page('/rent')]);
    const { takeBack } = await addPages('s', [
      page('/rent', 'Rent'),
      page('/team', 'Team'),
      page('/about', 'About'),
    ]);
    await retitle('/team', 'Who we are');
    expect(await takeBack()).toBe(1);
    expect(await titles()).toEqual({ '/rent': '', '/team': 'Who we are' });
  });
  it('whose filled-in title was changed since keep it', async () => {
    await addPages('s', [page('/rent')]);
    const { takeBack } = await addPages('s', [page('/rent', 'Rent')]);
    await retitle('/rent', 'Rent a touring bike');
    expect(await takeBack()).toBe(1);
    expect(await titles()).toEqual({ '/rent': 'Rent a touring bike' });
  });
  it('that were taken out since stay out, and nothing is said of them', async () => {
    const { takeBack } = await addPages('s', [page('/rent', 'Rent')]);
    await removePages(await database().pages.toArray());
    expect(await takeBack()).toBe(0);
    expect(await pagesOf('s')).toBeNull();
  });
  it('that came in again after they were taken out are not put back over', async () => {
    await addPages('s', [page('/rent', 'Rent'), page('/team', 'Team')]);
    const rows = await database().pages.toArray();
    await removePages(rows);
    await addPages('s', [page('/rent', 'Rent a bike')]);
    await restorePages(rows);
    expect(await titles()).toEqual({ '/rent': 'Rent a bike', '/team': 'Team' });
  });
  it('called by hostile words are pages like others', async () => {
    const { added, takeBack } = await addPages('s', [page('/constructor', 'toString'), page('/__proto__')]);
    expect(added).toBe(2);
    expect(await takeBack()).toBe(0);
    expect(await pagesOf('s')).toBeNull();
  });
});
