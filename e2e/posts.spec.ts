import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import { openPosts, saved, toPosts } from './steps/writer.ts';

test('every post shows status, keyword, words, score with ridge, the first thing to mend and its points', async ({
  page,
}) => {
  const table = await openPosts(page);
  const row = table.getByRole('row', { name: /How to fix a flat bike tyre/ });
  await expect(row).toContainText('Published');
  await expect(row).toContainText('fix a flat bike tyre');
  await expect(row.getByRole('img', { name: /Listing [\d.]+ of [\d.]+/ })).toBeVisible();
  await expect(row).toContainText(/\+\d\.\d/);
});

test('search, filter by status and sort', async ({ page }) => {
  const table = await openPosts(page);
  const titles = () => table.getByRole('link').allInnerTexts();
  await page.getByRole('searchbox', { name: 'Search posts' }).fill('tyre');
  await expect(table.getByRole('link')).toHaveCount(2);
  await page.getByRole('searchbox', { name: 'Search posts' }).fill('nothing like it');
  await expect(page.getByText('No post matches.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByLabel('Status').selectOption('In review');
  await expect(table.getByRole('link')).toHaveCount(1);
  await page.getByLabel('Status').selectOption('Every status');
  await table.getByRole('button', { name: 'Post', exact: true }).click();
  await expect(table.getByRole('columnheader', { name: 'Post' })).toHaveAttribute('aria-sort', 'ascending');
  expect((await titles())[0]).toMatch(/^A bike tour budget/);
  await table.getByRole('button', { name: 'Score' }).click();
  await expect(table.getByRole('columnheader', { name: 'Score' })).toHaveAttribute('aria-sort', 'descending');
  const scores = (await table.getByRole('row').allInnerTexts())
    .slice(1)
    .map((row) => Number(/\n(\d+)\n?\+|\n(\d+)\s/.exec(row)?.[1] ?? 0));
  expect(scores.filter(Boolean)).toEqual(scores.filter(Boolean).sort((a, b) => b - a));
});

test('a deleted post comes back with Undo; a selection goes and comes back together', async ({ page }) => {
  const table = await openPosts(page);
  const all = await table.getByRole('link').count();
  await table.getByRole('row', { name: /Winter bike storage/ }).hover();
  await table.getByRole('button', { name: 'Delete Winter bike storage' }).click();
  await expect(table.getByRole('link')).toHaveCount(all - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByRole('link')).toHaveCount(all);
  await table.getByRole('checkbox', { name: /Select Tide table/ }).check();
  await table.getByRole('checkbox', { name: /Select Waterproof/ }).check();
  await page.getByRole('button', { name: 'Delete 2' }).click();
  await expect(table.getByRole('link')).toHaveCount(all - 2);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(table.getByRole('link')).toHaveCount(all);
});

test('a selection is exported as a folder of Markdown with its pictures and the site', async ({ page }) => {
  const table = await openPosts(page);
  await table.getByRole('checkbox', { name: /Select Tide table/ }).check();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export 1' }).click(),
  ]);
  const names = Object.keys(unzipSync(readFileSync(await file.path())));
  expect(names.sort()).toEqual(['media/tide-table-cycling.webp', 'site.json', 'tide-table-cycling.md']);
});

test('a new post begins with its target and is in the list afterwards', async ({ page }) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await page.getByLabel('Primary keyword').fill('bike tour packing list');
  await expect(page.getByText(/already the target/)).toHaveCount(0);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Write' }).click();
  await page.getByLabel('Title', { exact: true }).fill('A second packing list');
  await page.getByRole('textbox', { name: 'Draft' }).click();
  await page.keyboard.insertText(
    'A bike tour packing list for people who have read the first one already, and who want to know what we changed our minds about since. '.repeat(
      3,
    ),
  );
  await expect(
    page.getByRole('region', { name: 'Notes' }).getByText(/is already the target of "Bike tour packing list/),
  ).toBeVisible();
  await saved(page);
  const table = await openPosts(page);
  // Another post's first thing to mend may name it too.
  const own = table
    .getByRole('row')
    .filter({ has: page.getByRole('link', { name: 'A second packing list' }) });
  await expect(own).toContainText('bike tour packing list');
});

test('a deleted post lies in the trash: to read, to put back, to remove for good', async ({ page }) => {
  const table = await openPosts(page);
  const post = table.getByRole('link', { name: /Waterproof panniers/ });
  await table.getByRole('checkbox', { name: /Select Waterproof panniers/ }).check();
  await page.getByRole('button', { name: 'Delete 1' }).click();
  await expect(post).toBeHidden();
  await page.getByRole('link', { name: 'Trash (1)' }).click();
  const line = page.getByRole('list', { name: 'Deleted posts' }).getByRole('listitem');
  await expect(line).toContainText('Deleted today, kept for 30 more days');
  await line.getByRole('button', { name: 'Read' }).click();
  await expect(line.getByRole('region', { name: /^Text of/ })).toContainText('roll-top');
  await line.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing in the trash' })).toBeVisible();
  await toPosts(page);
  await expect(post).toBeVisible();
});
