import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import { downloaded, goTo, openPost, openPosts, paste, saved } from './steps/writer.ts';

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test.beforeEach(async ({ page }) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Write');
  await page.getByRole('textbox', { name: 'Draft' }).click();
});

test('headings, lists and a table by Markdown shortcuts and the toolbar', async ({ page }) => {
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await page.keyboard.type('## Kit\nOne **bold** word\n- tent\nstove\n\n\n> wind\n\n');
  await page
    .getByRole('toolbar', { name: 'Format' })
    .getByRole('button', { name: 'Table', exact: true })
    .click();
  await page.keyboard.type('Part');
  await expect(draft.getByRole('heading', { level: 2, name: 'Kit' })).toBeVisible();
  await expect(draft.getByRole('listitem')).toHaveCount(2);
  await expect(draft.getByRole('strong')).toHaveText('bold');
  await expect(draft.getByRole('blockquote')).toContainText('wind');
  await expect(draft.getByRole('columnheader').first()).toHaveText('Part');
  await saved(page);
  await page.reload();
  await expect(draft.getByRole('columnheader').first()).toHaveText('Part');
  await expect(draft.getByRole('listitem')).toHaveCount(2);
});

test('what is typed right after a tool was pressed goes into the text, however busy the page is', async ({
  page,
}) => {
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await page.keyboard.type('Kit');
  await page
    .getByRole('toolbar', { name: 'Format' })
    .getByRole('button', { name: 'Heading 2', exact: true })
    // No frame is drawn between the press and the key.
    .evaluate((tool: HTMLElement) => {
      tool.focus();
      tool.click();
      document.execCommand('insertText', false, ' list');
    });
  await expect(draft.getByRole('heading', { level: 2 })).toHaveText('Kit list');
});

test('a picture comes from a file, with alt text and caption', async ({ page }) => {
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles({ name: 'IMG_7.png', mimeType: 'image/png', buffer: PNG });
  const figure = page.getByRole('textbox', { name: 'Draft' }).getByRole('figure');
  await figure.getByLabel('Alt text').fill('A loaded bike by the dyke');
  await figure.getByLabel('Caption').fill('Waiting for low water');
  await expect(figure.getByRole('img')).toHaveAttribute('alt', 'A loaded bike by the dyke');
  await expect(page.getByRole('region', { name: 'Notes' }).getByText(/"IMG_7" says nothing/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(figure.getByRole('img')).toBeVisible();
  await expect(figure.getByLabel('Caption')).toHaveValue('Waiting for low water');
});

test('a link is picked from the posts of the site', async ({ page }) => {
  await page.keyboard.type('See ');
  await page.getByRole('button', { name: 'Link', exact: true }).click();
  await page.getByLabel('Address, or words of a post or page').fill('tide');
  await page.getByRole('option', { name: /Tide table cycling/ }).click();
  const link = page.getByRole('textbox', { name: 'Draft' }).getByRole('link');
  await expect(link).toHaveAttribute('href', '/journal/tide-table-cycling');
  await expect(link).toHaveText('Tide table cycling: when the causeway is dry');
});

test('a chat that was pasted comes with headings and lists, and without what it said to whoever asked', async ({
  page,
}) => {
  await paste(
    page,
    '',
    'Sure! Here is a short guide:\n\n## When to cross\n\nCross **early**.\n\n* Read the table\n* Take a lamp\n\nLet me know if you want it longer!',
  );
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading', { level: 2, name: 'When to cross' })).toBeVisible();
  await expect(draft.getByRole('listitem')).toHaveText(['Read the table', 'Take a lamp']);
  await page.getByRole('button', { name: 'Take them out' }).click();
  await expect(draft).not.toContainText('Sure!');
  await expect(draft).not.toContainText('Let me know');
  await expect(draft).toContainText('Cross early.');
  await page
    .getByRole('listitem')
    .filter({ hasText: '2 lines are out.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(draft).toContainText('Sure! Here is a short guide:');
});

test('one undo takes a cleaned paste back, title and all', async ({ page }) => {
  await page.keyboard.type('Mine stays.');
  await paste(page, '<h1>From elsewhere</h1><p style="color:red">Pasted <b>text</b>.</p><p>&nbsp;</p>');
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('From elsewhere');
  await expect(
    page.getByText(/Cleaned: the first heading became the title, 1 inline style, 1 empty paragraph/),
  ).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Draft' })).toContainText('Pasted text.');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toHaveText('Mine stays.');
});

test('the editor’s own undo takes a pasted title back with its text, redo sets both again, and a title of one’s own stays', async ({
  page,
}) => {
  const title = page.getByLabel('Title', { exact: true });
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await page.keyboard.type('Mine stays.');
  await paste(page, '<h1>From elsewhere</h1><p>Pasted text.</p>');
  await expect(title).toHaveValue('From elsewhere');
  await page.keyboard.press('Control+z');
  await expect(draft).toHaveText('Mine stays.');
  await expect(title).toHaveValue('');
  await page.keyboard.press('Control+Shift+z');
  await expect(draft).toContainText('Pasted text.');
  await expect(title).toHaveValue('From elsewhere');
  await title.fill('My own');
  await draft.focus();
  await page.keyboard.press('Control+z');
  await expect(draft).toHaveText('Mine stays.');
  await expect(title).toHaveValue('My own');
});

test('pasted Markdown becomes headings and lists', async ({ page }) => {
  await paste(page, '', '## Tools\n\n- pump\n- tube\n\nSee [tides](/journal/tide-table-cycling).');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading', { level: 2, name: 'Tools' })).toBeVisible();
  await expect(draft.getByRole('listitem')).toHaveCount(2);
  await expect(draft.getByRole('link', { name: 'tides' })).toBeVisible();
});

test('pasted markup cannot run', async ({ page }) => {
  let ran = false;
  page.on('dialog', (dialog) => {
    ran = true;
    void dialog.dismiss();
  });
  await paste(
    page,
    '<p>Safe <a href="javascript:alert(1)">link</a><img src=x onerror="alert(2)"><script>alert(3)</script></p><iframe src="javascript:alert(4)"></iframe>',
  );
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft).toContainText('Safe link');
  await expect(draft.getByRole('link')).toHaveCount(0);
  expect(ran).toBe(false);
});

test('the listing is typed in place: pattern, pixels, the cut and the opening words', async ({ page }) => {
  await page.keyboard.insertText(
    'The tide is low at nine. Riders cross the causeway then, with an hour to spare on either side.',
  );
  const listing = page.getByRole('region', { name: 'Listing' });
  await expect(listing.getByText('these opening words would stand there')).toBeVisible();
  await listing.getByLabel('Meta title').fill('Low water');
  await expect(listing).toContainText('| Saltmarsh Wheelworks');
  const before = await listing.getByText(/of 380-580 px/).innerText();
  await listing
    .getByLabel('Meta title')
    .fill('Low water and what it means for everybody who rides out over the flats with bags');
  await expect(listing.getByText(/Words of the title are cut: .*…/)).toBeVisible();
  expect(await listing.getByText(/of 380-580 px/).innerText()).not.toBe(before);
  await listing.getByRole('button', { name: 'Take whole sentences of them' }).click();
  await expect(listing.getByLabel('Meta description')).toHaveValue(/^The tide is low at nine\./);
  await listing.getByLabel('Slug').fill('low water');
  await expect(listing.getByLabel('Slug')).toHaveValue('low-water');
});

test('pressing a note leads to its place: a field, the text, the keyword on Target', async ({ page }) => {
  await page.keyboard.insertText('The tide is low at nine. Riders cross the causeway then.');
  const notes = page.getByRole('region', { name: 'Notes' });
  await notes
    .getByRole('listitem', { name: 'Meta description width' })
    .getByRole('button', { name: /Write a meta description/ })
    .click();
  await expect(page.getByRole('textbox', { name: 'Meta description' })).toBeFocused();
  await notes.getByRole('button', { name: /Give the post a title/ }).click();
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toBeFocused();
  const whole = notes.getByRole('button', { name: /The whole post: \d+ notes?/ });
  await expect(whole).toHaveAttribute('aria-expanded', 'false');
  await whole.click();
  await notes.getByRole('button', { name: /too little to be judged/ }).click();
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeFocused();
  // Whatever waits for the keyword is one note.
  const keyword = notes.getByRole('button', { name: /Set a primary keyword/ });
  await expect(keyword).toHaveCount(1);
  await keyword.click();
  await expect(page.getByLabel('Primary keyword')).toBeFocused();
});

test('a note is shown from its words and its words from the note', async ({ page }) => {
  await openPost(page, /How to fix a flat/);
  const note = page.getByRole('region', { name: 'Notes' }).getByRole('listitem', { name: 'Words of links' });
  await note.getByRole('button', { name: /does not say where/ }).click();
  await expect.poll(() => page.evaluate(() => getSelection()?.toString())).toBe('here');
  await page.getByLabel('Order').selectOption('by points to win');
  const gains = (await page.getByRole('region', { name: 'Notes' }).getByText(/^\+\d/).allInnerTexts()).map(
    Number,
  );
  expect(gains.length).toBeGreaterThan(3);
  expect(gains).toEqual([...gains].sort((a, b) => b - a));
  await page.getByRole('tab', { name: 'Ledger' }).click();
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('Reading ease')).toBeVisible();
});

test('what was typed a second ago survives the page being closed without a word', async ({
  page,
  context,
}) => {
  await page.keyboard.type('Written in haste.');
  await saved(page);
  const address = page.url();
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByRole('textbox', { name: 'Draft' })).toHaveText('Written in haste.');
});

test('Release gives Markdown and HTML of the post', async ({ page }) => {
  await openPost(page, /Touring tyre pressure/);
  await goTo(page, 'Release');
  await expect(
    page.getByRole('region', { name: 'Ledger' }).getByRole('row', { name: /Meta title width/ }),
  ).toContainText('px');
  const group = page.getByRole('group', { name: 'Export' });
  const md = await downloaded(page, () => group.getByRole('button', { name: 'Markdown' }).click());
  expect(md.name).toBe('touring-tyre-pressure.zip');
  expect(md.files[0]).toMatch(/^media\/touring-tyre-pressure[\w-]*\.webp$/);
  expect(md.files.at(-1)).toBe('touring-tyre-pressure.md');
  expect(md.text).toMatch(/^---\ntitle: "?Touring tyre pressure/);
  expect(md.text).toContain('| 80 kg');
  const html = await downloaded(page, () => group.getByRole('button', { name: 'HTML' }).click());
  expect(html.text).toContain(
    '<title>Touring tyre pressure: less than you think | Saltmarsh Wheelworks</title>',
  );
  expect(html.text).not.toContain('style=');
  expect(html.text).toContain('<meta name="dune-sparrow:keyword" content="touring tyre pressure">');
  await page.getByLabel('Status').selectOption('In review');
  await expect(page.getByText(/In review · /)).toBeVisible();
});

test('a .docx shows pictures that word processors do not read', async ({ page }) => {
  await openPost(page, /Bike tour packing list/);
  await goTo(page, 'Release');
  const { file } = await downloaded(page, () => page.getByRole('button', { name: '.docx' }).click());
  const parts = Object.keys(unzipSync(readFileSync(await file.path())));
  expect(parts.filter((path) => /^word\/media\/./.test(path))).toEqual([expect.stringMatching(/\.png$/)]);
});
