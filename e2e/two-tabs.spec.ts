import { expect, type Page, test } from '@playwright/test';
import { goTo, openPost, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const told = (page: Page) => page.getByText('This post is open in another tab.');

test('the second tab is told, follows live, takes over, and gives back when it closes', async ({
  page,
  context,
}) => {
  await openPost(page, /Waterproof panniers/);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(told(second)).toBeVisible();
  await expect(told(page)).toBeHidden();
  await expect(draft(second)).toHaveAttribute('contenteditable', 'false');
  await expect(second.getByLabel('Title', { exact: true })).toBeDisabled();
  // What is only read stays at hand.
  await second.getByRole('tab', { name: 'Ledger' }).click();
  await expect(second.getByRole('region', { name: 'Ledger' }).getByText('Reading ease')).toBeVisible();
  await second.getByRole('tab', { name: /Notes/ }).click();

  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' Written in the first tab.');
  await page.getByLabel('Title', { exact: true }).fill('A title from the first tab');
  await expect(draft(second)).toContainText('Written in the first tab.');
  await expect(second.getByRole('heading', { level: 1 })).toHaveText('A title from the first tab');

  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' The last words before');
  await second.getByRole('button', { name: 'Write here instead' }).click();
  await expect(told(page)).toBeVisible();
  await expect(told(second)).toBeHidden();
  await expect(draft(second)).toContainText('The last words before');
  await draft(second).click();
  await second.keyboard.press('Control+End');
  await second.keyboard.type(' and after.');
  await expect(draft(page)).toContainText('The last words before and after.');
  await expect(draft(page)).toHaveAttribute('contenteditable', 'false');

  await saved(second);
  await second.close();
  await expect(told(page)).toBeHidden();
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' Back home.');
  await saved(page);
  await page.reload();
  await expect(draft(page)).toContainText('The last words before and after. Back home.');
});

test('without locks a write that comes too late overwrites nothing: it is kept as a version', async ({
  browser,
}) => {
  const context = await browser.newContext();
  await context.addInitScript(() => Object.defineProperty(navigator, 'locks', { value: undefined }));
  const page = await context.newPage();
  await openPost(page, /Waterproof panniers/);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(draft(second)).toBeVisible();
  await Promise.all(
    [page, second].map(async (one, at) => {
      await draft(one).click();
      await one.keyboard.press('Control+End');
      // As one input, so that no save falls into the middle of it.
      await one.keyboard.insertText(at === 0 ? ' Alphabetical.' : ' Betamax.');
    }),
  );
  for (const one of [page, second]) await saved(one);
  await page.reload();
  await expect(draft(page)).toBeVisible();
  const kept = (await draft(page).textContent()) ?? '';
  await page.getByRole('link', { name: 'Versions' }).click();
  const list = page.getByRole('region', { name: 'Kept versions' });
  // On a slow machine the second may have taken in the first before it wrote: then both stand in the text.
  if (!(kept.includes('Alphabetical.') && kept.includes('Betamax.')))
    await expect(list.getByRole('button', { name: /kept from another tab/ }).first()).toBeVisible();
  const texts = [];
  const rows = list.getByRole('button', { name: /kept/ });
  for (let at = 0; at < (await rows.count()); at++) {
    await rows.nth(at).click();
    texts.push(await page.getByRole('main').textContent());
  }
  await goTo(page, 'Write');
  texts.push(await draft(page).textContent());
  for (const words of ['Alphabetical.', 'Betamax.']) expect(texts.join()).toContain(words);
  await context.close();
});

test('posts changed in another tab arrive in lists, deleted ones are told', async ({ page, context }) => {
  await openPost(page, /Waterproof panniers/);
  const second = await context.newPage();
  await second.goto('/posts');
  await second.getByRole('checkbox', { name: /Select Waterproof panniers/ }).check();
  await second.getByRole('button', { name: 'Delete 1' }).click();
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' Words for a deleted post.');
  await expect(page.getByRole('alert').filter({ hasText: 'deleted in another tab' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as a file' })).toBeVisible();
  await second.getByRole('button', { name: 'Undo' }).click();
  await page.keyboard.type(' And more.');
  await saved(page);
});

test('what stands in the text with fields of its own is at rest in the tab that follows', async ({
  page,
  context,
}) => {
  await openPost(page, /^Your first bike tour/);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(told(second)).toBeVisible();
  const caption = (tab: Page) =>
    draft(tab).getByRole('figure').first().getByRole('textbox', { name: 'Caption' });
  await expect(caption(second)).toBeDisabled();
  await expect(caption(page)).toBeEnabled();
  // Nor does the palette put anything into a text that is written elsewhere.
  const before = await draft(second).innerText();
  await second.keyboard.press('Control+k');
  await second.getByRole('dialog', { name: 'Actions' }).getByRole('combobox').fill('add a footnote');
  await second.keyboard.press('Enter');
  await expect(second.getByRole('dialog', { name: 'Actions' })).toBeHidden();
  expect(await draft(second).innerText()).toBe(before);
});
