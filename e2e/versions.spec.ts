import { expect, type Page, test } from '@playwright/test';
import { exactScore, goTo, openPost, paste, saved } from './steps/writer.ts';

const versions = (page: Page) => page.getByRole('region', { name: 'Kept versions' });
const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

async function keep(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByLabel('Keep a version now').fill(name);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(versions(page).getByRole('button', { name: new RegExp(name) })).toContainText(/\d words/);
}

test('a version by hand, its score by group, side by side by words, restored and taken back', async ({
  page,
}) => {
  await openPost(page, /Waterproof panniers/);
  const before = await exactScore(page);
  await keep(page, 'As it went out');
  const row = versions(page).getByRole('button', { name: /As it went out/ });
  await expect(row).toContainText(String(Math.round(before)));
  await expect(row.getByRole('img', { name: /Score by group: Listing/ })).toBeVisible();
  await expect(page.getByText('The two are the same.')).toBeVisible();

  await goTo(page, 'Write');
  await draft(page).getByText('Close it three turns').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' Four turns are better.');
  await draft(page).getByRole('heading', { level: 2 }).first().click({ clickCount: 3 });
  await page.keyboard.press('Delete');
  await page.getByLabel('Title', { exact: true }).fill('Panniers that stay dry');
  await saved(page);
  await keep(page, 'Shorter title');

  const table = page.getByRole('table', { name: 'Side by side' });
  await row.click();
  await expect(table.getByRole('insertion').filter({ hasText: 'Four turns are better.' })).toBeVisible();
  await expect(table.getByRole('deletion').first()).toBeVisible();
  await expect(table).toContainText('Title');
  const moved = page.getByRole('region', { name: 'What changed the score' });
  await expect(moved.getByRole('listitem').first()).toContainText(/[+−]\d/);

  await page.getByRole('button', { name: 'Restore this version' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Waterproof panniers');
  await expect(page.getByText('The two are the same.')).toBeVisible();
  await expect.poll(() => exactScore(page)).toBeCloseTo(before, 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Panniers that stay dry');
  await goTo(page, 'Write');
  await expect(draft(page)).toContainText('Four turns are better.');
});

test('a step of the chart opens to what changed it', async ({ page }) => {
  await openPost(page, /Waterproof panniers/);
  await keep(page, 'One');
  await goTo(page, 'Write');
  await page.getByLabel('Title', { exact: true }).fill('Bags');
  await saved(page);
  await keep(page, 'Two');
  await goTo(page, 'Write');
  await draft(page).click();
  await page.keyboard.press('Control+A');
  await paste(page, '<p>Everything else is gone.</p>');
  await saved(page);
  await page.getByRole('link', { name: 'Versions' }).click();
  // The paste over all of the text was preceded by a version; it repeats "Two" and is not kept twice.
  await expect(versions(page).getByRole('listitem')).toHaveCount(2);
  const chart = page.getByRole('img', { name: /Score over the versions/ });
  await expect(chart).toHaveAccessibleName(/Score over the versions: \d+, \d+$/);
  // The chart itself takes the press, where its last step stands.
  const place = (await chart.locator('.apexcharts-marker').last().boundingBox())!;
  await page.mouse.move(place.x - 3, place.y + 20);
  await page.mouse.click(place.x + place.width / 2, place.y + place.height / 2);
  await expect(page.getByLabel('Compare with')).toHaveValue('before');
  const table = page.getByRole('table', { name: 'Side by side' });
  await expect(table.getByRole('columnheader')).toHaveText(['One', 'Two']);
  await expect(table).toContainText('Bags');
  await expect(page.getByRole('region', { name: 'What changed the score' })).toContainText('−');
});

test('before pasting over much of the text it is kept; a version taken out comes back with undo', async ({
  page,
}) => {
  await openPost(page, /Waterproof panniers/);
  await draft(page).click();
  await page.keyboard.press('Control+A');
  await paste(page, '<p>Everything else is gone.</p>');
  await saved(page);
  await page.getByRole('link', { name: 'Versions' }).click();
  const row = versions(page).getByRole('button', { name: /kept before a paste/ });
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'Delete this version' }).click();
  await expect(page.getByRole('heading', { name: 'No version yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
});

test('the first change of a visit keeps how the text was before it; ten minutes later another is kept', async ({
  page,
}) => {
  await page.clock.install();
  await openPost(page, /Waterproof panniers/);
  const type = async (words: string) => {
    await draft(page).click();
    await page.keyboard.press('Control+End');
    // At once: a version is kept of whatever the first save finds.
    await page.keyboard.insertText(words);
    await page.clock.runFor(1000);
    await saved(page);
  };
  await type(' One.');
  await type(' Two.');
  await page.clock.runFor(11 * 60_000);
  await type(' Three.');
  await page.getByRole('link', { name: 'Versions' }).click();
  const rows = versions(page).getByRole('button', { name: /kept while writing/ });
  await expect(rows).toHaveCount(2);
  await rows.last().click();
  const added = page.getByRole('table', { name: 'Side by side' }).getByRole('insertion');
  await expect(added.filter({ hasText: 'One. Two. Three.' })).toBeVisible();
  await rows.first().click();
  await expect(page.getByText('The two are the same.')).toBeVisible();
});
