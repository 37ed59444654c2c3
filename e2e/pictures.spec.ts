import { expect, type Page, test } from '@playwright/test';
import { demoPicture, file } from './steps/files.ts';
import { newPost, paste, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const picture = (name: string) => ({ ...file(name, demoPicture('IMG_2041.png')), mimeType: 'image/png' });
const words = (page: Page) =>
  draft(page).evaluate((sheet) =>
    [...sheet.children].map((block) =>
      block.querySelector('img')
        ? `[${block.querySelector('[title$=".png"]')?.textContent}]`
        : (block.textContent ?? ''),
    ),
  );

/** Drops picture files on the sheet, level with a line. */
async function drop(page: Page, names: string[], onto: string) {
  const base64 = Buffer.from(demoPicture('IMG_2041.png')).toString('base64');
  const box = (await draft(page).getByText(onto).boundingBox())!;
  await draft(page).evaluate(
    (sheet, { names: all, base64: bytes, x, y }) => {
      const data = new DataTransfer();
      const content = Uint8Array.from(atob(bytes), (char) => char.charCodeAt(0));
      for (const name of all) data.items.add(new File([content], name, { type: 'image/png' }));
      const init = { dataTransfer: data, bubbles: true, cancelable: true, clientX: x, clientY: y };
      sheet.dispatchEvent(new DragEvent('drop', init));
    },
    { names, base64, x: box.x + 30, y: box.y + box.height - 2 },
  );
}

test.beforeEach(async ({ page }) => {
  await newPost(page);
  await draft(page).click();
});

test('several files that are chosen all stay, in order, and the caret stands below them', async ({
  page,
}) => {
  await page.keyboard.type('Low water.');
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles([picture('one.png'), picture('two.png'), picture('three.png')]);
  await expect(draft(page).getByRole('figure')).toHaveCount(3);
  await page.keyboard.type('High water.');
  await expect
    .poll(() => words(page))
    .toEqual(['Low water.', '[one.png]', '[two.png]', '[three.png]', 'High water.']);
  await page.getByLabel('Picture file', { exact: true }).setInputFiles([picture('three.png')]);
  await expect(draft(page).getByRole('figure')).toHaveCount(4);
  await page.keyboard.type('And so on.');
  await saved(page);
  await page.reload();
  await expect(draft(page)).toContainText('And so on.');
  expect(await words(page)).toEqual([
    'Low water.',
    '[one.png]',
    '[two.png]',
    '[three.png]',
    'High water.',
    '[three.png]',
    'And so on.',
  ]);
});

test('a picture stands where it was dropped, wherever the caret is, and one undo takes it back', async ({
  page,
}) => {
  await page.keyboard.type('One tide.\nTwo tides.\nThree tides.');
  await drop(page, ['a.png', 'b.png'], 'One tide.');
  await expect(draft(page).getByRole('figure')).toHaveCount(2);
  await page.keyboard.type('Then ');
  await expect
    .poll(() => words(page))
    .toEqual(['One tide.', '[a.png]', '[b.png]', 'Then Two tides.', 'Three tides.']);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => words(page)).toEqual(['One tide.', 'Two tides.', 'Three tides.']);
});

test('a picture that is selected is not overwritten by what is typed', async ({ page }) => {
  await page.keyboard.type('Low water.');
  await page.getByLabel('Picture file', { exact: true }).setInputFiles([picture('one.png')]);
  await draft(page).getByRole('figure').getByRole('presentation').click();
  await page.keyboard.type('Still here.');
  await expect.poll(() => words(page)).toEqual(['Low water.', '[one.png]', 'Still here.']);
});

test('pictures stand side by side, change places, and go out as plain figures of equal height', async ({
  page,
}) => {
  await page.keyboard.type('Low water.');
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles([picture('one.png'), picture('two.png'), picture('three.png')]);
  const figures = draft(page).getByRole('figure');
  await expect(figures).toHaveCount(3);
  await figures.first().getByRole('button', { name: 'Layout' }).click();
  await figures.first().getByLabel('In a row').selectOption('3');
  const tops = () =>
    figures.evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().top)));
  await expect.poll(async () => new Set(await tops()).size).toBe(1);
  await figures.nth(2).getByRole('button', { name: 'Move it back' }).click();
  await expect.poll(() => words(page)).toEqual(['Low water.', '[one.png]', '[three.png]', '[two.png]', '']);
  await saved(page);
  await page.getByRole('link', { name: 'Reader’s view' }).click();
  const shown = page.getByTitle('The post as readers see it').contentFrame().getByRole('figure');
  await expect(shown).toHaveCount(3);
  const boxes = () =>
    shown.evaluateAll((all) =>
      all.map((one) => {
        const { top, height } = one.getBoundingClientRect();
        return `${Math.round(top)} ${Math.round(height)}`;
      }),
    );
  await expect.poll(async () => new Set(await boxes()).size).toBe(1);
});

test('keys of the application do nothing to the text', async ({ page }) => {
  await page.keyboard.type('Every word stays as it is.');
  await page.keyboard.press('Control+a');
  for (const keys of ['Control+Shift+s', 'Control+Shift+q', 'Control+Shift+q'])
    await page.keyboard.press(keys);
  await expect(page.getByText('A version is kept.')).toBeVisible();
  await expect(draft(page).locator('s, strong, em, u, code, blockquote')).toHaveCount(0);
  await expect(draft(page)).toHaveText('Every word stays as it is.');
});

test('a post without title, slug or text is not published, and says what it needs', async ({ page }) => {
  await page.getByRole('link', { name: /^Release/ }).click();
  await page.getByLabel('Status').selectOption('Published');
  await expect(page.getByRole('alert')).toHaveText(
    'It cannot go out yet: it needs a title, a slug and a text.',
  );
  await expect(page.getByLabel('Status')).toHaveValue('draft');
  await page.getByLabel('Status').selectOption('In review');
  await expect(page.getByRole('alert')).toBeHidden();
});

test('a picture, and markup that is kept as it is, come through the clipboard with everything they have', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.keyboard.type('Low water.');
  await paste(page, '<p>Before.</p><video src="https://films.example/tide.mp4" controls></video>');
  const kept = draft(page).getByText('Kept as it is:');
  await expect(kept).toBeVisible();
  await page.keyboard.press('Control+End');
  await page.getByLabel('Picture file', { exact: true }).setInputFiles([picture('one.png')]);
  const figure = draft(page).getByRole('figure');
  await figure.getByRole('textbox', { name: 'Alt text' }).fill('A dyke at "low" water & mud');
  await figure.getByRole('textbox', { name: 'Caption' }).fill('The dyke <at> noon');
  await figure.getByRole('button', { name: 'Layout' }).click();
  await figure.getByLabel('Side').selectOption('left of the text');
  await figure.getByRole('img').click();
  await page.keyboard.press('Control+x');
  await expect(figure).toHaveCount(0);
  await page.keyboard.press('Control+v');
  const whole = async () => {
    await expect(figure.getByRole('textbox', { name: 'Alt text' })).toHaveValue(
      'A dyke at "low" water & mud',
    );
    await expect(figure.getByRole('textbox', { name: 'Caption' })).toHaveValue('The dyke <at> noon');
    await expect(figure.getByLabel('Side')).toHaveValue('left');
    await expect(kept).toHaveCount(1);
    await expect(draft(page)).toContainText('films.example/tide.mp4');
  };
  await whole();
  await draft(page).getByText('Low water.').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+x');
  await expect(kept).toHaveCount(0);
  await page.keyboard.press('Control+v');
  await whole();
  await saved(page);
  await page.reload();
  await whole();
});

test('a forged block on the clipboard runs nothing and brings nothing but its words', async ({ page }) => {
  const forged = (block: object, type = 'figure') =>
    `<div data-pm-slice="0 0 []"><figure data-block="${encodeURIComponent(JSON.stringify(block))}" data-block-type="${type}"></figure></div><p>Words.</p>`;
  await paste(page, forged({ src: 'javascript:alert(1)', alt: 'x', caption: 'Caption' }));
  await paste(page, forged({ src: 'media/a.png', link: 'javascript:alert(1)', width: 'NaN', alt: { a: 1 } }));
  await paste(page, forged({ href: 'javascript:alert(1)', kind: 'video', title: 'T' }, 'embed'));
  await paste(
    page,
    forged({ href: 'https://a.example/b.mp4', transcript: 'javascript:alert(1)', kind: 'x' }, 'embed'),
  );
  await expect(draft(page)).toContainText('Words.');
  // Ten million columns would hold the page up for good.
  const table = '<table><tr><td colspan="10000000"><p>Wide</p></td><td><p>cell</p></td></tr></table>';
  await paste(page, `<div data-pm-slice="0 0 []">${table}</div>`);
  await expect(draft(page).getByRole('cell', { name: 'Wide' })).toBeVisible();
  await expect(draft(page).locator('[href^="javascript"], [src^="javascript"]')).toHaveCount(0);
});
