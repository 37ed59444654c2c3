import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { type OwnServer, startServer } from './steps/own-server.ts';
import { goTo, toPosts } from './steps/writer.ts';

const port = Number(process.env['E2E_PORT'] ?? 4317) + 20;
const tree = (page: Page) => page.getByRole('navigation', { name: 'Categories' });
const said = (page: Page, text: string | RegExp) => page.getByRole('listitem').filter({ hasText: text });
const undo = (page: Page, text: string | RegExp) =>
  said(page, text).getByRole('button', { name: 'Undo', exact: true }).click();

/** What readers of the blog get at an address, without being led on. */
const readers = async (url: string) => {
  const { status, headers } = await fetch(url, { redirect: 'manual' });
  return `${status} ${headers.get('location') ?? ''}`.trim();
};
const pageOf = async (url: string) => (await fetch(url)).text();

let server: OwnServer;
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  server = await startServer(port, ['--demo']);
});
test.afterAll(() => server.stop());

test('a category is merged into another: posts, links and old addresses are right on the blog, and go back', async ({
  page,
}) => {
  const { at, blog } = server;
  await page.goto(at('/site/categories'));
  await expect(tree(page).getByRole('button', { name: 'Without a main category 5' })).toBeVisible();
  expect(await readers(blog('/category/gear/packing/'))).toBe('200');
  await tree(page).getByRole('button', { name: 'Packing', exact: true }).click();
  await expect(
    page.getByRole('region', { name: 'Packing' }).getByText('/category/gear/packing/'),
  ).toBeVisible();
  expect(await faultsOf(page, 'categories')).toEqual([]);

  await page.getByLabel('Merge into').selectOption('Planning');
  const preview = page.getByRole('dialog', { name: 'Merge Packing into Planning' });
  await expect(preview.getByRole('list', { name: 'What changes' }).getByRole('listitem')).toHaveText([
    '2 posts are filed elsewhere.',
    'The list of a category has another address.',
    '1 old address leads on from then on.',
  ]);
  await expect(preview.getByRole('list', { name: 'Filed elsewhere' })).toContainText(
    'Packing, Gear, from now on Planning, Gear',
  );
  await preview.getByRole('button', { name: 'Merge Packing into Planning' }).click();
  await expect(said(page, 'Packing is merged into Planning.')).toContainText(
    '2 posts on the way to the blog.',
  );
  await expect(tree(page).getByRole('button', { name: 'Packing', exact: true })).toBeHidden();
  expect(await readers(blog('/category/gear/packing/'))).toBe('301 /category/planning/');
  await expect.poll(() => pageOf(blog('/category/planning/'))).toContain('How to carry a tent on a bike');
  await expect
    .poll(() => pageOf(blog('/journal/carry-a-tent-on-a-bike')))
    .toContain('href="/category/planning/"');

  await expect.poll(() => pageOf(blog('/category/planning/'))).toContain('What goes in a handlebar bag');

  await undo(page, 'Packing is merged into Planning.');
  await expect(tree(page).getByRole('button', { name: 'Packing', exact: true })).toBeVisible();
  await expect.poll(() => readers(blog('/category/gear/packing/'))).toBe('200');
  await expect.poll(() => pageOf(blog('/category/gear/packing/'))).toContain('How to carry a tent on a bike');
  await expect.poll(() => pageOf(blog('/category/gear/packing/'))).toContain('What goes in a handlebar bag');
  await expect.poll(() => pageOf(blog('/category/planning/'))).not.toContain('How to carry a tent on a bike');
});

test('the address pattern is changed over the published posts, and back', async ({ page }) => {
  const { at, blog } = server;
  await page.goto(at('/site/addresses'));
  const pattern = page.getByLabel('Address pattern of posts');
  await expect(pattern).toHaveValue('/journal/{slug}');
  await pattern.fill('/{title}/{slug}');
  await expect(page.getByText('{title} says nothing')).toBeVisible();
  await pattern.fill('/category/{slug}');
  await expect(page.getByRole('alert')).toContainText('which the blog keeps for itself');
  await expect(page.getByRole('button', { name: 'Change the addresses' })).toBeHidden();

  await pattern.fill('/{category}/{slug}');
  await expect(page.getByRole('list', { name: 'What changes' }).getByRole('listitem')).toHaveText([
    '27 posts get another address.',
    '24 old addresses lead on from then on.',
    'Links in 22 posts follow.',
  ]);
  await expect(page.getByRole('table', { name: 'Addresses' })).toContainText(
    '/gear/packing/carry-a-tent-on-a-bike',
  );
  await page.getByRole('button', { name: 'Change the addresses' }).click();
  await expect(said(page, 'Posts have other addresses.')).toContainText('27 addresses changed.');
  await expect(page.getByRole('heading', { name: '24 old addresses lead on' })).toBeVisible();

  // Readers find every post at its new address, and are led there from the old one.
  expect(await readers(blog('/gear/packing/carry-a-tent-on-a-bike'))).toBe('200');
  expect(await readers(blog('/journal/carry-a-tent-on-a-bike'))).toBe(
    '301 /gear/packing/carry-a-tent-on-a-bike',
  );
  expect(await readers(blog('/gear/packing'))).toBe('301 /category/gear/packing/');
  const map = await pageOf(blog('/sitemap.xml'));
  expect(map).not.toContain('/journal/');
  const posts = [...map.matchAll(/<loc>([^<]+)<\/loc>/g)].map(([, url]) => url);
  for (const url of posts) expect.soft(await readers(url), url).toBe('200');
  // Their links lead there too, once they have been sent.
  const linksOf = async () => {
    const pages = await Promise.all(posts.map((url) => pageOf(url)));
    return pages.flatMap((html) => [...html.matchAll(/href="(\/journal\/[^"]+)"/g)].map(([, href]) => href));
  };
  // What is left stands on pages that are no posts, and one that leads nowhere since ever.
  await expect
    .poll(linksOf, { timeout: 90_000 })
    .toEqual([
      '/journal/first-bike-tour',
      '/journal/rent-touring-bike',
      '/journal/fix-flat-bike-tyre',
      '/journal/puncture-guide-old',
    ]);
  // A post whose address says its category is moved where links and redirects follow.
  await (await toPosts(page)).getByRole('link', { name: /^The bicycle ferry/ }).click();
  await goTo(page, 'Release');
  const filing = page.getByRole('region', { name: 'Filing' });
  await expect(filing.getByRole('link', { name: 'Move it' })).toBeVisible();
  await expect(filing.getByLabel('Main category')).toBeHidden();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Site' }).click();
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Addresses' }).click();
  const address = page.getByLabel('What happens with this address?');
  await address.fill('/journal/bicycle-ferry');
  await expect(page.getByRole('status').filter({ hasText: 'leads to' })).toContainText(
    '/journal/bicycle-ferry leads to /planning/bicycle-ferry: The bicycle ferry to Holm',
  );

  await undo(page, 'Posts have other addresses.');
  await expect(pattern).toHaveValue('/journal/{slug}');
  await expect(page.getByRole('heading', { name: 'No old address leads on' })).toBeVisible();
  await expect.poll(() => readers(blog('/journal/carry-a-tent-on-a-bike'))).toBe('200');
  await expect
    .poll(() => pageOf(blog('/journal/bike-tour-budget')), { timeout: 90_000 })
    .toContain('href="/journal/');
  expect(await readers(blog('/gear/packing/carry-a-tent-on-a-bike'))).toBe('404');
});

test('posts are moved to a category, several at once; a category is added, renamed and put in another', async ({
  page,
}) => {
  const { at, blog } = server;
  await page.goto(at('/site/categories'));
  await tree(page)
    .getByRole('button', { name: /^Without a main category/ })
    .click();
  const posts = page.getByRole('table', { name: 'Posts of the category' });
  await page.getByLabel('Name of a new category').fill('gear');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('There is a category “Gear” already');
  await page.getByLabel('Name of a new category').fill('Stories');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(said(page, 'Stories is a category now.')).toBeVisible();
  await expect.poll(() => readers(blog('/category/stories/'))).toBe('200');

  await posts
    .getByRole('row', { name: /Fourteen hire bikes/ })
    .getByRole('checkbox')
    .check();
  await posts
    .getByRole('row', { name: /Thirty bike touring terms/ })
    .getByRole('checkbox')
    .check();
  await page.getByLabel('Move 2 to').selectOption('Stories');
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await page
    .getByRole('dialog', { name: 'Move 2 posts to Stories' })
    .getByRole('button', { name: 'Move 2 posts to Stories' })
    .click();
  await expect(said(page, '2 posts are filed under Stories.')).toBeVisible();
  await expect.poll(() => pageOf(blog('/category/stories/'))).toContain('Fourteen hire bikes');

  await tree(page).getByRole('button', { name: 'Stories', exact: true }).click();
  await page.getByLabel('Description').fill('What we tell each other in the workshop.');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect.poll(() => pageOf(blog('/category/stories/'))).toContain('What we tell each other');
  await page.getByLabel('Picture of Stories').setInputFiles('src/demo/media/first-bike-tour-lighthouse.webp');
  await expect
    .poll(() => pageOf(blog('/category/stories/')))
    .toMatch(/<figure class="featured"><img src="\/media\/first/);

  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Tales');
  await page.getByRole('button', { name: 'Rename it' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Rename Stories to Tales' }).click();
  await expect.poll(() => readers(blog('/category/stories/'))).toBe('301 /category/tales/');
  await expect.poll(() => pageOf(blog('/category/tales/'))).toContain('Fourteen hire bikes');
  await page.getByLabel('Stands in').selectOption('Workshop');
  await page.getByRole('dialog').getByRole('button', { name: 'Put Tales in Workshop' }).click();
  await expect.poll(() => readers(blog('/category/stories/'))).toBe('301 /category/workshop/tales/');
  await expect.poll(() => pageOf(blog('/category/workshop/'))).toContain('Fourteen hire bikes');
});
