import { spawnSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { LONG } from './steps/long-form.ts';
import { startBrowser } from './steps/own-browser.ts';
import { secondAddress } from './steps/second-address.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

/** Writes until nothing more fits; answers the file that takes the room. */
function fillUp(folder: string): string {
  const path = join(folder, 'filler');
  const file = openSync(path, 'w');
  for (const size of [1 << 20, 1 << 12, 1]) {
    const part = Buffer.alloc(size, 7);
    try {
      for (;;) writeSync(file, part);
    } catch {
      // Full for pieces of this size.
    }
  }
  closeSync(file);
  return path;
}

test('on a disk that is really full the text stays at hand, and what was kept before comes back', async ({
  baseURL,
}, { project }) => {
  test.skip(!LONG, 'Fills a small file system of its own: in the long form only.');
  const disk = mkdtempSync(join(tmpdir(), 'small-disk-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=160m', 'tmpfs', disk]).status === 0;
  test.skip(!mounted, 'A file system cannot be mounted here.');
  test.setTimeout(600_000);
  const address = await secondAddress(baseURL as string);
  address.leaveDemoOut();
  const origin = `http://127.0.0.1:${address.port}`;
  const args = project.use.launchOptions?.args ?? [];
  let { page, kill } = await startBrowser(disk, args);
  try {
    await page.goto(`${origin}/posts`);
    await page.getByRole('button', { name: 'New post' }).first().click();
    await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Write' }).click();
    await page.getByRole('textbox', { name: 'Title', exact: true }).fill('A full disk');
    await draft(page).click();
    await page.keyboard.type('Before the disk was full. ');
    await expect(page.getByText(/words? · saved/)).toBeVisible();
    await page.getByRole('link', { name: 'House rules' }).click();
    await page.getByRole('button', { name: 'Keep a copy now' }).click();
    await expect(page.getByText(/The server keeps \d+ cop(?:y|ies), too; the last of today/)).toBeVisible();
    await page.getByRole('link', { name: 'Posts', exact: true }).click();
    await page.getByRole('link', { name: 'A full disk' }).click();
    await draft(page).click();
    await page.keyboard.press('Control+End');
    const filler = fillUp(disk);
    await page.keyboard.insertText(`While it was full. ${'More words that do not fit. '.repeat(20_000)}`);
    await expect(page.getByRole('alert').getByRole('button', { name: 'Save as a file' })).toBeVisible();
    await expect(draft(page)).toContainText('While it was full.');
    await kill();
    rmSync(filler);
    ({ page, kill } = await startBrowser(disk, args));
    await page.goto(`${origin}/posts`);
    // Browsers drop a database that met a full disk, and their own file system with it; the server's copy is left.
    const lost = page.getByRole('button', { name: 'Bring the copy back' });
    const post = page.getByRole('link', { name: 'A full disk' });
    await expect(lost.or(post).first()).toBeVisible();
    if (await lost.isVisible()) await lost.click();
    await post.click();
    await expect(draft(page)).toContainText('Before the disk was full.');
  } finally {
    await kill();
    await address.close();
    spawnSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  }
});
