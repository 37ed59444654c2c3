import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { downloaded, goTo, openPost, openPosts, saved, scoreOf } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

test('every action is in the palette, with its keys; the question mark lists them', async ({ page }) => {
  await openPost(page, /How to fix a flat/);
  await page.keyboard.press('Control+k');
  const palette = page.getByRole('dialog', { name: 'Actions' });
  await palette.getByRole('combobox').fill('keep a version');
  await expect(palette.getByRole('option', { name: /Keep a version now/ })).toContainText('Ctrl Shift S');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A version is kept.')).toBeVisible();
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('region', { name: 'Score by group' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await palette.getByRole('combobox').fill('house rules');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'House rules', exact: true })).toBeVisible();
  await page.getByRole('heading', { name: 'House rules', exact: true }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toContainText('Insert menu');
  await page.keyboard.press('Escape');
  await page.getByLabel('Site name').click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeHidden();
  await page.keyboard.press('Control+k');
  await palette.getByRole('combobox').fill('dark theme');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Theme')).toHaveValue('dark');
});

test('a screen that fails keeps the draft and offers it as a file', async ({ page }) => {
  await openPost(page, /How to fix a flat/);
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(' Written just before.');
  // The code of the next screen does not come.
  await page.route(/assets\/versions-/, (route) => route.abort());
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('heading', { name: 'This screen stopped' })).toBeVisible();
  const { text } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save the draft as a file' }).click(),
  );
  expect(text).toContain('Written just before.');
  await page.unroute(/assets\/versions-/);
  await page.goBack();
  await page.reload();
  await expect(draft(page)).toContainText('Written just before.');
});

test('a report is a clean page to print', async ({ page }) => {
  await openPost(page, /How to fix a flat/);
  await goTo(page, 'Release');
  await page.getByRole('button', { name: 'Print' }).click();
  const report = page.getByRole('article', { name: 'Report' });
  await expect(report.getByRole('region', { name: 'Listing preview' })).toContainText(
    'saltmarsh.example/journal',
  );
  await expect(report.getByRole('region', { name: 'To mend' }).getByRole('listitem').first()).toContainText(
    '+',
  );
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Trail' })).toBeHidden();
  await expect(report).toBeVisible();
  const pdf = await page.pdf();
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});

test('on a phone lists are read, posts are read and checked', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  const within = () =>
    page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);
  await openPosts(page);
  expect(await within()).toBe(true);
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: /How to fix a flat/ })
    .click();
  await expect(scoreOf(page)).toHaveText(/\d/);
  await expect(draft(page)).toBeVisible();
  expect(await within()).toBe(true);
  await expect(page.getByRole('region', { name: 'Notes' }).getByRole('listitem').first()).toBeVisible();
  await goTo(page, 'Release');
  await expect(page.getByRole('region', { name: 'Ledger' })).toBeVisible();
});

test.describe('without the server', () => {
  test.use({ serviceWorkers: 'allow' });
  test('the application opens, and what is written is kept', async ({ page, context }) => {
    await openPosts(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    await context.setOffline(true);
    await page.reload();
    await page
      .getByRole('table', { name: 'Posts' })
      .getByRole('link', { name: /How to fix a flat/ })
      .click();
    await expect(scoreOf(page)).toHaveText(/\d/);
    await draft(page).click();
    await page.keyboard.type('Without a server. ');
    await saved(page);
    await page.reload();
    await expect(draft(page)).toContainText('Without a server.');
    const manifest = await page.evaluate(async () => (await caches.match('/manifest.webmanifest'))?.json());
    expect(manifest).toMatchObject({ display: 'standalone', start_url: '/posts' });
  });
});

test('the rooms beside the trail have no accessibility fault that can be found, in either theme', async ({
  page,
}) => {
  const faults: string[] = [];
  const look = async (screen: string) => faults.push(...(await faultsOf(page, screen)));
  await page.goto('/rules/criteria');
  await page.getByLabel('Meta title width').fill('9');
  await expect(page.getByRole('table', { name: 'Posts that change' })).toBeVisible();
  await look('Weights and limits');
  await page.goto('/import');
  await expect(page.getByRole('heading', { name: 'Import' })).toBeVisible();
  await look('Import');
  await page.goto('/site');
  await expect(page.getByRole('table', { name: 'Pages' })).toBeVisible();
  await look('Site');
  await openPost(page, /How to fix a flat/);
  await page.getByLabel('Earned too').check();
  await page.getByRole('button', { name: 'Phone' }).click();
  await page.keyboard.press('Control+f');
  await page
    .getByRole('searchbox')
    .or(page.getByLabel('Find', { exact: true }))
    .first()
    .fill('tyre');
  await look('Write with everything open');
  await page.getByRole('tab', { name: /Try it/ }).click();
  await page.getByRole('button', { name: 'Begin a trial' }).click();
  await look('Try it');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog', { name: 'Actions' })).toBeVisible();
  await look('Palette');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Picture of the site' }).click();
  await expect(page.getByRole('dialog', { name: 'Pictures of the site' })).toBeVisible();
  await look('Picker');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('heading', { name: /today/ })).toBeVisible();
  await look('Versions');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill('report');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article', { name: 'Report' })).toBeVisible();
  await look('Report');
  expect(faults).toEqual([]);
});
