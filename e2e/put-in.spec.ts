import { expect, type Page, test } from '@playwright/test';
import { demoPicture } from './steps/files.ts';
import { caretAtEndOf, downloaded, goTo, openPost, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const TYRE = /How to fix a flat/;

/** A new line at the end of the text, and the caret in it. */
async function newLine(page: Page) {
  await caretAtEndOf(page, draft(page), 'Control+End');
  await page.keyboard.press('Enter');
}

async function exported(page: Page, format: 'HTML' | 'Markdown') {
  await saved(page);
  await goTo(page, 'Release');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: format }).first().click());
  await goTo(page, 'Write');
  return text;
}

test('an address on a line of its own becomes an embed, with a title, a transcript, and as a link in the export', async ({
  page,
}) => {
  await openPost(page, TYRE);
  await newLine(page);
  await page.keyboard.type('https://clips.example/flat/lever.mp4');
  await page.keyboard.press('Enter');
  const embed = draft(page).getByRole('figure', { name: /^Video/ });
  await expect(embed).toBeVisible();
  // Nothing of it is loaded: there is no frame in the text.
  await expect(draft(page).locator('iframe, video')).toHaveCount(0);
  await embed.getByLabel('Title').fill('The lever in slow motion');
  await embed.getByLabel('Transcript').fill('javascript:alert(1)');
  await expect(embed.getByText('No address that a page may link to.')).toBeVisible();
  await embed.getByLabel('Transcript').fill('/journal/lever-words');
  // What is typed next goes on below it.
  await draft(page).getByRole('paragraph').last().click();
  await page.keyboard.type('And so it came off.');
  const html = await exported(page, 'HTML');
  expect(html).toContain(
    '<figure class="embed embed-video"><a href="https://clips.example/flat/lever.mp4">The lever in slow motion</a><figcaption><a class="transcript" href="/journal/lever-words">Transcript</a></figcaption></figure>',
  );
  await embed.getByRole('button', { name: 'Make it a link' }).click();
  await expect(embed).toHaveCount(0);
  await expect(draft(page).getByRole('link', { name: 'The lever in slow motion' })).toHaveAttribute(
    'href',
    'https://clips.example/flat/lever.mp4',
  );
});

test('the menu asks for an address, and says what it is before it goes in', async ({ page }) => {
  await openPost(page, TYRE);
  await newLine(page);
  await page.keyboard.type('/embed');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Embed' });
  const address = dialog.getByLabel(/^Address of a video/);
  await address.fill('tide.example');
  await expect(dialog.getByText('Write the whole address')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Embed it' })).toBeDisabled();
  await address.fill('https://tide.example/table');
  await expect(dialog.getByRole('button', { name: 'Put it in as a link' })).toBeEnabled();
  await address.fill('http://tide.example/talk.mp3');
  await expect(dialog.getByText(/^Recording\./)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(draft(page).getByRole('figure', { name: /^Recording/ })).toContainText('not encrypted');
  // It is a fault among the links, with the encrypted address as its remedy.
  await page.getByRole('tab', { name: /^Links/ }).click();
  await expect(page.getByText('http://tide.example/talk.mp3').last()).toBeVisible();
});

test('embeds, the mark for lists, the next step and footnotes come through the clipboard whole', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openPost(page, TYRE);
  await newLine(page);
  await page.keyboard.type('https://clips.example/flat/lever.mp4');
  await page.keyboard.press('Enter');
  await draft(page)
    .getByRole('figure', { name: /^Video/ })
    .getByLabel('Title')
    .fill('The lever');
  await draft(page).getByRole('paragraph').first().click();
  await page.keyboard.press('End');
  await page.keyboard.press('Control+Alt+f');
  await page.keyboard.type('Asked of every rider.');
  await page.keyboard.press('Control+k');
  const actions = page.getByRole('dialog', { name: 'Actions' });
  await actions.getByRole('combobox').fill('mark where lists stop');
  await page.keyboard.press('Enter');
  await expect(actions).toBeHidden();
  const before = await exported(page, 'HTML');
  await draft(page).getByRole('paragraph').first().click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+x');
  await expect(draft(page).getByRole('figure')).toHaveCount(0);
  await page.keyboard.press('Control+v');
  await expect(draft(page).getByRole('figure', { name: 'Video: The lever' })).toBeVisible();
  const body = (html: string) => /<article>.*<\/article>/s.exec(html)?.[0];
  expect(body(await exported(page, 'HTML'))).toBe(body(before));
});

test('pasted code of a frame becomes an embed', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openPost(page, TYRE);
  await newLine(page);
  await page.evaluate(async () => {
    const html =
      '<div class="x" onclick="y()"><iframe src="https://player.vimeo.com/video/123456789" title="Two minutes"></iframe></div>';
    await navigator.clipboard.write([
      new ClipboardItem({ 'text/html': new Blob([html], { type: 'text/html' }) }),
    ]);
  });
  await page.keyboard.press('Control+v');
  const embed = draft(page).getByRole('figure', { name: 'Video: Two minutes' });
  await expect(embed).toContainText('https://vimeo.com/123456789');
  await page.keyboard.press('Control+z');
  await expect(embed).toHaveCount(0);
});

test('the next step is a button with words and a link', async ({ page }) => {
  await openPost(page, TYRE);
  await newLine(page);
  await page.keyboard.type('/next');
  await page.keyboard.press('Enter');
  await page.getByLabel('Address, or words of a post or page').fill('rent touring');
  await page.keyboard.press('Enter');
  const tools = page.getByRole('toolbar', { name: 'Next step' });
  await expect(tools.getByText('It leads nowhere yet.')).toHaveCount(0);
  await tools.getByLabel('Readers see').selectOption('words with a link');
  expect(await exported(page, 'HTML')).toMatch(
    /<p class="next-step words"><a href="\/journal\/rent-touring-bike">[^<]+<\/a><\/p>/,
  );
});

test('a footnote is numbered as the text goes, leads to its note, and comes out as one', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page).getByRole('paragraph').nth(1).click();
  await page.keyboard.press('End');
  await page.keyboard.press('Control+Alt+f');
  await page.keyboard.type('Counted in the workshop in May.');
  await draft(page).getByRole('paragraph').first().click();
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'Footnote', exact: true }).click();
  await page.keyboard.type('Asked of every rider.');
  const text = await exported(page, 'Markdown');
  const [first, second] = [text.indexOf('[^1]'), text.indexOf('[^2]')];
  expect(first).toBeGreaterThan(0);
  expect(second).toBeGreaterThan(first);
  expect(text).toContain('[^1]: Asked of every rider.');
  expect(text).toContain('[^2]: Counted in the workshop in May.');
  expect(await exported(page, 'HTML')).toContain('role="doc-endnotes"');
});

test('a command acts where was clicked, however busy the page is when the key comes', async ({ page }) => {
  await openPost(page, TYRE);
  const paragraphs = draft(page).getByRole('paragraph');
  await paragraphs.nth(3).click();
  // Busy after each press, so that the key is there before the page tells where the caret is.
  await page.evaluate(() => {
    const busy = () => {
      for (const until = performance.now() + 200; performance.now() < until; );
    };
    addEventListener('mousedown', () => setTimeout(busy), { capture: true });
  });
  for (const nth of [2, 1]) {
    await paragraphs.nth(nth).scrollIntoViewIfNeeded();
    const box = (await paragraphs.nth(nth).boundingBox())!;
    await page.mouse.move(box.x + 60, box.y + 10);
    await Promise.all([page.mouse.down(), page.mouse.up(), page.keyboard.press('Control+Alt+f')]);
    await expect(paragraphs.nth(nth).getByTitle(/^Footnote/)).toHaveCount(1);
  }
  await expect(draft(page).getByTitle(/^Footnote/)).toHaveCount(2);
});

test('lists show the post down to one mark', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page).getByRole('paragraph').nth(1).click();
  await page.keyboard.press('Control+k');
  const palette = page.getByRole('dialog', { name: 'Actions' });
  await palette.getByRole('combobox').fill('mark where lists stop');
  await page.keyboard.press('Enter');
  await expect(draft(page).getByText('Lists show the post down to here')).toHaveCount(1);
  const html = await exported(page, 'HTML');
  expect(html.match(/<!--more-->/g)).toHaveLength(1);
});

test('a share has words and a picture of its own, and what is cut or too small is said', async ({ page }) => {
  await openPost(page, TYRE);
  const share = page.getByRole('region', { name: 'When it is shared' });
  const card = share.getByRole('figure', { name: 'Card of the share' });
  await expect(card).toContainText('How to fix a flat bike tyre by the road');
  await expect(card).toContainText('saltmarsh.example');
  await expect(card).toContainText('Nothing is cut on the card.');
  await share
    .getByLabel('Title for shares')
    .fill(`Fifteen minutes by the road. ${'And then home. '.repeat(9)}`);
  await expect(card).toContainText('Cut on the card: the title.');
  await share.getByLabel('Title for shares').fill('Fifteen minutes by the road');
  await share.getByLabel('Picture file for shares').setInputFiles({
    name: 'reeds.webp',
    mimeType: 'image/webp',
    buffer: Buffer.from(demoPicture('dyke-lane-reeds.webp')),
  });
  await expect(card).toContainText(/Small: 1,?\d+ x \d+ px|Too small|Another shape|Nothing is cut/);
  const html = await exported(page, 'HTML');
  expect(html).toContain('<meta property="og:title" content="Fifteen minutes by the road">');
  expect(html).toMatch(/<meta property="og:image" content="media\/reeds[^"]*">/);
  await share.getByRole('button', { name: 'Take the featured one' }).click();
  await expect(share.getByText('The featured picture stands in.')).toBeVisible();
});

test('an excerpt is offered of what stands above the mark for lists', async ({ page }) => {
  await openPost(page, TYRE);
  const lists = page.getByRole('region', { name: 'In the blog' });
  await lists.getByLabel('Excerpt').fill('');
  await expect(lists.getByText(/^The opening: “Sooner or later/)).toBeVisible();
  await draft(page).getByRole('heading', { name: 'Get the wheel out' }).click();
  await page.keyboard.press('Control+k');
  await page.getByRole('dialog', { name: 'Actions' }).getByRole('combobox').fill('mark where lists stop');
  await page.keyboard.press('Enter');
  await expect(lists.getByText(/^Above the mark for lists: “Sooner or later/)).toBeVisible();
  await lists.getByRole('button', { name: 'Take it as excerpt' }).click();
  await expect(lists.getByLabel('Excerpt')).toHaveValue(/^Sooner or later everybody has to fix a flat/);
});

test('how a link is followed and opened is set in the picker', async ({ page }) => {
  await openPost(page, TYRE);
  await draft(page)
    .getByText('Pump and check')
    .dblclick({ position: { x: 4, y: 8 } });
  await page.keyboard.press('Control+k');
  await page.getByLabel('Opens a new window').check();
  await page.getByLabel('Search is not to follow it').check();
  await page.getByLabel('Address, or words of a post or page').fill('https://tide.example/table');
  await page.keyboard.press('Enter');
  expect(await exported(page, 'HTML')).toContain(
    '<a href="https://tide.example/table" target="_blank" rel="nofollow noopener">',
  );
});
