import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, type Page, test } from '@playwright/test';
import { sized } from './steps/long-form.ts';

const KILLS = sized(8, 50);
/** Milliseconds after which a typed word must outlive the browser. */
const SAFE_AFTER = 1000;
/** Milliseconds between two beats of the page, and the most between two while it was left to run. */
const BEAT = 50;
const MOST_STILL = 250;

/** A browser of its own that can be killed with everything that belongs to it. */
async function startBrowser(
  profile: string,
  args: string[],
): Promise<{ page: Page; kill: () => Promise<void> }> {
  rmSync(join(profile, 'DevToolsActivePort'), { force: true });
  const process: ChildProcess = spawn(
    '/usr/bin/chromium',
    [...args, '--headless', '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'],
    { detached: true, stdio: 'ignore' },
  );
  const ended = new Promise((done) => process.once('exit', done));
  let port = '';
  await expect
    .poll(
      () => {
        try {
          [port] = readFileSync(join(profile, 'DevToolsActivePort'), 'utf8').split('\n');
        } catch {
          // Not up yet.
        }
        return port;
      },
      { intervals: [20] },
    )
    .not.toBe('');
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const [context] = browser.contexts();
  const page = context.pages()[0] ?? (await context.newPage());
  return {
    page,
    kill: async () => {
      globalThis.process.kill(-(process.pid as number), 'SIGKILL');
      await ended;
      await browser.close().catch(() => {});
    },
  };
}

test(`the browser killed in mid-sentence ${KILLS} times: every word older than a second is there`, async ({
  baseURL,
}, { project }) => {
  test.setTimeout(1_500_000);
  const profile = mkdtempSync(join(tmpdir(), 'killed-'));
  const args = project.use.launchOptions?.args ?? [];
  let { page, kill } = await startBrowser(profile, args);
  await page.goto(`${baseURL}/posts`);
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: /Waterproof panniers/ })
    .click();
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeVisible();
  const address = page.url();
  const draft = () => page.getByRole('textbox', { name: 'Draft' });
  const safe: string[] = [];
  let beats: number[] = [];
  /** Notes that the page runs: on a machine that stood still, no second has passed for it. */
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
  let word = 0;
  for (let round = 0; round < KILLS; round++) {
    await listen();
    await draft().click();
    await page.keyboard.press('Control+End');
    // The last word may have been kept without the space behind it.
    await page.keyboard.type(' ');
    const typed: { text: string; at: number }[] = [];
    // Each round is killed at another moment of its typing; never at a pause.
    const until = Date.now() + SAFE_AFTER + 150 + ((round * 37) % 500);
    while (Date.now() < until) {
      word += 1;
      const text = `w${word}`;
      await page.keyboard.type(`${text} `);
      typed.push({ text, at: Date.now() });
    }
    const killed = Date.now();
    await kill();
    const old = typed.filter(({ at }) => killed - at >= SAFE_AFTER);
    safe.push(...old.filter(({ at }) => ran(at, killed)).map(({ text }) => text));
    ({ page, kill } = await startBrowser(profile, args));
    await page.goto(address, { waitUntil: 'commit' });
    await expect(draft()).toBeVisible();
    const found = new Set((await draft().textContent())?.match(/\bw\d+\b/g) ?? []);
    expect(safe.filter((text) => !found.has(text))).toEqual([]);
  }
  await kill();
  test.skip(
    safe.length < KILLS / 2,
    'This machine stood still for most of the run: too few words were judged.',
  );
  rmSync(profile, { recursive: true, force: true });
});
