import { expect, type Page, test } from '@playwright/test';
import { demoPicture } from './steps/files.ts';
import { downloaded, exactScore, goTo, openPost, saved, scoreOf } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const TYRE = /How to fix a flat/;

test('the insert menu puts in what is typed after a slash, and a table has its tools', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('/');
  const menu = page.getByRole('listbox', { name: 'Insert' });
  await expect(menu.getByRole('option', { name: 'Heading 2' })).toHaveAttribute('aria-selected', 'true');
  // The focus stays in the text, from where the entry in hand is said.
  const saidNow = async () => {
    const id = await draft(page).getAttribute('aria-activedescendant');
    return id === null ? null : page.locator(`[id="${id}"]`).textContent();
  };
  expect(await saidNow()).toBe('Heading 2');
  await page.keyboard.press('ArrowDown');
  await expect.poll(saidNow).toBe('Heading 3');
  await page.keyboard.press('Escape');
  await expect(menu).toBeHidden();
  expect(await saidNow()).toBeNull();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('/tab');
  await expect(menu.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  const table = draft(page).getByRole('table');
  await expect(table.getByRole('row')).toHaveCount(3);
  const tools = page.getByRole('toolbar', { name: 'Table' });
  await tools.getByRole('button', { name: 'Row below' }).click();
  await tools.getByRole('button', { name: 'Column right' }).click();
  await expect(table.getByRole('row')).toHaveCount(4);
  await expect(table.getByRole('row').first().getByRole('columnheader')).toHaveCount(4);
  await tools.getByRole('button', { name: 'Delete table' }).click();
  await expect(table).toHaveCount(0);
  await expect(tools).toBeHidden();
});

test('a picture of the site is picked by where it is used, laid out, and exported so', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page).getByRole('paragraph').first().click();
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'Picture of the site' }).click();
  const picker = page.getByRole('dialog', { name: 'Pictures of the site' });
  await expect(picker.getByRole('button', { name: /waterproof-panniers-hose/ })).toContainText(
    'in “Waterproof panniers',
  );
  await picker.getByLabel('Search pictures').fill('hose');
  await picker.getByRole('button', { name: /hose/ }).click();
  const figure = draft(page).getByRole('figure').filter({ hasText: 'waterproof-panniers-hose' });
  await figure.getByRole('button', { name: 'Layout' }).click();
  await figure.getByLabel('Side').selectOption('right');
  await figure.getByRole('spinbutton', { name: /Width/ }).fill('320');
  await figure.getByLabel('Link', { exact: true }).fill('javascript:alert(1)');
  await expect(figure.getByRole('alert')).toContainText('no address that a page may link to');
  await figure.getByLabel('Link', { exact: true }).fill('/rent');
  await figure.getByLabel('Enlarge on click').check();
  await saved(page);
  await goTo(page, 'Release');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'HTML' }).click());
  expect(text).toMatch(
    /<figure class="side-right enlarge"><a href="\/rent"><img src="media\/waterproof-panniers-hose.webp"[^>]* width="320"/,
  );
});

test('find and replace walks through the places and puts other words there, dollar signs and all', async ({
  page,
}) => {
  await openPost(page, TYRE);
  await draft(page).click();
  await page.keyboard.press('Control+f');
  const bar = page.getByRole('search', { name: 'Find and replace' });
  await bar.getByLabel('Find', { exact: true }).fill('TUBE');
  const told = bar.getByRole('status');
  await expect(told).toHaveText(/^\d+ found$/);
  const all = Number((await told.textContent())?.match(/\d+/)?.[0]);
  expect(all).toBeGreaterThan(2);
  await page.keyboard.press('Enter');
  await expect(told).toHaveText(new RegExp(`^\\d+ of ${all}$`));
  await bar.getByLabel('Same case').check();
  await expect(told).toHaveText('Not found');
  await bar.getByLabel('Same case').uncheck();
  await bar.getByLabel('Replace with').fill('$5 $& hose');
  await bar.getByRole('button', { name: 'All' }).click();
  await expect(draft(page)).toContainText('$5 $& hose');
  await expect(told).toHaveText('Not found');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  // The notice takes no focus, and so gives none back when it goes.
  await expect(bar.getByRole('button', { name: 'All' })).toBeFocused();
  await expect(draft(page)).not.toContainText('$5 $&');
  // From wherever in it.
  await page.keyboard.press('Escape');
  await expect(bar).toBeHidden();
});

test('the quiet sheet stands alone, and everything comes back', async ({ page }) => {
  await openPost(page, TYRE);
  await page.keyboard.press('Control+Shift+q');
  await expect(page.getByRole('navigation', { name: 'Trail' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Listing' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Notes' })).toBeHidden();
  await draft(page).click();
  await page.keyboard.type('Quietly. ');
  await page.getByRole('button', { name: 'Back to everything' }).click();
  await expect(page.getByRole('navigation', { name: 'Trail' })).toBeVisible();
  await expect(draft(page)).toContainText('Quietly.');
});

test('notes by points, earned criteria, and the listing as a phone shows it', async ({ page }) => {
  await openPost(page, TYRE);
  await page.getByLabel('Order').selectOption('points');
  const gains = await page.getByRole('region', { name: 'Notes' }).getByText(/^\+\d/).allTextContents();
  expect(gains.map(Number)).toEqual(gains.map(Number).sort((a, b) => b - a));
  const earned = page.getByRole('region', { name: 'Earned' });
  await expect(earned).toBeHidden();
  await page.getByLabel('Earned too').check();
  await expect(earned.getByRole('listitem').filter({ hasText: 'Keyword in the title' })).toBeVisible();
  await page
    .getByRole('textbox', { name: 'Meta description' })
    .fill(`A flat bike tyre is mended in fifteen minutes. ${'It takes two levers and a pump. '.repeat(5)}`);
  await page.getByRole('button', { name: 'Phone' }).click();
  const phone = page.getByRole('figure', { name: 'Listing on a phone' });
  await expect(phone).toContainText('A phone cuts the description at 680 px');
  await expect(phone).toContainText(' …');
});

test('a trial shows what each criterion gains and loses, and is kept or taken back', async ({ page }) => {
  await openPost(page, TYRE);
  await expect(scoreOf(page)).toHaveText(/\d/);
  const before = await exactScore(page);
  await page.getByRole('tab', { name: /Try it/ }).click();
  await page.getByRole('button', { name: 'Begin a trial' }).click();
  const lens = page.getByRole('region', { name: 'Try it' });
  const metaTitle = page.getByRole('textbox', { name: 'Meta title' });
  await metaTitle.fill('Short');
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(' On trial.');
  await expect(lens.getByRole('listitem').filter({ hasText: 'Keyword in the meta title' })).toContainText(
    /−[2-5]\.\d/,
  );
  await expect(page.getByRole('tab', { name: /−\d\.\d Try it/ })).toBeVisible();
  await lens.getByRole('button', { name: 'Take it back' }).click();
  await expect(metaTitle).toHaveValue('');
  await expect(draft(page)).not.toContainText('On trial.');
  await expect.poll(() => exactScore(page)).toBeCloseTo(before, 5);
  await lens.getByRole('button', { name: 'Begin a trial' }).click();
  await metaTitle.fill('Fix a flat bike tyre in fifteen minutes');
  await lens.getByRole('button', { name: 'Keep it' }).click();
  await expect(metaTitle).toHaveValue('Fix a flat bike tyre in fifteen minutes');
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByText('kept before a trial').first()).toBeVisible();
});

test('an outline is ordered and nested by dragging', async ({ page }) => {
  await openPost(page, TYRE);
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  const items = page.getByRole('list', { name: 'Outline' }).getByRole('textbox', { name: /^Heading/ });
  const words = () => items.evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  const before = await words();
  const handle = page.getByRole('button', { name: `Drag ${before[0]}` });
  const [from, to] = [await handle.boundingBox(), await items.nth(2).boundingBox()];
  await page.mouse.move(from!.x + 5, from!.y + 5);
  await page.mouse.down();
  await page.mouse.move(from!.x + 20, from!.y + 30, { steps: 4 });
  await page.mouse.move(from!.x + 42, to!.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect.poll(words).toEqual([before[1], before[2], before[0], ...before.slice(3)]);
  await expect(items.nth(2)).toHaveAccessibleName('Heading 3, level 3');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(words).toEqual(before);
});

test('a picture of a file comes in through the insert menu', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  // Waited for before anything is pressed: from then on the browser hands its dialog over.
  const asked = page.waitForEvent('filechooser');
  await page.keyboard.type('/picture from');
  await expect(page.getByRole('option', { name: /Picture from a file/ })).toBeVisible();
  await page.keyboard.press('Enter');
  const chooser = await asked;
  await chooser.setFiles([
    { name: 'bench.png', mimeType: 'image/png', buffer: Buffer.from(demoPicture('IMG_2041.png')) },
  ]);
  await expect(draft(page).getByText('bench.png', { exact: true })).toBeVisible();
});

test('words are found beside the text too, in title, listing and captions, and replaced all at once', async ({
  page,
}) => {
  await openPost(page, TYRE);
  const title = page.getByRole('textbox', { name: 'Title', exact: true });
  const before = await title.inputValue();
  await draft(page).click();
  await page.keyboard.press('Control+f');
  const bar = page.getByRole('search', { name: 'Find and replace' });
  await bar.getByLabel('Find', { exact: true }).fill('flat bike');
  await expect(bar).toContainText('Beside the text:');
  await bar.getByRole('button', { name: 'title 1', exact: true }).click();
  await expect(title).toBeFocused();
  await bar.getByLabel('Replace with').fill('soft bike');
  await bar.getByRole('button', { name: 'All' }).click();
  await expect(title).toHaveValue(before.replace(/flat bike/i, 'soft bike'));
  await expect(bar).not.toContainText('Beside the text:');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(title).toHaveValue(before);
});
