import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { readBackupFile } from '../src/core/formats/index.ts';
import { type SecondAddress, secondAddress } from './steps/second-address.ts';
import { saved } from './steps/writer.ts';

// A name that is not this machine's own: what comes from there over http is not trusted by the browser.
test.use({
  launchOptions: async ({ launchOptions }, use) =>
    use({
      ...launchOptions,
      args: [...(launchOptions.args ?? []), '--host-resolver-rules=MAP workshop.example 127.0.0.1'],
    }),
});

const digest = async (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

let address: SecondAddress;
test.beforeEach(async ({ baseURL }) => {
  address = await secondAddress(baseURL!);
});
test.afterEach(async () => {
  await address.close();
});

async function write(page: Page, origin: string, words: string) {
  await page.goto(`${origin}/posts`);
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: /How to fix a flat/ })
    .click();
  await draft(page).click();
  await page.keyboard.type(words);
}

test.describe('a newer version', () => {
  test.use({ serviceWorkers: 'allow' });
  test('asks before it takes over; what was written is kept', async ({ page }) => {
    const origin = `http://127.0.0.1:${address.port}`;
    await page.goto(`${origin}/posts`);
    const notice = page.getByText('A newer Dune Sparrow is ready.');
    const kept = () => page.evaluate(() => caches.keys());
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    const before = await kept();
    await expect(notice).toBeHidden();
    address.release();
    await write(page, origin, 'Before the update. ');
    await saved(page);
    await page.reload();
    await expect(notice).toBeVisible();
    // It waits: the page goes on with what it has until it is told otherwise.
    await page.getByRole('button', { name: 'Later' }).click();
    await expect(notice).toBeHidden();
    expect(await kept()).toEqual(expect.arrayContaining(before));
    await page.reload();
    await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Load it now' }).click()]);
    await expect(draft(page)).toContainText('Before the update.');
    await expect.poll(kept).toEqual([expect.stringContaining('newer')]);
    await expect(notice).toBeHidden();
  });
});

test.describe('a newer page that was seen once', () => {
  test.use({ serviceWorkers: 'allow' });
  test('leaves the version in hand whole when the server is away', async ({ page, context }) => {
    const origin = `http://127.0.0.1:${address.port}`;
    await page.goto(`${origin}/posts`);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    await expect(page.getByRole('table', { name: 'Posts' })).toBeVisible();
    address.releasePage();
    const other = await context.newPage();
    await other.goto(`${origin}/posts`);
    await other.close();
    await address.close();
    await page.reload();
    await expect(page.getByRole('table', { name: 'Posts' })).toBeVisible();
    await page.getByRole('link', { name: /How to fix a flat/ }).click();
    await expect(draft(page)).toBeVisible();
  });
});

test.describe('over plain http from another machine', () => {
  test('it says once what the browser refuses, and goes on', async ({ page }) => {
    const origin = `http://workshop.example:${address.port}`;
    const notice = page.getByText(/comes over plain http/);
    await page.goto(`${origin}/posts`);
    expect(await page.evaluate(() => isSecureContext)).toBe(false);
    await expect(notice).toBeVisible();
    await page.getByRole('button', { name: 'Understood' }).click();
    // Ids do not come from the browser here; a new post and a block of its own need them.
    await page.getByRole('button', { name: 'New post' }).click();
    await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Write' }).click();
    await draft(page).click();
    await page.keyboard.type('First paragraph.');
    await page.keyboard.press('Enter');
    await page.keyboard.type('Second paragraph.');
    await saved(page);
    await page.reload();
    await expect(draft(page)).toContainText('Second paragraph.');
    await expect(notice).toBeHidden();
  });
});

test('that a text is saved is said when writing rests', async ({ page, baseURL }) => {
  await write(page, baseURL!, 'A word');
  const said = page.getByRole('status').filter({ hasText: /^Saved$/ });
  await expect(said).toHaveCount(1);
  await page.keyboard.type(' and more');
  await expect(said).toHaveCount(0);
  await expect(said).toHaveCount(1);
});

test('a page whose application cannot be loaded is not blank: it says what to do', async ({ page }) => {
  await page.clock.install();
  await page.route('**/assets/*.js', (route) => route.abort());
  await page.goto('/posts');
  await expect(page.getByRole('heading', { name: 'Dune Sparrow has not started' })).toBeVisible();
  await expect(page.getByText('What you wrote is kept in this browser.')).toBeVisible();
});

test('a page that cannot open its database says so, and hands out what is in it', async ({
  page,
  baseURL,
}) => {
  await write(page, baseURL!, 'Before. ');
  await saved(page);
  // Every opening fails for a while, as where the browser is at odds with its own disk.
  await page.addInitScript(() => {
    const open = indexedDB.open.bind(indexedDB);
    IDBFactory.prototype.open = (name, version) => {
      if (document.title === 'Well again' || name !== 'dune-sparrow-demo') return open(name, version);
      throw new DOMException('It was written by a newer version.', 'VersionError');
    };
  });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Dune Sparrow could not start' })).toBeVisible();
  await page.evaluate(() => {
    document.title = 'Well again';
  });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  const backup = await readBackupFile(new Uint8Array(readFileSync(await file.path())), digest);
  expect(backup.damaged).toEqual([]);
  expect(JSON.stringify(backup.data.bodies)).toContain('Before. ');
});
