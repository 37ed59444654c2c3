import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';

const kind = (page: Page, name: RegExp) => page.getByRole('tab', { name }).click();

test('what the blog has gathered is found by kind: clashes with the one to keep, doubled titles, what has aged', async ({
  page,
}) => {
  await page.goto('/posts');
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Site' }).click();
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Upkeep' }).click();
  const targets = page.getByRole('list', { name: 'Posts on one target' });
  const packing = targets.getByRole('listitem').filter({ hasText: 'Packing for a tour with children' });
  await expect(packing).toContainText(
    'Bike tour packing list: what a first trip really needs, more clicks, 102 to 0',
  );
  await expect(packing).toContainText(
    '“bike tour packing list” and “packing list for bike tours” are the same words.',
  );
  expect(await faultsOf(page, 'upkeep')).toEqual([]);

  await kind(page, /^Doubled listings/);
  await expect(page.getByRole('list', { name: 'Doubled listings' })).toContainText('Your first bike tour');
  await kind(page, /^Out of date/);
  await expect(page.getByRole('list', { name: 'Posts out of date' })).toContainText('a figure of 2011');
  await kind(page, /^No alt text/);
  const alt = page.getByRole('list', { name: 'Posts with pictures without alt text' });
  await expect(alt.getByRole('listitem').first()).toContainText('+3.9');
  await kind(page, /^Same text/);
  await expect(page.getByText('No two posts say the same in the same words.')).toBeVisible();
});

test('a text that was taken over into another post is found', async ({ page }) => {
  await page.goto('/posts');
  await page.getByRole('row', { name: /Touring brake pads/ }).hover();
  await page.getByRole('button', { name: /^Begin a post from Touring brake pads/ }).click();
  await expect(
    page
      .getByLabel('Primary keyword')
      .or(page.getByRole('textbox', { name: /keyword/i }))
      .first(),
  ).toBeVisible();
  await page.goto('/site/upkeep');
  await kind(page, /^Same text 1/);
  const same = page.getByRole('list', { name: 'Posts with the same text' });
  await expect(same).toContainText('Touring brake pads: change them before the hills');
  await expect(same).toContainText('100 % of the shorter one');
});

test('pictures that are too heavy are made lighter over the whole site, and put back', async ({ page }) => {
  await page.goto('/site/upkeep');
  await kind(page, /^Heavy pictures 2/);
  await page.getByRole('button', { name: 'Make all of them lighter' }).click();
  const said = page
    .getByRole('listitem')
    .filter({ hasText: /2 pictures made lighter: .+ became .+\. The originals are kept\./ });
  await expect(said).toBeVisible();
  await expect(page.getByRole('tab', { name: 'Heavy pictures 0' })).toBeVisible();
  await said.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('tab', { name: 'Heavy pictures 2' })).toBeVisible();
});
