import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { underVersionControl } from '../src/server/host/git-folder.test-data.ts';
import { startServer } from './steps/own-server.ts';
import { caretAtEndOf, goTo, saved } from './steps/writer.ts';

const port = Number(process.env['E2E_PORT'] ?? 4317) + 6;
const POST = `---
layout: post   # the usual one
title: 'The reed cutter of Marl'
date: 2026-10-02T08:00:00Z
slug: reed-cutter
status: published
weight: 7
---

${'The reed cutter of Marl goes out before the frost and comes home when the tide tells him to. '.repeat(10)}

* A scythe
* A flat boat

He sells the reeds by the bundle.
`;

/** The application over a folder of posts under version control, on ports of its own. */
async function overFolder(): Promise<{ folder: string; lines: () => string[]; stop: () => void }> {
  const folder = mkdtempSync(join(tmpdir(), 'posts-'));
  writeFileSync(join(folder, 'reed-cutter.md'), POST);
  const lines = underVersionControl(folder);
  const { stop } = await startServer(port, ['--content', folder]);
  return { folder, lines, stop };
}

const sending = (page: Page) => page.getByRole('region', { name: 'Sending' });
const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

test('a folder under version control is opened, written and watched: only the lines that were meant change', async ({
  page,
}) => {
  const { folder, lines, stop } = await overFolder();
  try {
    const at = (path: string) => `http://127.0.0.1:${port}${path}`;
    await page.goto(at('/rules'));
    await page
      .getByRole('region', { name: 'Publishing' })
      .getByLabel('Posts are sent to')
      .selectOption('a folder of files');
    await expect(page.getByText(`Posts are written into ${folder}`)).toBeVisible();
    await page.goto(at('/import'));
    await page.getByRole('button', { name: 'Open the folder of posts' }).click();
    await expect(page.getByText('"The reed cutter of Marl" is a new post (Markdown).')).toBeVisible();
    await page.goto(at('/posts'));
    await page.getByRole('link', { name: 'The reed cutter of Marl' }).click();
    await caretAtEndOf(page, draft(page).getByText('He sells the reeds by the bundle.'));
    await page.keyboard.type(' Nobody haggles.');
    await saved(page);
    await goTo(page, 'Release');
    await expect(sending(page).getByRole('heading', { level: 2 })).toHaveText('Published, changed since');
    expect(lines()).toEqual([]);
    await sending(page).getByRole('button', { name: 'Publish the changes' }).click();
    await expect(sending(page).getByRole('heading', { level: 2 })).toHaveText('Published');
    expect(lines()).toEqual([
      '-He sells the reeds by the bundle.',
      '+He sells the reeds by the bundle. Nobody haggles.',
    ]);

    // Somebody else writes in the file.
    const file = join(folder, 'reed-cutter.md');
    writeFileSync(file, readFileSync(file, 'utf8').replace('A flat boat', 'A flat black boat'));
    const notice = page.getByText('The file was changed in the folder since it was sent.');
    await expect(notice).toBeVisible();
    await page.getByRole('button', { name: 'Compare' }).click();
    const comparison = page.getByRole('dialog', { name: 'The post was changed on the blog' });
    await expect(comparison).toContainText('black');
    await comparison.getByRole('button', { name: 'Leave it as it stands there' }).click();
    expect(readFileSync(file, 'utf8')).toContain('A flat black boat');
    await page.getByRole('button', { name: 'Compare' }).click();
    await comparison.getByRole('button', { name: 'Send mine in its place' }).click();
    await expect(notice).toBeHidden();
    expect(readFileSync(file, 'utf8')).toContain('A flat boat');
    expect(readFileSync(file, 'utf8')).toContain('layout: post   # the usual one');
  } finally {
    stop();
  }
});
