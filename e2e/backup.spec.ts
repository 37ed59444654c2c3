import { expect, type Page, test } from '@playwright/test';
import { alteredBackup, restore, savedBackup } from './steps/backups.ts';
import { openPost, openPosts, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const posts = async (page: Page) => (await (await openPosts(page)).getByRole('row').count()) - 1;

async function write(page: Page, words: string): Promise<void> {
  await openPost(page, /Waterproof panniers/);
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(words);
  await saved(page);
}

test('everything goes into one file and comes back in place of what is here; that too can be undone', async ({
  page,
}) => {
  await write(page, ' In the backup.');
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByLabel('Keep a version now').fill('Milestone');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: /Milestone/ })).toBeVisible();
  const count = await posts(page);
  const backup = await savedBackup(page);
  await expect(page.getByText('The last one was saved today.')).toBeVisible();

  await write(page, ' After the backup.');
  const table = await openPosts(page);
  await table.getByRole('checkbox', { name: 'Select all shown' }).check();
  await table.getByRole('checkbox', { name: /Select Waterproof panniers/ }).uncheck();
  await page.getByRole('button', { name: /^Delete \d+/ }).click();
  await expect(table.getByRole('row')).toHaveCount(2);

  await restore(page, backup, 'replace');
  expect(await posts(page)).toBe(count);
  await openPost(page, /Waterproof panniers/);
  await expect(draft(page)).toContainText('In the backup.');
  await expect(draft(page)).not.toContainText('After the backup.');
  await expect(page.getByRole('img', { name: /roll-top bag/ })).toHaveAttribute('src', /^blob:/);
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('button', { name: /Milestone/ })).toBeVisible();

  await restore(page, backup, 'replace');
  await page.getByLabel('Site name').fill('Another name');
  await expect(page.getByRole('navigation', { name: 'Main' })).toContainText('Another name');
  await restore(page, backup, 'replace');
  await expect(page.getByLabel('Site name')).toHaveValue('Saltmarsh Wheelworks');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Site name')).toHaveValue('Another name');
});

test('merged, the newer of a post stays and the other is kept as a version', async ({ page }) => {
  await write(page, ' In the backup.');
  const backup = await savedBackup(page);
  await write(page, ' Newer than the backup.');
  await restore(page, backup, 'merge');
  await expect(page.getByText('1 post was newer here and stayed.')).toBeVisible();
  await openPost(page, /Waterproof panniers/);
  await expect(draft(page)).toContainText('Newer than the backup.');
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByRole('button', { name: /kept before a restore/ }).click();
  await expect(page.getByRole('table', { name: 'Side by side' }).getByRole('insertion')).toContainText(
    'Newer than the backup.',
  );
});

test('a file that is cut, altered or of another kind is refused with a reason, and nothing changes', async ({
  page,
}) => {
  const backup = await savedBackup(page);
  const count = await posts(page);
  const refused = page.getByRole('alert').filter({ hasText: 'kept.backup.zip' });
  await restore(page, backup.slice(0, backup.length - 5000), 'replace');
  await expect(refused).toContainText('damaged or cut off');
  const altered = await alteredBackup(backup, (data) => {
    delete data['posts'];
  });
  await restore(page, altered, 'replace');
  await expect(refused).toContainText('its tables are of another shape');
  await restore(page, Uint8Array.from(Buffer.from('a letter')), 'merge');
  await expect(refused).toContainText('cannot be read');
  expect(await posts(page)).toBe(count);
});

test('one damaged record does not keep the rest from coming back: it is named and left out', async ({
  page,
}) => {
  const backup = await savedBackup(page);
  const count = await posts(page);
  const damaged = await alteredBackup(backup, (data) => {
    (data['posts'][0] as { fields: { author: unknown } }).fields.author = 7;
    (data['ideas'] as object[]).push({ title: 'Half an idea' });
  });
  await restore(page, damaged, 'replace');
  await expect(page.getByRole('alert').filter({ hasText: 'Not all of it was whole' })).toContainText(
    'an idea (“Half an idea”) could not be read',
  );
  expect(await posts(page)).toBe(count);
});

test('what is written after a restore outlives its undo', async ({ page }) => {
  await write(page, ' In the backup.');
  const backup = await savedBackup(page);
  await write(page, ' After the backup.');
  await restore(page, backup, 'replace');
  const undo = page
    .getByRole('listitem')
    .filter({ hasText: 'Replaced by' })
    .getByRole('button', { name: 'Undo' });
  // Held open: a pointer over it keeps the offer from going.
  await undo.hover();
  await page.getByRole('link', { name: 'Posts', exact: true }).click();
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: /Waterproof panniers/ })
    .click();
  await draft(page).click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.insertText('Typed since. ');
  await undo.click();
  await expect(page.getByText(/was written in since/)).toBeVisible();
  await expect(draft(page)).toContainText('After the backup.');
  await expect(draft(page)).toContainText('Typed since.');
});
