import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { savedBackup } from './steps/backups.ts';
import { sized } from './steps/long-form.ts';
import { startBrowser } from './steps/own-browser.ts';
import { paste } from './steps/writer.ts';

const KILLS = sized(6, 300);
/** Milliseconds after which a typed word must outlive the browser, however busy the machine. */
const SAFE_AFTER = 1000;
/** Milliseconds between two beats of the page, and the most between two while it was left to run. */
const BEAT = 50;
const MOST_STILL = 150;

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const description = (page: Page) => page.getByRole('textbox', { name: 'Meta description' });

/** What is under way when the browser is killed; each begins, and nobody waits for its end. */
const UNDER_WAY: Record<string, (page: Page, backup: Buffer) => Promise<unknown>> = {
  typing: async () => {},
  pasting: (page) => paste(page, `<p>${'Pasted words. '.repeat(400)}</p>`),
  'keeping a version': (page) => page.keyboard.press('Control+Shift+S'),
  leaving: (page) => page.getByRole('link', { name: 'Posts', exact: true }).click(),
  'going to another step': (page) =>
    page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Release' }).click(),
  'backing up': async (page) => {
    await page.getByRole('link', { name: 'House rules' }).click();
    await page.getByRole('button', { name: 'Keep a copy now' }).click();
  },
  restoring: async (page, backup) => {
    await page.getByRole('link', { name: 'House rules' }).click();
    const file = { name: 'kept.backup.zip', mimeType: 'application/zip', buffer: backup };
    await page.getByLabel('Backup to restore').setInputFiles([file]);
  },
  importing: async (page) => {
    await page.getByRole('link', { name: 'Posts', exact: true }).click();
    await page.getByRole('button', { name: 'Import' }).click();
    const file = { name: 'ebb.md', mimeType: 'text/markdown', buffer: Buffer.from('# Ebb\n\nWords.') };
    await page.getByLabel('Files to import').setInputFiles([file]);
  },
  'starting anew': (page) => page.reload({ waitUntil: 'commit' }),
};

test(`the browser killed ${KILLS} times, whatever is under way: nothing older than the last key but one is lost`, async ({
  baseURL,
  page: other,
}, { project }) => {
  test.setTimeout(3_600_000);
  const backup = Buffer.from(await savedBackup(other));
  const profile = mkdtempSync(join(tmpdir(), 'killed-'));
  const args = project.use.launchOptions?.args ?? [];
  let { page, kill } = await startBrowser(profile, args);
  await page.goto(`${baseURL}/posts`);
  const posts = page.getByRole('table', { name: 'Posts' });
  await posts.getByRole('link', { name: /Waterproof panniers/ }).click();
  await expect(draft(page)).toBeVisible();
  const address = page.url();
  let beats: number[] = [];
  /** Notes that the page runs: on a machine that stood still, no time has passed for it. */
  const listen = async (): Promise<void> => {
    beats = [];
    page.on('console', (message) => {
      if (message.text() === 'beat') beats.push(Date.now());
    });
    await page.evaluate((every) => setInterval(() => console.log('beat'), every), BEAT);
  };
  const ran = (from: number, to: number): boolean => {
    const within = [from, ...beats.filter((at) => at > from && at < to), to];
    return within.every((at, index) => index === 0 || at - within[index - 1] <= MOST_STILL);
  };
  const works = Object.entries(UNDER_WAY);
  const lost: string[] = [];
  let judged = 0;
  for (let round = 0; round < KILLS; round++) {
    const [name, work] = works[round % works.length];
    const inListing = round % 2 === 1;
    await listen();
    const field = inListing ? description(page) : draft(page);
    await field.click();
    await page.keyboard.press(inListing ? 'Control+A' : 'Control+End');
    const text = `Round${round} ${name} `.padEnd(24 + ((round * 7) % 40), 'abcdefgh ');
    const begun = Date.now();
    await page.keyboard.type(text, { delay: 15 });
    const typed = Date.now();
    // It is killed in the midst of it, each time at another moment.
    void work(page, backup).catch(() => {});
    await new Promise((done) => setTimeout(done, 20 + ((round * 37) % 180)));
    const killed = Date.now();
    await kill();
    ({ page, kill } = await startBrowser(profile, args));
    await page.goto(address, { waitUntil: 'commit' });
    await expect(draft(page)).toBeVisible();
    const found = inListing
      ? await description(page).inputValue()
      : ((await draft(page).textContent()) ?? '');
    // On a machine that stood still, what was typed a second before must be there all the same.
    const quiet = ran(typed - 100, killed);
    const safe = quiet
      ? text.trimEnd().slice(0, -1)
      : killed - begun > 2 * SAFE_AFTER
        ? text.slice(0, 12)
        : '';
    if (quiet) judged += 1;
    if (!found.includes(safe)) lost.push(`${name}: "${safe}" is not in "...${found.slice(-120)}"`);
  }
  await kill();
  expect(lost).toEqual([]);
  test.skip(judged < KILLS / 3, 'This machine stood still for most of the run: too few kills were judged.');
  rmSync(profile, { recursive: true, force: true });
});

test('the browser killed while it starts for the first time starts whole the next time', async ({ baseURL }, {
  project,
}) => {
  test.setTimeout(600_000);
  const args = project.use.launchOptions?.args ?? [];
  for (let round = 0; round < sized(2, 20); round++) {
    const profile = mkdtempSync(join(tmpdir(), 'killed-'));
    const first = await startBrowser(profile, args);
    await first.page.goto(`${baseURL}/posts`, { waitUntil: 'commit' });
    await new Promise((done) => setTimeout(done, 40 + round * 90));
    await first.kill();
    const next = await startBrowser(profile, args);
    await next.page.goto(`${baseURL}/posts`);
    // The heading's row, and one for each post of the demo.
    await expect(next.page.getByRole('table', { name: 'Posts' }).getByRole('row')).toHaveCount(30);
    await next.kill();
    rmSync(profile, { recursive: true, force: true });
  }
});
