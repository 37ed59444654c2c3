import { expect, type Locator, type Page, test } from '@playwright/test';
import { downloaded, newPost, openPosts, saved } from './steps/writer.ts';

/** Presses Tab until something has the focus, as a person without a mouse does. */
async function tabTo(page: Page, wanted: Locator, most = 90): Promise<void> {
  for (let pressed = 0; pressed < most; pressed++) {
    if ((await wanted.count()) > 0 && (await wanted.evaluate((el) => el === document.activeElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`The focus did not come to ${wanted}.`);
}

test('from the list of posts to an export without a mouse', async ({ page }) => {
  await page.goto('/posts');
  const table = page.getByRole('table', { name: 'Posts' });
  await expect(table).toBeVisible();

  await test.step('a heading sorts and a box selects, each with its own key', async () => {
    await tabTo(page, table.getByRole('columnheader', { name: 'Post' }).getByRole('button'));
    await page.keyboard.press('Enter');
    await expect(table.getByRole('columnheader', { name: 'Post' })).toHaveAttribute('aria-sort', 'ascending');
    const box = table.getByRole('checkbox', { name: /^Select Bike tour packing list/ });
    await tabTo(page, box);
    await page.keyboard.press('Space');
    await expect(box).toBeChecked();
    await page.keyboard.press('Space');
    await expect(box).not.toBeChecked();
  });

  await test.step('a post is opened and written in', async () => {
    await tabTo(page, table.getByRole('link', { name: /^Touring tyre pressure/ }));
    await page.keyboard.press('Enter');
    const draft = page.getByRole('textbox', { name: 'Draft' });
    await expect(draft).toBeVisible();
    await tabTo(page, draft);
    await page.keyboard.press('Control+Home');
    await page.keyboard.type('Written by keys. ');
    await saved(page);
  });

  await test.step('the lenses of the margin are walked through by arrow keys', async () => {
    await tabTo(page, page.getByRole('tab', { name: /Notes/ }));
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('tab', { name: /Terms/ })).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('End');
    await expect(page.getByRole('tab', { name: /Try it/ })).toBeFocused();
    await page.keyboard.press('Home');
    await expect(page.getByRole('region', { name: 'Notes' })).toBeVisible();
  });

  await test.step('Release hands it out', async () => {
    await page.keyboard.press('Alt+5');
    const markdown = page.getByRole('group', { name: 'Export' }).getByRole('button', { name: 'Markdown' });
    await expect(markdown).toBeVisible();
    await tabTo(page, markdown);
    const { text } = await downloaded(page, () => page.keyboard.press('Enter'));
    expect(text).toContain('Written by keys.');
  });
});

test('rows of phrases are walked through, and headings and boxes in the table do their own work', async ({
  page,
}) => {
  await page.goto('/keywords?seed=waterproof+panniers');
  const table = page.getByRole('table', { name: 'Phrases' });
  await expect(table.getByRole('row').nth(3)).toBeVisible();
  const volume = table.getByRole('columnheader', { name: /^Volume/ });
  await tabTo(page, volume.getByRole('button'));
  await page.keyboard.press('Enter');
  await expect(volume).toHaveAttribute('aria-sort', 'descending');
  await page.keyboard.press('Space');
  await expect(volume).toHaveAttribute('aria-sort', 'ascending');
  await expect(page.getByText(/\d+ selected/)).toBeHidden();
  const grid = page.getByRole('group', { name: /^Phrases: arrow keys/ });
  await grid.focus();
  await page.keyboard.press('End');
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('roll top');
  await expect(page.getByRole('tab', { name: /^Phrases [1-9]$/ })).toBeVisible();
  await grid.focus();
  // The row in hand is one of those that are left.
  await page.keyboard.press('Space');
  await expect(page.getByText('1 selected')).toBeVisible();
});

test('the palette finds a post by words of its title, and begins a new one', async ({ page }) => {
  await openPosts(page);
  await page.keyboard.press('Control+k');
  const palette = page.getByRole('dialog', { name: 'Actions' });
  await expect(palette.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('causeway tide');
  await expect(palette.getByRole('option', { name: /Tide table cycling.*Published/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue(/^Tide table cycling/);
  await page.keyboard.press('Control+k');
  await expect(palette.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('constructor');
  await expect(palette.getByText('No action and no post has these words.')).toBeVisible();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('new post');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Primary keyword')).toHaveValue('');
});

test('a post is given a status, handed over as a file and read as readers will, all from the palette', async ({
  page,
}) => {
  await newPost(page);
  const palette = page.getByRole('dialog', { name: 'Actions' });
  const run = async (words: string) => {
    await page.keyboard.press('Control+k');
    await expect(palette.getByRole('combobox')).toBeFocused();
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  };
  await run('status published');
  await expect(page.getByText('It cannot go out yet: it needs a title, a slug and a text.')).toBeVisible();
  await run('status in review');
  await expect(page.getByText('The status is “In review” now.')).toBeVisible();
  const { name, text } = await downloaded(page, () => run('export markdown'));
  expect(name).toBe('untitled.md');
  expect(text).toContain('status: in-review');
  await run('reader');
  await expect(page.getByRole('heading', { name: 'Reader’s view' })).toBeVisible();
  await expect(page.getByText('There is nothing to read yet.')).toBeVisible();
});
