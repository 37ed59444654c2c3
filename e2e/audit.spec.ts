import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { readAuditFile } from '../src/core/audit/index.ts';
import { faultsOf } from './steps/accessibility.ts';
import { importFiles, zip } from './steps/files.ts';
import { openPost, saved } from './steps/writer.ts';

const audited = (page: Page) => page.getByRole('table', { name: 'Posts of the audit' });
const tab = (page: Page, name: RegExp) => page.getByRole('tab', { name }).click();
const downloaded = async (page: Page, name: string) => {
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name, exact: true }).click();
  const file = await coming;
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
};

test('the site is audited on a day, and on another: what is promising, what costs most, what rose since', async ({
  page,
}) => {
  await page.clock.setFixedTime('2026-11-20T10:00:00Z');
  await page.goto('/site');
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Audit' }).click();
  await page.getByRole('button', { name: 'Audit 29 posts' }).click();
  const rows = audited(page).getByRole('row');
  await expect(rows.nth(1)).toContainText('How to fix a flat bike tyre by the road');
  const points = await rows.nth(1).innerText();
  const [, win, , impressions, promise] = [...points.matchAll(/[\d,.]+/g)].map(([one]) =>
    Number(one.replace(/,/g, '')),
  );
  expect(Math.abs(promise - win * impressions)).toBeLessThan(0.06 * impressions);
  await page
    .getByRole('columnheader', { name: /^Score/ })
    .getByRole('button')
    .click();
  await expect(rows.nth(1)).toContainText('Estuary cycling route');
  expect(await faultsOf(page, 'audit')).toEqual([]);
  await tab(page, /^Rose and fell/);
  await expect(page.getByText('This is the first audit.')).toBeVisible();
  await tab(page, /^What costs most/);
  await expect(
    page.getByRole('list', { name: 'What costs most' }).getByRole('listitem').first(),
  ).toContainText(/of 24 posts/);

  await openPost(page, 'How to fix a flat bike tyre');
  await page
    .getByRole('textbox', { name: 'Meta description' })
    .fill(
      'Fix a flat bike tyre by the road in twenty minutes: find the hole, patch the tube or change it, and why it went flat, so that it stays up.',
    );
  await saved(page);
  await page.clock.setFixedTime('2026-11-27T10:00:00Z');
  await page.getByRole('link', { name: 'Site' }).click();
  await page.goto('/site/audit');
  await expect(page.getByLabel('Day of the audit')).toHaveValue('2026-11-20');
  await page.getByRole('button', { name: /^Audit (?:again|29 posts: \d+ to go)$/ }).click();
  await expect(page.getByLabel('Day of the audit')).toHaveValue('2026-11-27');
  await expect(page.getByLabel('Beside the audit of')).toHaveValue('2026-11-20');
  await tab(page, /^Rose and fell 1$/);
  await expect(page.getByRole('region', { name: 'Rose' })).toContainText(
    /How to fix a flat bike tyre.*mostly listing/,
  );

  const json = await downloaded(page, 'JSON');
  expect(json.name).toBe('audit-saltmarsh.example-2026-11-27.json');
  const { audit } = readAuditFile(json.text);
  expect(audit?.posts).toHaveLength(24);
  const csv = await downloaded(page, 'CSV');
  expect(csv.text.split('\n')).toHaveLength(26);
  expect(csv.text).toContain(
    'How to fix a flat bike tyre by the road,/journal/fix-flat-bike-tyre,published,',
  );

  await page.getByRole('link', { name: 'Report on paper' }).click();
  const report = page.getByRole('article', { name: 'Audit' });
  await expect(report.getByRole('heading', { name: 'Audit of Saltmarsh Wheelworks' })).toBeVisible();
  await expect(report.getByRole('region', { name: 'Worth mending first' }).getByRole('row')).toHaveCount(25);
  await expect(report.getByRole('region', { name: 'Rose', exact: true })).toContainText(
    'How to fix a flat bike tyre',
  );
  await page.goto('/site/audit/report?day=2020-01-01');
  await expect(page.getByText('There is no audit of that day')).toBeVisible();
});

test('pages that are no posts are read by their addresses: what they are for, whether they are fit, what they could say', async ({
  page,
}) => {
  await page.goto('/site/audit');
  await page.getByRole('button', { name: 'Audit 29 posts' }).click();
  await tab(page, /^Other pages/);
  await page.getByRole('button', { name: 'Read 5 pages' }).click();
  const pages = page.getByRole('list', { name: 'Other pages' });
  await expect(pages.getByRole('listitem', { name: '/rent', exact: true })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText(
    '/journal: It leads on to /: that is the page to read.',
  );
  const rent = pages.getByRole('listitem', { name: '/rent', exact: true });
  await expect(rent.getByLabel('Kind')).toHaveValue('booking');
  await expect(pages.getByRole('listitem', { name: '/', exact: true }).getByLabel('Kind')).toHaveValue(
    'home',
  );
  await rent.getByLabel('Wants to be found for').fill('electric bicycle insurance');
  await rent.getByLabel('Wants to be found for').press('Enter');
  await expect(page.getByRole('list', { name: 'To mend on /rent' })).toContainText(
    'Name "electric bicycle insurance" in the meta title.',
  );
  await expect(page.getByRole('list', { name: 'Proposals for /rent' })).toContainText(
    'Electric bicycle insurance: rent a touring bike',
  );
  await rent.getByLabel('Kind').selectOption('Shop');
  expect(await faultsOf(page, 'other pages')).toEqual([]);

  const address = page.getByLabel('Address of a page');
  await address.fill('https://elsewhere.example/rent');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText(
    'That is no page of https://saltmarsh.example.',
  );
  await address.fill('/category/gear');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(
    pages.getByRole('listitem', { name: '/category/gear', exact: true }).getByLabel('Kind'),
  ).toHaveValue('category');
  await page.reload();
  await tab(page, /^Other pages/);
  await expect(rent.getByLabel('Kind')).toHaveValue('shop');
  await expect(rent.getByLabel('Wants to be found for')).toHaveValue('electric bicycle insurance');
});

test('an audit of two thousand posts is stopped, and goes on where it was', async ({ page }) => {
  const places = ['quay', 'dyke', 'mill', 'ferry', 'sluice', 'bridge', 'lighthouse'];
  const post = (at: number) => {
    const place = places[at % places.length];
    const lines = Array.from(
      { length: 8 },
      (_, line) =>
        `On day ${at + line} the ${place} is a good place for lunch, and the road to it is dry at low water.`,
    );
    return `---\ntitle: Lunch at the ${place}, day ${at}\nslug: lunch-${at}\nstatus: published\nkeyword: lunch at the ${place}\n---\n\n${lines.join(' ')}\n`;
  };
  const entries = Object.fromEntries(Array.from({ length: 2000 }, (_, at) => [`p/${at}.md`, post(at)]));
  await importFiles(page, zip('many.zip', entries));
  await page.goto('/site/audit');
  await page.getByRole('button', { name: /^Audit 2,029 posts/ }).click();
  await expect(page.getByText(/^Auditing: (?:[5-9]|[1-8]\d) %/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  const goOn = page.getByRole('button', { name: /^Audit 2,029 posts: [\d,]+ to go$/ });
  await expect(goOn).toBeVisible();
  const left = Number(/([\d,]+) to go/.exec(await goOn.innerText())?.[1].replace(/,/g, ''));
  expect(left).toBeLessThan(2000);
  // The page is left, and it goes on from there all the same.
  await page.reload();
  await goOn.click();
  await expect(page.getByText('mean of 2,024 posts')).toBeVisible({ timeout: 240_000 });
  await page.getByLabel('Posts that are looked at').selectOption('all posts');
  await expect(page.getByText('mean of 2,029 posts')).toBeVisible();
});
