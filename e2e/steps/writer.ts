import { readFileSync } from 'node:fs';
import { type Download, expect, type Locator, type Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';

/** Opens the list of posts and waits until every post has its score. */
export async function openPosts(page: Page): Promise<Locator> {
  await page.goto('/posts');
  const table = page.getByRole('table', { name: 'Posts' });
  await expect(table).toBeVisible();
  await expect(
    table
      .getByRole('row')
      .last()
      .getByRole('img', { name: /Score by group/ }),
  ).toBeVisible();
  return table;
}

/** Goes to the list of posts by the rail. */
export async function toPosts(page: Page): Promise<Locator> {
  await page
    .getByRole('navigation', { name: 'Main' })
    .getByRole('link', { name: 'Posts', exact: true })
    .click();
  const table = page.getByRole('table', { name: 'Posts' });
  await expect(table).toBeVisible();
  return table;
}

/** Opens a post of the list by its title. */
export async function openPost(page: Page, title: string | RegExp): Promise<void> {
  const table = await openPosts(page);
  await table.getByRole('link', { name: title }).click();
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeVisible();
  await expect(scoreOf(page)).toHaveText(/\d/);
}

/** Begins a new post and goes to its sheet. */
export async function newPost(page: Page): Promise<void> {
  await page.goto('/posts');
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Write');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeVisible();
}

/** Goes to a step of the post in hand. */
export const goTo = (page: Page, step: string): Promise<void> =>
  page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: step }).click();

/** The score as shown at the corner. */
export const scoreOf = (page: Page): Locator => page.getByRole('status', { name: 'Score' });

/** The score with a decimal: the sum of the group points that the ridge tells, each of them rounded. */
export async function exactScore(page: Page): Promise<number> {
  const words =
    (await page
      .getByRole('region', { name: 'Score', exact: true })
      .getByRole('img')
      .getAttribute('aria-label')) ?? '';
  return [...words.matchAll(/ ([\d.]+) of/g)].reduce((sum, hit) => sum + Number(hit[1]), 0);
}

/** Pastes markup into the field in focus, as a word processor hands it over. */
export async function paste(page: Page, html: string, text = ''): Promise<void> {
  await page.evaluate(
    ([markup, plain]) => {
      const data = new DataTransfer();
      if (markup) data.setData('text/html', markup);
      data.setData('text/plain', plain);
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    },
    [html, text],
  );
}

/** Waits until everything written so far is kept. */
export const saved = (page: Page): Promise<void> => expect(page.getByText(/words? · saved/)).toBeVisible();

interface Downloaded {
  name: string;
  /** The file; of a zip the post in it. */
  text: string;
  /** Names of the files in a zip. */
  files: string[];
  file: Download;
}

/** What a pressed button hands to the reader, as text. */
export async function downloaded(page: Page, press: () => Promise<void>): Promise<Downloaded> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  const name = file.suggestedFilename();
  const bytes = readFileSync(await file.path());
  if (!name.endsWith('.zip')) return { name, text: bytes.toString('utf8'), files: [], file };
  const files = unzipSync(bytes);
  const post = Object.keys(files).find((path) => /^[^/]+\.(?:md|html)$/.test(path));
  return { name, text: post ? strFromU8(files[post]) : '', files: Object.keys(files).sort(), file };
}

/**
 * Sets the caret at the end of a place in the text and waits until the editor has it there: just given the focus, it sets its own
 * caret once more a few frames later, and a key pressed in between would be lost.
 */
export async function caretAtEndOf(
  page: Page,
  place: Locator,
  key: 'End' | 'Control+End' = 'End',
): Promise<void> {
  await expect(async () => {
    if (key === 'End') await place.click();
    else await place.focus();
    await page.keyboard.press(key);
    const isThere = await place.evaluate(async (element) => {
      for (let frame = 0; frame < 4; frame++) await new Promise(requestAnimationFrame);
      const selection = getSelection();
      if (!selection?.anchorNode || !element.contains(selection.anchorNode)) return false;
      const after = document.createRange();
      after.selectNodeContents(element);
      after.setStart(selection.anchorNode, selection.anchorOffset);
      return after.toString() === '';
    });
    expect(isThere).toBe(true);
  }).toPass();
}
