import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';

const blog = (path: string) => `http://127.0.0.1:${Number(process.env['E2E_PORT'] ?? 4317) + 2}${path}`;

test('a reader walks the blog: lists, a category, a post, what is like it, and back from nowhere', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto(blog('/'));
  await expect(page.getByRole('heading', { level: 1, name: 'Saltmarsh Wheelworks' })).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Categories' })
    .getByRole('link', { name: 'Workshop', exact: true })
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Workshop' })).toBeVisible();
  await page
    .getByRole('article')
    .filter({ hasText: 'fix a flat' })
    .getByRole('link', { name: /^How to fix a flat/ })
    .click();
  await expect(
    page.getByRole('heading', { level: 1, name: 'How to fix a flat bike tyre by the road' }),
  ).toBeVisible();
  await expect(page.getByRole('heading', { level: 2, name: 'Get the wheel out' })).toBeVisible();
  // Every picture comes, and has its place before it does.
  for (const picture of await page.getByRole('article').getByRole('img').all()) {
    await picture.scrollIntoViewIfNeeded();
    await expect
      .poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth))
      .toBeGreaterThan(0);
    expect(await picture.getAttribute('height')).toMatch(/^\d+$/);
  }
  await page.getByRole('heading', { name: 'Read on' }).scrollIntoViewIfNeeded();
  await page.getByRole('list').last().getByRole('link').first().click();
  await expect(page.getByRole('article').getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('navigation').getByRole('link', { name: 'Rent a touring bike' }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'How to book' })).toBeVisible();
  await page.goto(blog('/journal/hire-bike-fleet'));
  await page.getByRole('link', { name: 'A small wren painted in white on a green head tube' }).click();
  await expect(page).toHaveURL(/\/media\/wren-head-tube-/);
  await page.goto(blog('/journal/nothing-here'));
  await page.getByRole('searchbox', { name: 'Search the blog' }).fill('tide');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: /^Tide table cycling/ })).toBeVisible();
  expect(asked.filter((address) => !address.startsWith(blog('/')))).toEqual([]);
});

test('the pages of the blog have no accessibility fault that can be found, in either theme', async ({
  page,
}) => {
  const faults: string[] = [];
  const look = async (path: string, given: Page = page) => {
    await given.goto(blog(path));
    faults.push(...(await faultsOf(given, path)));
  };
  for (const path of [
    '/',
    '/page/2/',
    '/category/routes/',
    '/category/gear/packing/',
    '/author/mags-oden/',
    '/journal/hire-bike-fleet',
    '/journal/bike-tour-budget',
    '/rent',
    '/search?q=tide',
    '/nowhere',
  ])
    await look(path);
  expect(faults).toEqual([]);
});
