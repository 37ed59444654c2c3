import { expect, type Page, test } from '@playwright/test';
import { newPost, openPost, paste } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const lens = async (page: Page, name: string) => {
  await page.getByRole('tab', { name: new RegExp(`^${name}`) }).click();
  return page.getByRole('region', { name, exact: true });
};

test('the lens of the sources names figures, quotes and words that stand elsewhere too, and a figure is made one’s own', async ({
  page,
}) => {
  await newPost(page);
  await draft(page).click();
  await paste(
    page,
    '<p>About 40 % of visitors turn back at the first gate.</p>' +
      '<blockquote><p>The sea takes what it wants.</p></blockquote>' +
      '<p>Tide table cycling is a skill like mending a tyre: dull to learn and lovely to have.</p>',
  );
  const sources = await lens(page, 'Sources');
  const figure = sources.getByRole('list', { name: 'Figures' }).getByRole('listitem');
  await expect(figure).toContainText('No source: link one.');
  await expect(sources.getByRole('list', { name: 'Quotes without a name' })).toContainText('The sea takes');
  const shared = sources.getByRole('list', { name: 'Shared words' }).getByRole('listitem');
  await expect(shared).toContainText('as in Tide table cycling');
  await expect(sources).toContainText(/\d+ % of its words are its own/);
  await shared.getByRole('button').click();
  await expect
    .poll(() => page.evaluate(() => String(getSelection())))
    .toContain('a skill like mending a tyre');
  await figure.getByRole('button', { name: 'It is our own count' }).click();
  await expect(figure).toContainText('Your own count');
});

test('the lens of the sections shows each at a glance, and leads there', async ({ page }) => {
  await openPost(page, /Waterproof panniers: how/);
  const sections = await lens(page, 'Sections');
  const all = sections.getByRole('list', { name: 'Sections of the post' }).getByRole('listitem');
  const headings = await draft(page).getByRole('heading').allTextContents();
  await expect(all).toHaveCount(headings.length + 1);
  await expect(all.first()).toContainText('Before the first heading');
  await expect(all.nth(1)).toContainText(/\d+ words · ease \d+/);
  await all.nth(2).getByRole('button').click();
  await expect(draft(page).getByRole('heading', { name: headings[1] })).toBeInViewport();
  await draft(page).getByRole('heading', { name: headings[1] }).click();
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('About 40 % of riders never look.');
  await expect(all.nth(2)).toContainText('A figure without a source.');
});
