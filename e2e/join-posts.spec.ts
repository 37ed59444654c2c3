import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { type OwnServer, startServer } from './steps/own-server.ts';

const port = Number(process.env['E2E_PORT'] ?? 4317) + 24;
const readers = async (url: string) => {
  const { status, headers } = await fetch(url, { redirect: 'manual' });
  return `${status} ${headers.get('location') ?? ''}`.trim();
};
const pageOf = async (url: string) => (await fetch(url)).text();
const sections = (page: Page) =>
  page.getByRole('list', { name: 'Sections of the joined post' }).getByRole('listitem');

let server: OwnServer;
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  server = await startServer(port, ['--demo']);
});
test.afterAll(() => server.stop());

test('two posts become one: sections picked, the other withdrawn with its readers led on, links mended, and all of it back', async ({
  page,
}) => {
  const { at, blog } = server;
  await page.goto(at('/site/upkeep'));
  await page
    .getByRole('list', { name: 'Posts on one target' })
    .getByRole('listitem')
    .filter({ hasText: 'The bicycle ferry to Holm' })
    .getByRole('link', { name: 'Join them…' })
    .click();
  await expect(page.getByRole('region', { name: 'The joined post' })).toContainText('Tide table cycling');
  const before = await sections(page).count();
  await page
    .getByRole('listitem', { name: 'When does the bicycle ferry sail?' })
    .getByRole('button', { name: 'Leave here' })
    .click();
  await expect(sections(page)).toHaveCount(before - 1);
  await page
    .getByRole('listitem', { name: 'When does the bicycle ferry sail?' })
    .getByRole('button', { name: 'Take over' })
    .click();
  await expect(sections(page)).toHaveCount(before);
  await page.getByRole('button', { name: 'Move Find low water first down' }).click();
  await expect(sections(page).nth(1)).toContainText('When does the bicycle ferry sail?');
  await expect(page.getByRole('status', { name: 'What it comes to' })).toContainText(
    'Links in 2 posts follow. Readers of /journal/bicycle-ferry are led to /journal/tide-table-cycling.',
  );
  expect(await faultsOf(page, 'join')).toEqual([]);
  expect(await readers(blog('/journal/bicycle-ferry'))).toBe('200');

  await page.getByRole('button', { name: 'Join them' }).click();
  const said = page.getByRole('listitem').filter({ hasText: 'is joined with “Tide table cycling' });
  await expect(said).toContainText('Its readers get the joined post. The other is withdrawn.');
  const taken = page.getByRole('heading', { name: 'When does the bicycle ferry sail?' });
  await expect(taken.first()).toBeVisible();
  await expect.poll(() => readers(blog('/journal/bicycle-ferry'))).toBe('301 /journal/tide-table-cycling');
  await expect
    .poll(() => pageOf(blog('/journal/tide-table-cycling')))
    .toContain('When does the bicycle ferry sail?');
  await expect.poll(() => pageOf(blog('/sitemap.xml'))).not.toContain('/journal/bicycle-ferry');

  await said.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => readers(blog('/journal/bicycle-ferry'))).toBe('200');
  await expect
    .poll(() => pageOf(blog('/journal/tide-table-cycling')))
    .not.toContain('When does the bicycle ferry sail?');
  await expect(taken).toHaveCount(0);
});

test('what cannot be joined is said in words', async ({ page }) => {
  const { at } = server;
  await page.goto(at('/site/upkeep/join/nobody/none'));
  await expect(page.getByText('One of the two posts is gone. It may lie in the trash.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to Upkeep' }).click();
  await page
    .getByRole('list', { name: 'Posts on one target' })
    .getByRole('listitem')
    .filter({ hasText: 'Packing for a tour with children' })
    .getByRole('link', { name: 'Join them…' })
    .click();
  await page.getByRole('button', { name: 'The other way round' }).click();
  await expect(page.getByRole('alert')).toContainText(
    '“Packing for a tour with children” is not published: readers of “Bike tour packing list',
  );
  await expect(page.getByRole('button', { name: 'Join them' })).toBeDisabled();
});
