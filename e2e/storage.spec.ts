import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { downloaded, exactScore, goTo, openPost, saved, scoreOf } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
/** Bytes: more than the demo, less than the demo and a text of the same size. */
const ROOM = 3_600_000;
const TITLE = /Waterproof panniers/;

/** Long words that hold nothing twice: the browser packs what repeats, and would find room for it. */
function wordsThatDoNotPack(bytes: number): string {
  let state = 7;
  let text = '';
  while (text.length < bytes) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    text += text.length % 61 === 60 ? ' ' : String.fromCharCode(97 + ((state >>> 16) % 26));
  }
  return text;
}

async function type(page: Page, words: string): Promise<void> {
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(words);
}

test('a window that refuses storage says so; work goes on in memory and can be exported', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const refused = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError');
    };
    Object.defineProperty(window, 'indexedDB', {
      value: { open: refused, deleteDatabase: refused, cmp: refused },
    });
    Object.defineProperty(window, 'localStorage', { get: refused });
  });
  await page.goto('/posts');
  await expect(page.getByRole('alert')).toContainText('This window refuses storage');
  await page.getByRole('table', { name: 'Posts' }).getByRole('link', { name: TITLE }).click();
  await expect(scoreOf(page)).toHaveText(/\d/);
  await type(page, ' Kept in memory.');
  await saved(page);
  await page.getByRole('link', { name: 'Posts', exact: true }).click();
  await page.getByRole('table', { name: 'Posts' }).getByRole('link', { name: TITLE }).click();
  await expect(draft(page)).toContainText('Kept in memory.');
  const { name, files } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save a backup' }).click(),
  );
  expect(name).toMatch(/backup\.zip$/);
  expect(files.length).toBeGreaterThan(1);
});

test('full storage is told in words, the text can be saved as a file, and saving goes on once there is room', async ({
  page,
  context,
}) => {
  // The browser remembers for a while how much room there was: it has to be little from the first write on.
  await page.goto('/healthz');
  const session = await context.newCDPSession(page);
  const { origin } = new URL(page.url());
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: ROOM });
  await openPost(page, TITLE);
  await type(page, ' Before.');
  await saved(page);
  await type(page, ` ${wordsThatDoNotPack(ROOM)} THE-LAST-WORD`);
  const told = page.getByRole('alert').filter({ hasText: 'storage is full' });
  await expect(told).toBeVisible();
  await expect(page.getByText(/not saved/).first()).toBeVisible();
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Save as a file' }).click());
  expect(text).toContain('THE-LAST-WORD');
  await session.send('Storage.overrideQuotaForOrigin', { origin });
  await expect(told).toBeHidden({ timeout: 30_000 });
  await saved(page);
  await page.reload();
  await expect(draft(page)).toContainText('THE-LAST-WORD');
});

test('a post that cannot be saved is left only with its text in hand', async ({ page, context }) => {
  await page.goto('/healthz');
  const session = await context.newCDPSession(page);
  const { origin } = new URL(page.url());
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: ROOM });
  await openPost(page, TITLE);
  await type(page, ` ${wordsThatDoNotPack(ROOM)} THE-LAST-WORD`);
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible();
  // Walking within the post is no leaving; what goes out is what stands on the screen.
  await goTo(page, 'Release');
  const docx = await downloaded(page, () => page.getByRole('button', { name: '.docx' }).click());
  const parts = unzipSync(new Uint8Array(readFileSync(await docx.file.path())));
  expect(strFromU8(parts['word/document.xml'])).toContain('THE-LAST-WORD');

  const toPosts = page.getByRole('link', { name: 'Posts', exact: true });
  await toPosts.click();
  const asked = page.getByRole('alertdialog', { name: 'This post is not saved' });
  await expect(asked).toContainText('storage is full');
  await asked.getByRole('button', { name: 'Try again, then leave' }).click();
  await expect(asked.getByRole('alert')).toHaveText('It still could not be saved.');
  await asked.getByRole('button', { name: 'Stay' }).click();
  await expect(asked).toBeHidden();
  await expect(page.getByLabel('Status')).toBeVisible();

  await toPosts.click();
  const { text } = await downloaded(page, () =>
    asked.getByRole('button', { name: 'Save as a file, then leave' }).click(),
  );
  expect(text).toContain('THE-LAST-WORD');
  await expect(page.getByRole('table', { name: 'Posts' })).toBeVisible();
  // It is held on to until it is saved after all.
  await expect(page.getByText(/could not be saved before it was left/)).toBeVisible();
  await session.send('Storage.overrideQuotaForOrigin', { origin });
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/is saved\.$/)).toBeVisible();
  const posts = page.getByRole('table', { name: 'Posts' });
  // What was changed last goes to the top: pressed on its way there, another row would be hit.
  await expect(posts.getByRole('row').nth(1)).toContainText(TITLE);
  await posts.getByRole('link', { name: TITLE }).click();
  await expect(draft(page)).toContainText('THE-LAST-WORD');
});

test('a scoring worker that fails is told; writing and saving go on, and it can be started again', async ({
  page,
}) => {
  let broken = true;
  await page.route(/scoring-worker/, (route) =>
    broken
      ? route.fulfill({ contentType: 'text/javascript', body: 'throw new Error("no memory")' })
      : route.continue(),
  );
  await page.goto('/posts');
  await page.getByRole('table', { name: 'Posts' }).getByRole('link', { name: TITLE }).click();
  const told = page.getByRole('status').filter({ hasText: 'Scoring stopped' });
  await expect(told).toBeVisible();
  await type(page, ' Written without a score.');
  await saved(page);
  broken = false;
  await page.getByRole('button', { name: 'Score again' }).click();
  await expect(told).toBeHidden();
  await expect.poll(() => exactScore(page)).toBeGreaterThan(10);
});

test('a newer version of the application in another tab closes this one with a word', async ({
  page,
  context,
}) => {
  await openPost(page, TITLE);
  const other = await context.newPage();
  await other.goto('/healthz');
  await other.evaluate(async () => {
    const [{ name = '', version = 1 }] = await indexedDB.databases();
    indexedDB.open(name, version + 10);
  });
  await expect(page.getByRole('alert')).toContainText('A newer Dune Sparrow was opened in another tab');
});

test('after a week without a backup a reminder stands above every screen until one is saved', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-01T09:00:00Z') });
  await page.goto('/posts');
  const reminder = page.getByRole('status').filter({ hasText: 'no backup yet' });
  await expect(page.getByRole('table', { name: 'Posts' })).toBeVisible();
  await expect(reminder).toBeHidden();
  await page.clock.setFixedTime(new Date('2026-11-08T09:01:00Z'));
  await page.reload();
  await expect(reminder).toBeVisible();
  await page.getByRole('button', { name: 'In a week' }).click();
  await expect(reminder).toBeHidden();
  await page.clock.setFixedTime(new Date('2026-11-15T09:02:00Z'));
  await page.goto('/site');
  await expect(reminder).toBeVisible();
  await downloaded(page, () => page.getByRole('button', { name: 'Save a backup' }).click());
  await expect(reminder).toBeHidden();
});
