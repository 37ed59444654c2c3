import { expect, type Page, test } from '@playwright/test';
import { demoPicture, file } from './steps/files.ts';
import { type SecondAddress, secondAddress } from './steps/second-address.ts';
import { openPost, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const copies = (page: Page) => page.getByRole('list', { name: 'Kept copies' }).getByRole('listitem');

let address: SecondAddress;
test.beforeEach(async ({ baseURL }) => {
  address = await secondAddress(baseURL!);
  address.leaveDemoOut();
});
test.afterEach(async () => {
  await address.close();
});

/** Writes a post with a picture in a browser without demo data; answers where that is. */
async function firstPost(page: Page): Promise<string> {
  const origin = `http://127.0.0.1:${address.port}`;
  await page.goto(`${origin}/posts`);
  await page.getByRole('button', { name: 'New post' }).first().click();
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Write' }).click();
  await page.getByRole('textbox', { name: 'Title', exact: true }).fill('High water at nine');
  await draft(page).click();
  await page.keyboard.type('Two tides a day.');
  const picture = { ...file('dyke.png', demoPicture('IMG_2041.png')), mimeType: 'image/png' };
  await page.getByLabel('Picture file', { exact: true }).setInputFiles([picture]);
  await expect(draft(page).getByRole('figure')).toHaveCount(1);
  await saved(page);
  return origin;
}

/** Takes the browser's database away, as one that is dropped on a full disk. */
async function dropDatabase(page: Page, origin: string): Promise<void> {
  await page.goto(`${origin}/icon.svg`);
  const gone = await page.evaluate(
    () =>
      new Promise<string>((done) => {
        const request = indexedDB.deleteDatabase('dune-sparrow');
        request.onsuccess = () => done('gone');
        request.onblocked = () => done('blocked');
        request.onerror = () => done('failed');
      }),
  );
  expect(gone).toBe('gone');
}

test('an emptied storage is told, and the copy beside it brings everything back', async ({ page }) => {
  const origin = await firstPost(page);
  await page.goto(`${origin}/rules`);
  await page.getByRole('button', { name: 'Keep a copy now' }).click();
  await expect(copies(page)).toHaveText([/Today, \d+:\d+: 1 post/]);
  await dropDatabase(page, origin);
  await page.goto(`${origin}/posts`);
  const told = page.getByRole('alert').filter({ hasText: 'This browser held 1 post' });
  await expect(told).toContainText('its storage is empty now');
  await told.getByRole('button', { name: 'Bring the copy back' }).click();
  await expect(told).toBeHidden();
  await page.getByRole('link', { name: 'High water at nine' }).click();
  await expect(draft(page)).toContainText('Two tides a day.');
  await expect(draft(page).getByRole('figure').locator('img')).toHaveAttribute('src', /^blob:/);
  await page.reload();
  await expect(draft(page)).toContainText('Two tides a day.');
  await expect(told).toBeHidden();
});

test('while there is work a copy is kept by the hour, here and in a folder that was chosen', async ({
  page,
}) => {
  await page.clock.install();
  // What the browser asks the writer for: here one of its own folders answers in their place.
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('chosen', { create: true }),
    });
  });
  await firstPost(page);
  await page.clock.runFor('01:30');
  await page.getByRole('link', { name: 'House rules' }).click();
  await expect(copies(page)).toHaveCount(1);
  await page.getByRole('button', { name: /Keep a backup a day in a folder/ }).click();
  await expect(page.getByText('goes into the folder “chosen”')).toBeVisible();
  await expect(copies(page)).toHaveCount(2);
  const inFolder = () =>
    page.evaluate(async () => {
      const root = await navigator.storage.getDirectory();
      const names: string[] = [];
      for await (const name of (await root.getDirectoryHandle('chosen')).keys()) names.push(name);
      return names.sort();
    });
  await expect.poll(inFolder).toEqual([expect.stringMatching(/^dune-sparrow-[\d-]+\.backup\.zip$/)]);
  // Less than an hour later none is due; after it one is, as something was written.
  await page.getByLabel('Site name').fill('Saltmarsh');
  await page.clock.runFor('30:00');
  await expect(copies(page)).toHaveCount(2);
  await page.getByLabel('Site name').fill('Saltmarsh Wheels');
  await page.clock.runFor('32:00');
  // Minutes that pass at once are looked at together: one more is a look of its own.
  await expect(async () => {
    await page.clock.runFor('01:00');
    await expect(copies(page)).toHaveCount(3, { timeout: 3000 });
  }).toPass();
});

test('a post stays on the screen while its rows vanish, with its text at hand', async ({ page, context }) => {
  await openPost(page, /Waterproof panniers/);
  const other = await context.newPage();
  await other.goto('/posts');
  await other.getByRole('button', { name: /^Site:/ }).click();
  await other.getByRole('menuitem', { name: 'New site' }).click();
  await expect(other.getByLabel('Site name')).toHaveValue('Site 2');
  await other.getByRole('button', { name: /^Site:/ }).click();
  await other.getByRole('menuitem', { name: /Saltmarsh/ }).click();
  await other.getByRole('link', { name: 'House rules' }).click();
  await other.getByRole('button', { name: /^Remove Saltmarsh/ }).click();
  await expect(other.getByText('is gone with its posts')).toBeVisible();
  await draft(page).click();
  await page.keyboard.type('Still here. ');
  const told = page.getByRole('alert').filter({ hasText: 'deleted in another tab' });
  await expect(told.getByRole('button', { name: 'Save as a file' })).toBeVisible();
  await expect(draft(page)).toContainText('Still here.');
});
