import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';

const map = (page: Page) => page.getByRole('application', { name: /^Link map of/ });
const beside = (page: Page) => page.getByRole('region', { name: 'Beside the map' });
const inHand = (page: Page) => page.getByRole('region', { name: 'The page in hand' });
const table = (page: Page) => page.getByRole('table', { name: 'Pages of the map' });
const opened = async (page: Page) => {
  await page.goto('/posts');
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Site' }).click();
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Link map' }).click();
  await expect(map(page)).toBeVisible();
};

test('the link map tells how the site hangs together, by mouse, by keys and as a table', async ({ page }) => {
  await opened(page);
  await expect(map(page)).toHaveAccessibleName(/32 pages with 73 links/);
  // The table says what the map shows, sorted by whatever is wished.
  const first = table(page).getByRole('row').nth(1);
  await expect(first).toContainText(/Workshop and repairs/);
  await table(page).getByRole('columnheader', { name: 'Out' }).getByRole('button').first().click();
  await expect(first).not.toContainText('Workshop and repairs');
  await beside(page).getByLabel('Which pages').selectOption({ label: 'Posts that nothing links to, 5' });
  await expect(table(page).getByRole('row')).toHaveCount(6);
  await beside(page).getByLabel('Which pages').selectOption({ label: 'All pages, 32' });
  await beside(page).getByRole('searchbox', { name: 'Search the map' }).fill('flat bike tyre');
  await expect(table(page).getByRole('row')).toHaveCount(2);
  await table(page)
    .getByRole('button', { name: /^How to fix a flat/ })
    .click();
  await expect(inHand(page)).toContainText(/% of the weight · \d clicks? from home/);
  await expect(inHand(page).getByRole('list', { name: 'Linked to from' }).getByRole('listitem')).toHaveCount(
    4,
  );
  await expect(inHand(page)).toContainText('“fixing a flat by the road”');
  await beside(page).getByRole('searchbox', { name: 'Search the map' }).fill('');
  expect(await faultsOf(page, 'link map')).toEqual([]);

  // Arrow keys walk on from the page in hand, Enter opens it.
  await map(page).focus();
  await page.keyboard.press('ArrowUp');
  await expect(inHand(page)).not.toContainText('/journal/fix-flat-bike-tyre');
  await page.keyboard.press('+');
  await page.keyboard.press('0');
  await page.keyboard.press('Escape');
  await expect(inHand(page)).toHaveCount(0);
  // A press on a page of the map takes it in hand: one of the large ones lies around its middle.
  const box = (await map(page).boundingBox())!;
  await table(page)
    .getByRole('button', { name: /^Bike tour packing list/ })
    .click();
  await expect(inHand(page)).toContainText('/journal/bike-tour-packing-list');
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await page.getByLabel('Coloured by').selectOption('score');
  await expect(page.getByRole('list', { name: 'Key to the map' })).toContainText('Score 80 and more');
});

test('the ten links that help most are set together, the map follows, and they are taken back together', async ({
  page,
}) => {
  await opened(page);
  await beside(page).getByRole('tab', { name: 'Links that help' }).click();
  await beside(page).getByRole('button', { name: 'Find the ten links that help most' }).click();
  const links = beside(page).getByRole('list', { name: 'The links' }).getByRole('listitem');
  await expect(links).toHaveCount(10);
  await expect(links.first()).toContainText(/\d % to \d[\d.]* % of the site’s weight/);
  await expect(links.first()).toContainText('Given up by');
  await links.first().getByRole('button', { name: 'Set this link' }).click();
  await expect(links).toHaveCount(9);
  await expect(map(page)).toHaveAccessibleName(/with 74 links/);
  await beside(page).getByRole('button', { name: 'Set all 9' }).click();
  await expect(map(page)).toHaveAccessibleName(/with 83 links/);
  await page
    .getByRole('listitem')
    .filter({ hasText: '9 links set.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(map(page)).toHaveAccessibleName(/with 74 links/);
  await expect(links).toHaveCount(9);
  // The first is taken back after the others were: each goes back by itself.
  await page
    .getByRole('listitem')
    .filter({ hasText: /^1 link set\./ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(map(page)).toHaveAccessibleName(/with 73 links/);
  await expect(links).toHaveCount(10);
});

test('faults of links over the whole site are mended together, and back', async ({ page }) => {
  await opened(page);
  await beside(page).getByRole('tab', { name: 'Faults' }).click();
  await beside(page).getByRole('button', { name: 'Look through all links' }).click();
  const faults = beside(page).getByRole('list', { name: 'Links with faults' }).getByRole('listitem');
  await expect(faults).toHaveCount(5);
  await beside(page).getByLabel('What is wrong').selectOption({ label: 'Doubled, 1' });
  await expect(faults).toHaveCount(1);
  await beside(page).getByRole('button', { name: 'Mend 1 link' }).click();
  await expect(beside(page).getByLabel('What is wrong')).toContainText('Everything, 4');
  await page
    .getByRole('listitem')
    .filter({ hasText: '1 link mended in 1 post.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(beside(page).getByLabel('What is wrong')).toContainText('Everything, 5');
});

test('an address is tried: a page, one that leads on, one where nothing stands', async ({ page }) => {
  await page.goto('/site/addresses');
  const address = page.getByLabel('What happens with this address?');
  const told = page.getByRole('status').filter({ hasText: /\S/ });
  await address.fill('/journal/fix-flat-bike-tyre/');
  await expect(told).toContainText('How to fix a flat bike tyre by the road is opened.');
  await address.fill('/journal/nowhere');
  await expect(told).toContainText('Nothing stands at /journal/nowhere');
  await page.getByLabel('A table of redirects').setInputFiles([
    {
      name: 'r.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('from,to,status\n/journal/nowhere,/rent,301\n'),
    },
  ]);
  await expect(told).toContainText('/journal/nowhere leads to /rent: Rent a touring bike is opened.');
});
