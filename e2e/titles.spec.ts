import { expect, test } from '@playwright/test';
import { openPost, scoreOf } from './steps/writer.ts';

test('titles stand side by side with their width and their score; one is taken, and taken back', async ({
  page,
}) => {
  await openPost(page, /Waterproof panniers: how/);
  await page.getByRole('button', { name: 'Compare titles' }).click();
  const dialog = page.getByRole('dialog', { name: 'Titles side by side' });
  const rows = dialog.getByRole('table', { name: 'Titles' }).getByRole('row');
  await expect(rows.nth(1)).toContainText(/\d+ px/);
  expect(await rows.count()).toBeGreaterThan(2);
  await dialog.getByLabel('A title to try').fill('Bags');
  await page.keyboard.press('Enter');
  const bags = rows.filter({ hasText: 'Bags' }).filter({ hasText: 'typed' });
  await expect(bags).toContainText('4 characters');
  const [, worse] = /([\d.]+) −[\d.]+/.exec((await bags.textContent())!)!;
  await bags.getByRole('button', { name: 'Take for title', exact: true }).click();
  await expect(bags).toContainText('is the title');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue('Bags');
  // What was foretold is what came.
  await expect(scoreOf(page)).toHaveText(String(Math.round(Number(worse))));
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue(/Waterproof panniers/);
  // What was typed is there the next time.
  await page.reload();
  await page.getByRole('button', { name: 'Compare titles' }).click();
  await expect(bags).toContainText('4 characters');
});
