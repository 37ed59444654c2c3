import { expect, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { goTo, openPost, openPosts, scoreOf, toPosts } from './steps/writer.ts';

test('an outline is made by keyboard, put into the draft and read back', async ({ page }) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Write');
  await page.getByRole('textbox', { name: 'Draft' }).click();
  await page.keyboard.type('An introduction.');
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Add a heading' }).click();
  await page.keyboard.type('Weigh it');
  await page.keyboard.press('Enter');
  await page.keyboard.type('On a scale');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(page.getByLabel('Heading 2, level 3')).toHaveValue('On a scale');
  await expect(page.getByLabel('Heading 2, level 3')).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Tools');
  await page.keyboard.press('Alt+ArrowLeft');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByLabel('Heading 1, level 2')).toHaveValue('Tools');
  await page.getByLabel('Note on heading 1').fill('pump, levers, tube');
  await page.getByRole('button', { name: 'Put into the draft' }).click();
  await expect(page.getByText('3 headings added. Your text was not touched.')).toBeVisible();
  await goTo(page, 'Write');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading')).toHaveText(['Tools', 'Weigh it', 'On a scale']);
  await expect(draft).toContainText('An introduction.');
  await draft.getByRole('heading', { name: 'Weigh it' }).click();
  await page.keyboard.press('End');
  await page.keyboard.type(' twice');
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  await expect(page.getByLabel('Heading 2, level 2')).toHaveValue('Weigh it twice');
  await expect(page.getByLabel('Note on heading 1')).toHaveValue('pump, levers, tube');
});

test('the meta title pattern of the house moves every listing, and the demo can be reset', async ({
  page,
}) => {
  await page.goto('/rules');
  await page.getByLabel('Meta title pattern').fill('{title}');
  await (await toPosts(page)).getByRole('link', { name: /Tide table/ }).click();
  await expect(page.getByRole('region', { name: 'Listing' })).not.toContainText('| Saltmarsh');
  await page.goto('/rules');
  await page.getByRole('button', { name: 'Reset the demo' }).click();
  await expect(page.getByText('The demo is as it was.')).toBeVisible();
  await openPost(page, /Tide table/);
  await expect(page.getByRole('region', { name: 'Listing' })).toContainText('| Saltmarsh Wheelworks');
});

test('a post that is not there says so', async ({ page }) => {
  await page.goto('/posts/no-such-post/write');
  await expect(page.getByRole('heading', { name: 'This post is not here' })).toBeVisible();
});

test('no screen has an accessibility fault that can be found, in either theme', async ({ page }) => {
  const faults: string[] = [];
  const look = async (screen: string) => faults.push(...(await faultsOf(page, screen)));
  await openPosts(page);
  await look('Posts');
  await openPost(page, /How to fix a flat/);
  await expect(scoreOf(page)).toHaveText(/\d/);
  await look('Write');
  for (const [lens, words] of [
    ['Pictures', /^\d+ pictures?, /],
    ['Language', /^British English\./],
  ] as const) {
    await page.getByRole('tab', { name: lens }).click();
    await expect(page.getByRole('region', { name: lens, exact: true }).getByText(words)).toBeVisible();
    await look(lens);
  }
  await page.getByRole('button', { name: 'Compare titles' }).click();
  await expect(page.getByRole('table', { name: 'Titles' }).getByText(/\d px/).first()).toBeVisible();
  await look('Titles');
  await page.keyboard.press('Escape');
  for (const step of ['Target', 'Outline', 'Release', 'Study']) {
    await goTo(page, step);
    // The step before it had headings too.
    await expect(page).toHaveURL(new RegExp(`/${step.toLowerCase()}$`));
    await expect(page.getByRole('main')).toBeVisible();
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
    await look(step);
  }
  await page.goto('/rules');
  await expect(page.getByLabel('Site name')).toBeVisible();
  await look('House rules');
  expect(faults).toEqual([]);
});
