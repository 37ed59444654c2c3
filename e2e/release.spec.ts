import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { caretAtEndOf, goTo, newPost, openPosts, paste, saved } from './steps/writer.ts';

const port = Number(process.env['E2E_PORT'] ?? 4317);
const blog = (path: string) => `http://127.0.0.1:${port + 2}${path}`;
const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const sending = (page: Page) => page.getByRole('region', { name: 'Sending' });
const standing = (page: Page, name: string) =>
  expect(sending(page).getByRole('heading', { level: 2 })).toHaveText(name);

/** Waits until nothing is on its way any more; whatever stays there says itself why. */
const sent = (page: Page) =>
  expect
    .poll(() => page.getByRole('region', { name: 'On the way' }).allInnerTexts(), { timeout: 45_000 })
    .toEqual([]);

const SENTENCES = [
  'The ferry leaves when the water lets it, and the timetable at the slip is a wish.',
  'We have missed it twice, each time with wet shoes and a good view of its stern.',
  'Ring the pilot the evening before; he knows the bar and tells you the hour.',
  'Bicycles go on first and stand along the rail, tied with your own strap.',
  'Take everything off that would fly away, for the wind on the bar is strong.',
  'The crossing takes twenty minutes at high water and an hour at low.',
  'On the far side the lane climbs at once, so eat on the boat.',
  'In winter there is one boat a day, and in fog there is none.',
];

/** A post begun from an idea that was kept, on its sheet. */
async function fromIdea(page: Page): Promise<void> {
  await page.goto('/ideas');
  await page.getByRole('tab', { name: /Kept/ }).click();
  await page
    .getByRole('list', { name: 'Kept ideas' })
    .getByRole('button', { name: 'Begin the post' })
    .first()
    .click();
  await goTo(page, 'Write');
  await expect(draft(page)).toBeVisible();
}

/** A post that is whole: title, slug, text with links, and a picture that says what it shows. */
async function wholePost(page: Page, title: string, slug: string, begin = newPost): Promise<void> {
  await begin(page);
  await page.getByLabel('Title', { exact: true }).fill(title);
  await page.getByRole('region', { name: 'Listing' }).getByLabel('Slug').fill(slug);
  await draft(page).click();
  const words = SENTENCES.join(' ');
  await paste(
    page,
    `<p>${words}</p><h2>On the boat</h2><p>${words}</p><p>See the <a href="/journal/bicycle-ferry">times and fares</a> and the <a href="https://harbour.eddering.example/ferry">board of the harbour</a>.</p>`,
  );
  await caretAtEndOf(page, draft(page), 'Control+End');
  await page.getByLabel('Picture file', { exact: true }).setInputFiles({
    name: 'ferry.webp',
    mimeType: 'image/webp',
    buffer: readFileSync(
      fileURLToPath(new URL('../src/demo/media/first-bike-tour-lighthouse.webp', import.meta.url)),
    ),
  });
  const figure = draft(page).getByRole('figure');
  await expect(figure).toHaveCount(1);
  await figure.getByLabel('Alt text').fill('The ferry at the slip');
  await saved(page);
}

test('three words without a title cannot go out; what holds them back is led to, and may be let pass with a word why', async ({
  page,
}) => {
  await newPost(page);
  await draft(page).click();
  await page.keyboard.type('Ride at dawn');
  await saved(page);
  await goTo(page, 'Release');
  const musts = page.getByRole('region', { name: 'Must be mended' });
  await expect(musts.getByRole('listitem')).toHaveText([
    /^It has no title/,
    /^It has no slug/,
    /^It has 3 words: under 150/,
  ]);
  await expect(sending(page).getByRole('button', { name: 'Publish now' })).toBeDisabled();
  await expect(sending(page)).toContainText('3 things hold it back; it lacks a title and a slug.');
  await musts.getByRole('button', { name: /^It has no title/ }).click();
  await expect(page.getByLabel('Title', { exact: true })).toBeFocused();
  await page.keyboard.type('Ride at dawn');
  await saved(page);
  await goTo(page, 'Release');
  await musts.getByRole('button', { name: /^It has no slug/ }).click();
  await expect(page.getByRole('region', { name: 'Listing' }).getByLabel('Slug')).toBeFocused();
  await page.keyboard.type('ride-at-dawn-today');
  await saved(page);
  await goTo(page, 'Release');
  await musts.getByRole('button', { name: 'Let it pass' }).click();
  await musts.getByLabel('Why it may go out as it is').fill('A notice for the door, no more');
  await page.keyboard.press('Enter');
  await expect(musts).toContainText('Let pass: A notice for the door, no more');
  await expect(sending(page).getByRole('button', { name: 'Publish now' })).toBeEnabled();
  await page.reload();
  await expect(musts).toContainText('Let pass: A notice for the door, no more');
  await musts.getByRole('button', { name: 'Hold it back again' }).click();
  await expect(sending(page).getByRole('button', { name: 'Publish now' })).toBeDisabled();
});

test('a post is published, read back, changed, withdrawn and put back', async ({ page, context }) => {
  const slug = 'the-ferry-that-waits';
  await wholePost(page, 'The ferry that waits for nobody', slug);
  await goTo(page, 'Release');
  await page.getByLabel('Main category').selectOption('Routes');
  await expect(page.getByRole('list', { name: 'Where it will appear' })).toContainText('Category Routes');
  await sending(page).getByRole('button', { name: 'Publish now' }).click();
  await standing(page, 'Published');
  const address = page.getByRole('region', { name: 'Address' }).getByRole('link');
  await expect(address).toHaveAttribute('href', blog(`/journal/${slug}`));
  await page.getByRole('button', { name: 'QR code', exact: true }).click();
  await expect(page.getByRole('img', { name: `QR code of ${blog(`/journal/${slug}`)}` })).toBeVisible();
  expect(await faultsOf(page, 'release, published')).toEqual([]);

  await expect(page.getByRole('region', { name: 'Read back' })).toContainText(
    'The page stands as it was sent.',
  );

  const reader = await context.newPage();
  await reader.goto(blog(`/journal/${slug}`));
  const article = reader.getByRole('article');
  await expect(article.getByRole('heading', { level: 1 })).toHaveText('The ferry that waits for nobody');
  for (const sentence of SENTENCES) await expect(article).toContainText(sentence);
  const picture = article.getByRole('img', { name: 'The ferry at the slip' });
  await picture.scrollIntoViewIfNeeded();
  await expect
    .poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBeGreaterThan(0);
  await expect(article.getByRole('link', { name: 'board of the harbour' })).toHaveAttribute(
    'href',
    'https://harbour.eddering.example/ferry',
  );
  await expect(article.getByRole('link', { name: 'times and fares' })).toHaveAttribute(
    'href',
    '/journal/bicycle-ferry',
  );
  for (const feed of ['/rss.xml', '/atom.xml', '/feed.json', '/sitemap.xml'])
    expect(await (await reader.request.get(blog(feed))).text()).toContain(`/journal/${slug}`);
  await reader.goto(blog('/category/routes/'));
  await expect(reader.getByRole('link', { name: /The ferry that waits/ }).first()).toBeVisible();

  // A page that is not in front is drawn once a second.
  await page.bringToFront();
  // What is written from now on is kept apart until it is published again.
  await goTo(page, 'Write');
  await caretAtEndOf(page, draft(page).getByRole('heading', { name: 'On the boat' }));
  await page.keyboard.type(', for there is no second');
  await saved(page);
  await goTo(page, 'Release');
  await standing(page, 'Published, changed since');
  await reader.goto(blog(`/journal/${slug}`));
  await expect(article).not.toContainText('for there is no second');
  await sending(page).getByRole('button', { name: 'Publish the changes' }).click();
  await standing(page, 'Published');
  await reader.reload();
  await expect(article).toContainText('for there is no second');
  await page.bringToFront();

  await sending(page).getByRole('button', { name: 'Withdraw', exact: true }).click();
  await sending(page).getByLabel('is led to another page').check();
  await sending(page).getByLabel('Which page').fill('/journal/bicycle-ferry');
  await sending(page).getByRole('button', { name: 'Withdraw it' }).click();
  await standing(page, 'Withdrawn');
  await reader.goto(blog(`/journal/${slug}`));
  await expect(article.getByRole('heading', { level: 1 })).toHaveText(/^The bicycle ferry to Holm/);
  await page.bringToFront();
  await sending(page).getByRole('button', { name: 'Put it back' }).click();
  await standing(page, 'Published');
  expect((await reader.request.get(blog(`/journal/${slug}`))).url()).toBe(blog(`/journal/${slug}`));
  await sending(page).getByRole('button', { name: 'Withdraw', exact: true }).click();
  await sending(page).getByRole('button', { name: 'Withdraw it' }).click();
  await standing(page, 'Withdrawn');
  expect((await reader.request.get(blog(`/journal/${slug}`))).status()).toBe(410);
  await sending(page).getByRole('button', { name: 'Put it back' }).click();
  await standing(page, 'Published');
  expect((await reader.request.get(blog(`/journal/${slug}`))).status()).toBe(200);
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByText('kept when it was sent out').first()).toBeVisible();
});

test('a kept idea becomes a post that readers find on its page and in the feeds', async ({ page }) => {
  const slug = 'the-ferry-of-an-idea';
  await wholePost(page, 'The ferry of an idea', slug, fromIdea);
  await goTo(page, 'Release');
  await sending(page).getByRole('button', { name: 'Publish now' }).click();
  await standing(page, 'Published');
  await expect(page.getByRole('region', { name: 'Read back' })).toContainText(
    'The page stands as it was sent.',
  );
  for (const feed of ['/rss.xml', '/atom.xml', '/feed.json'])
    expect(await (await page.request.get(blog(feed))).text()).toContain(SENTENCES[0].slice(0, 40));
});

test('a post is scheduled on the clock of the site, and stopped before its time', async ({ page }) => {
  const slug = 'the-ferry-of-next-year';
  await wholePost(page, 'The ferry of next year', slug);
  await goTo(page, 'Release');
  await sending(page).getByRole('button', { name: 'At a time' }).click();
  await sending(page).getByLabel('Day and time').fill('2020-07-01T09:30');
  await expect(sending(page)).toContainText('That time has passed');
  await expect(sending(page).getByRole('button', { name: 'Schedule' })).toBeDisabled();
  const year = new Date().getFullYear() + 1;
  await sending(page).getByLabel('Day and time').fill(`${year}-07-01T09:30`);
  await sending(page).getByRole('button', { name: 'Schedule' }).click();
  await standing(page, 'Scheduled');
  await expect(sending(page)).toContainText('09:30 (UTC)');
  const there = await page.request.get(blog(`/journal/${slug}`));
  expect(there.status()).toBe(404);
  await sent(page);
  await sending(page).getByRole('button', { name: 'Stop it' }).click();
  await standing(page, 'Withdrawn');
});

test('a scheduled post goes out while no page is open, and the next page says so', async ({ context }) => {
  const slug = 'the-ferry-of-the-next-minute';
  const writer = await context.newPage();
  await wholePost(writer, 'The ferry of the next minute', slug);
  await goTo(writer, 'Release');
  await sending(writer).getByRole('button', { name: 'At a time' }).click();
  // The field counts minutes: the next one that is some seconds away.
  const at = new Date(Math.ceil((Date.now() + 6000) / 60_000) * 60_000);
  await sending(writer).getByLabel('Day and time').fill(at.toISOString().slice(0, 16));
  await sending(writer).getByRole('button', { name: 'Schedule' }).click();
  await standing(writer, 'Scheduled');
  await sent(writer);
  const address = writer.url();
  await writer.close();
  const { request } = context;
  expect((await request.get(blog(`/journal/${slug}`))).status()).toBe(404);
  await expect
    .poll(async () => (await request.get(blog(`/journal/${slug}`))).status(), { timeout: 90_000 })
    .toBe(200);
  expect(Date.now()).toBeGreaterThanOrEqual(at.getTime());
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByText('“The ferry of the next minute” is out now.')).toBeVisible();
  await standing(again, 'Published');
});

test('a host that does not let the post in says why; it waits, is tried again, and can be given up', async ({
  page,
}) => {
  await wholePost(page, 'The ferry to nowhere', 'the-ferry-to-nowhere');
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'House rules' }).click();
  const section = page.getByRole('region', { name: 'Publishing' });
  await section.getByLabel('Posts are sent to').selectOption('a Micropub endpoint');
  await section.getByLabel('Address of the endpoint').fill(`http://127.0.0.1:${port + 2}/micropub`);
  await section.getByLabel('Token').fill('nobody-knows-me');
  await section.getByRole('button', { name: 'Try the connection' }).click();
  await expect(section.getByRole('alert')).toContainText('is not asked');
  await page.goBack();
  await goTo(page, 'Release');
  await sending(page).getByRole('button', { name: 'Publish now' }).click();
  const way = page.getByRole('region', { name: 'On the way' });
  await expect(way).toContainText('The ferry to nowhere · publish · stopped');
  await expect(way).toContainText('is not asked');
  await way
    .getByRole('listitem')
    .filter({ hasText: 'The ferry to nowhere' })
    .getByRole('button', { name: 'Give up' })
    .click();
  await standing(page, 'Draft');
});

test('a post that was changed on the blog is compared, and goes over it only where that is wished', async ({
  page,
}) => {
  await openPosts(page);
  await page.getByRole('link', { name: /^Waterproof panniers/ }).click();
  await goTo(page, 'Release');
  // It came to the blog without this browser, and is found there.
  const address = page.getByRole('region', { name: 'Address' }).getByRole('link');
  await expect(address).toHaveAttribute('href', blog('/journal/waterproof-panniers'));
  await standing(page, 'Published');
  // Another tab, as another browser would be, sends it first.
  const other = await page.context().newPage();
  const ways = await other.request.get('/host/ways');
  expect(JSON.stringify(await ways.json())).not.toMatch(/token/i);
  await other.request.post('/host/jobs', {
    data: {
      siteId: 'elsewhere',
      postId: 'elsewhere',
      title: 'Panniers',
      way: { kind: 'stand-in' },
      action: 'publish',
      url: blog('/journal/waterproof-panniers'),
      known: null,
      properties: { name: ['Panniers, as somebody else has it'], content: [{ html: '<p>Their words.</p>' }] },
      pictures: [],
      due: '',
      revision: '',
    },
  });
  await expect
    .poll(async () => (await other.request.get(blog('/journal/waterproof-panniers'))).text())
    .toContain('Their words.');
  await goTo(page, 'Write');
  await caretAtEndOf(page, draft(page).getByRole('heading').first());
  await page.keyboard.type(', truly');
  await saved(page);
  await goTo(page, 'Release');
  await sending(page).getByRole('button', { name: 'Publish the changes' }).click();
  const way = page.getByRole('region', { name: 'On the way' });
  await expect(way).toContainText('changed on the blog');
  await way.getByRole('button', { name: 'Compare' }).click();
  const dialog = page.getByRole('dialog', { name: 'The post was changed on the blog' });
  await expect(dialog.getByRole('table')).toContainText('Their words.');
  await dialog.getByRole('button', { name: 'Send mine in its place' }).click();
  await standing(page, 'Published');
  await expect
    .poll(async () => (await other.request.get(blog('/journal/waterproof-panniers'))).text())
    .toContain(', truly');
});

test('a week of posts is scheduled in one go, the plan seen before', async ({ page }) => {
  await wholePost(page, 'The ferry on Monday', 'the-ferry-on-monday');
  await wholePost(page, 'The ferry on Tuesday', 'the-ferry-on-tuesday');
  await newPost(page);
  await page.getByLabel('Title', { exact: true }).fill('The ferry without a slug');
  await saved(page);
  const table = await openPosts(page);
  for (const title of ['The ferry on Monday', 'The ferry on Tuesday', 'The ferry without a slug'])
    await table.getByRole('row').filter({ hasText: title }).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Schedule 3' }).click();
  const dialog = page.getByRole('dialog', { name: 'Schedule posts in a row' });
  await expect(dialog.getByRole('list', { name: 'Left out' })).toHaveText(
    'The ferry without a slug stays out: it needs a slug.',
  );
  const year = new Date().getFullYear() + 1;
  await dialog.getByLabel('First day').fill(`${year}-03-01`);
  for (const day of ['Tuesday', 'Wednesday', 'Thursday', 'Friday'])
    await dialog.getByLabel(day, { exact: true }).uncheck();
  const plan = dialog.getByRole('list', { name: 'The plan' });
  const first = await plan.getByRole('listitem').first().textContent();
  await plan
    .getByRole('button', { name: /later$/ })
    .first()
    .click();
  await expect(plan.getByRole('listitem').first()).not.toHaveText(first ?? '');
  await expect(plan.getByRole('listitem')).toHaveText([/Monday, .* Mar .*09:00/, /Monday, .* Mar .*09:00/]);
  await dialog.getByRole('button', { name: 'Schedule 2 posts' }).click();
  await expect(dialog).toBeHidden();
  const both = ['The ferry on Monday', 'The ferry on Tuesday'];
  const row = (title: string) => table.getByRole('row').filter({ hasText: title });
  for (const title of both) await expect(row(title)).toContainText('Scheduled');

  // Both are moved to a month later, and with one Undo stand where they stood.
  for (const title of ['The ferry on Monday', 'The ferry on Tuesday', 'The ferry without a slug'])
    await row(title)
      .getByRole('checkbox')
      .setChecked(title !== 'The ferry without a slug');
  await page.getByRole('button', { name: 'Schedule 2' }).click();
  await dialog.getByLabel('First day').fill(`${year}-04-05`);
  await dialog.getByRole('button', { name: 'Schedule 2 posts' }).click();
  const moved = page.getByRole('listitem').filter({ hasText: '2 posts moved to another time.' });
  await expect(moved).toBeVisible();
  await table.getByRole('link', { name: 'The ferry on Monday' }).click();
  await goTo(page, 'Release');
  await expect(sending(page)).toContainText(/for \d+ Apr .*09:00/);
  await moved.getByRole('button', { name: 'Undo' }).click();
  await expect(sending(page)).toContainText(/for \d+ Mar .*09:00/);
  await openPosts(page);
  for (const title of both) await expect(row(title)).toContainText('Scheduled');
  await table.getByRole('link', { name: 'The ferry on Tuesday' }).click();
  await goTo(page, 'Release');
  await standing(page, 'Scheduled');
});
