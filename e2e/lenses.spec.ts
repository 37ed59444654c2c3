import { expect, type Page, test } from '@playwright/test';
import { caretAtEndOf, newPost, openPost, paste } from './steps/writer.ts';

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
  await caretAtEndOf(page, draft(page).getByRole('heading', { name: headings[1] }));
  await page.keyboard.press('Enter');
  await page.keyboard.type('About 40 % of riders never look.');
  await expect(all.nth(2)).toContainText('A figure without a source.');
});

test('the lens of the language mends slips, doubled words and house words, and learns what is right here', async ({
  page,
}) => {
  await page.goto('/rules');
  const words = page.getByRole('region', { name: 'Language of the house' });
  await words.getByLabel('The house writes').fill('pannier');
  await words.getByLabel('Instead of').fill('saddlebag, saddle bag');
  await words.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(words.getByRole('list', { name: 'House words' })).toContainText(
    'pannier, not saddlebag, saddle bag',
  );

  await newPost(page);
  await draft(page).click();
  await page.keyboard.type(
    'We recieve the the bikes in a hour. You recieve a saddle bag. In order to pack, a zwiffel is packed.',
  );
  const language = await lens(page, 'Language');
  const spelling = language.getByRole('list', { name: 'Spelling' }).getByRole('listitem');
  await expect(spelling).toContainText('(2 times)');
  await spelling.getByRole('button', { name: 'receive', exact: true }).click();
  await expect(draft(page)).toContainText('We receive the the bikes in a hour. You receive');
  for (const [name, action] of [
    ['Words twice', 'Mend it'],
    ['A or an', 'an'],
    ['House words', 'pannier'],
    ['Weak openings', 'Mend it'],
  ] as const) {
    const list = language.getByRole('list', { name });
    await list.getByRole('button', { name: action, exact: true }).click();
    // What is mended is not spoken of any more.
    await expect(list).toBeHidden();
  }
  await expect(draft(page)).toHaveText(
    'We receive the bikes in an hour. You receive a pannier. To pack, a zwiffel is packed.',
  );
  await language.getByText('Unknown words 1').click();
  const unknown = language.getByRole('list', { name: 'Unknown words' });
  await unknown.getByRole('button', { name: 'Suggestions' }).click();
  await expect(unknown.getByRole('button', { name: 'Suggestions' })).toBeHidden();
  await unknown.getByRole('button', { name: 'It is right' }).click();
  await expect(unknown).toBeHidden();
  await language.getByText('Passive 1').click();
  await language.getByRole('button', { name: 'Switch off' }).click();
  await expect(language).toContainText('Nothing to remark on.');
  await language.getByRole('button', { name: 'Switch on' }).click();
  await expect(language).toContainText('Passive 1');
  // Each mending can be taken back by itself.
  await page.keyboard.press('Escape');
  await draft(page).click();
  await page.keyboard.press('Control+z');
  await expect(draft(page)).toContainText('In order to pack');
});
