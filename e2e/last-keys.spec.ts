import { expect, type Page, test } from '@playwright/test';
import { sized } from './steps/long-form.ts';
import { goTo, openPost, scoreOf } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const listing = (page: Page) => page.getByRole('textbox', { name: 'Meta description' });

/** Types at the end of the draft and answers what; the page may end with the very next step. */
async function typeAtEnd(page: Page, text: string): Promise<string> {
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(text);
  return text;
}

test('the last keys before a reload, or before the tab is closed, are there: in the text and in the listing', async ({
  page: first,
  context,
}) => {
  let page = first;
  await openPost(page, /Waterproof panniers/);
  const address = page.url();
  for (let round = 0; round < sized(3, 40); round++) {
    const typed = await typeAtEnd(page, ` round${round} of the last keys`);
    await page.reload();
    await expect(draft(page)).toContainText(typed);
    const closed = await typeAtEnd(page, ` closed${round} at once`);
    await page.close();
    page = await context.newPage();
    await page.goto(address);
    await expect(draft(page)).toContainText(closed);
  }
  await listing(page).click();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('The last description.');
  await page.reload();
  await expect(listing(page)).toHaveValue('The last description.');
});

test('a trial that is left by reloading goes on, and is taken back as a whole', async ({ page }) => {
  await openPost(page, /Waterproof panniers/);
  const title = page.getByRole('textbox', { name: 'Title', exact: true });
  const before = await title.inputValue();
  await page.getByRole('tab', { name: 'Try it' }).click();
  await page.getByRole('button', { name: 'Begin a trial' }).click();
  await title.fill('Another title');
  await page.reload();
  await expect(scoreOf(page)).toHaveText(/\d/);
  await expect(title).toHaveValue('Another title');
  await goTo(page, 'Release');
  await goTo(page, 'Write');
  await page.getByRole('tab', { name: 'Try it' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(title).toHaveValue(before);
});
