import { expect, type Locator, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { bringFigures, withoutFigures } from './steps/figures.ts';
import { openPost } from './steps/writer.ts';

const DAY = 86_400_000;
const dayAfter = (day: string, days: number) =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY).toISOString().slice(0, 10);
const tab = (page: Page, name: string | RegExp) => page.getByRole('tab', { name }).click();
const HOST = 'https://saltmarsh.example/journal';

/** The day on which the demo's post about renting got another title. */
const CHANGED = '2026-09-22';
const CHANGED_PAGE = `${HOST}/rent-touring-bike`;
/** Clicks a day before and after, by page; the others did not change meanwhile. */
const PAGES: Record<string, [before: number, after: number]> = {
  [CHANGED_PAGE]: [10, 19],
  [`${HOST}/estuary-cycling-route`]: [9, 8],
  [`${HOST}/tide-table-cycling`]: [6, 5],
  [`${HOST}/touring-tyre-pressure`]: [12, 10],
  [`${HOST}/canal-towpath-cycling`]: [4, 4],
};

/** An export of some days: clicks that go up and down by weekday and page. */
function exported(first: string, last: string): string {
  const lines = ['Date,Query,Page,Clicks,Impressions,Position'];
  for (let day = first; day <= last; day = dayAfter(day, 1))
    for (const [at, [page, [before, after]]] of Object.entries(PAGES).entries())
      lines.push(`${day},quay ${at} zander,${page},${clicksOn(day, before, after, at)},400,${5 + at}`);
  return lines.join('\n');
}
const clicksOn = (day: string, before: number, after: number, at: number): number =>
  (day < CHANGED ? before : after) + ((new Date(`${day}T00:00:00Z`).getUTCDate() * (at + 2)) % 3);
const clicksIn = (page: string, from: string, days: number): number => {
  const at = Object.keys(PAGES).indexOf(page);
  return Array.from({ length: days }, (_, ahead) =>
    clicksOn(dayAfter(from, ahead), ...PAGES[page], at),
  ).reduce((sum, clicks) => sum + clicks);
};

/** The effect as it is computed by hand: difference in differences on logarithms, with a prediction interval at 95 %. */
function effectByHand(): { ratio: number; low: number; high: number; before: number; after: number } {
  const counts = Object.keys(PAGES).map((page) => ({
    before: clicksIn(page, dayAfter(CHANGED, -28), 28),
    after: clicksIn(page, dayAfter(CHANGED, 7), 28),
  }));
  const logs = counts.map(({ before, after }) => Math.log((after + 0.5) / (before + 0.5)));
  const counting = counts.map(({ before, after }) => 1 / (after + 0.5) + 1 / (before + 0.5));
  const [own, ...others] = logs;
  const fixed = counting.slice(1).map((variance) => 1 / variance);
  const sum = (values: number[]) => values.reduce((total, value) => total + value, 0);
  const mean = sum(others.map((log, at) => log * fixed[at])) / sum(fixed);
  const q = sum(others.map((log, at) => fixed[at] * (log - mean) ** 2));
  const between = Math.max(
    0,
    (q - (others.length - 1)) / (sum(fixed) - sum(fixed.map((weight) => weight ** 2)) / sum(fixed)),
  );
  const weights = counting.slice(1).map((variance) => 1 / (variance + between));
  const common = sum(others.map((log, at) => log * weights[at])) / sum(weights);
  // Student's t for three degrees of freedom, from a table.
  const reach = 3.182 * Math.sqrt(between + 1 / sum(weights) + counting[0]);
  return {
    ratio: Math.exp(own - common),
    low: Math.exp(own - common - reach),
    high: Math.exp(own - common + reach),
    ...counts[0],
  };
}
const moreOrLess = (ratio: number) => `${ratio >= 1 ? '+' : '−'}${Math.abs(Math.round((ratio - 1) * 100))} %`;

test('three periods are brought, and what a change did is what a computation by hand gives', async ({
  page,
}) => {
  await withoutFigures(page);
  // The second and the third share days with the one before: none counts twice.
  await bringFigures(page, 'first.csv', exported('2026-07-20', '2026-08-31'));
  await expect(page.getByText('215 rows read: 215 new ones, 0 known already.')).toBeVisible();
  await bringFigures(page, 'second.csv', exported('2026-08-25', '2026-09-30'));
  await expect(page.getByText('185 rows read: 150 new ones, 35 known already.')).toBeVisible();
  await bringFigures(page, 'third.csv', exported('2026-09-26', '2026-11-15'));
  await expect(page.getByText('255 rows read: 230 new ones, 25 known already.')).toBeVisible();

  await page.goto('/site/performance');
  await expect(page.getByText('Known from 20 Jul to 15 Nov.')).toBeVisible();
  await tab(page, /^What changes did/);
  const changed = page
    .getByRole('list', { name: 'What came of changes' })
    .getByRole('listitem')
    .filter({ hasText: 'Rent a touring bike' })
    .first();
  const { ratio, low, high, before, after } = effectByHand();
  expect(low).toBeGreaterThan(1);
  await expect(changed).toContainText(
    `${moreOrLess(ratio)} clicks, between ${moreOrLess(low)} and ${moreOrLess(high)} at 95 %.`,
  );
  await expect(changed).toContainText('No season of its queries is known.');
  await expect(changed).toContainText('4 other pages without a change');
  expect(await faultsOf(page, 'what changes did')).toEqual([]);

  // A figure opens to its rows: they add up to it.
  await changed.getByRole('button', { name: `Clicks before the change: ${before}. Show its rows` }).click();
  const rows = page.getByRole('dialog');
  await expect(rows).toContainText('28 rows as brought');
  await expect(summed(rows)).toContainText(`28${before}`);
  await rows.getByRole('button', { name: 'Close' }).click();
  await expect(
    changed.getByRole('button', { name: `Clicks after the change: ${after}. Show its rows` }),
  ).toBeVisible();

  // So do the pages that it was held against, each to its own rows.
  await changed
    .getByRole('button', { name: 'Clicks of the other pages: 4 other pages. Show its rows' })
    .click();
  const held = page.getByRole('table', { name: 'Pages held against' });
  await expect(held.getByRole('row')).toHaveCount(5);
  const other = `${HOST}/touring-tyre-pressure`;
  const [then, now] = [
    clicksIn(other, dayAfter(CHANGED, -28), 28),
    clicksIn(other, dayAfter(CHANGED, 7), 28),
  ];
  await held
    .getByRole('button', { name: `Clicks before and after: ${then} → ${now}. Show its rows` })
    .click();
  await expect(summed(page.getByRole('dialog', { name: 'Clicks before and after' }))).toContainText(
    `28${then}`,
  );
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(held).toHaveCount(0);

  // The last one taken back: the days after the change are known no more.
  await tab(page, 'Figures brought');
  const brought = page.getByRole('list', { name: 'Figures brought' }).getByRole('listitem');
  await expect(brought).toHaveCount(5);
  await page.getByRole('button', { name: 'Take 1 Oct to 31 Oct out' }).click();
  await expect(brought).toHaveCount(4);
  await tab(page, /^What changes did/);
  await expect(changed).not.toContainText('at 95 %');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(changed).toContainText(`${moreOrLess(ratio)} clicks`);
});

test('what came of posts: which lose and why, titles under the curve, what one page did, and Today', async ({
  page,
}) => {
  await page.goto('/today');
  const things = page.getByRole('region', { name: 'What matters most' });
  await expect(things.getByRole('listitem')).toHaveCount(3);
  await things.getByRole('link', { name: 'Performance' }).click();
  const pages = page.getByRole('table', { name: 'Pages in search' });
  await expect(pages.getByRole('row')).toHaveCount(13);
  expect(await faultsOf(page, 'performance')).toEqual([]);

  await tab(page, /^Losing/);
  const losing = page.getByRole('list', { name: 'Pages that lose' }).getByRole('listitem');
  const estuary = losing.filter({ hasText: 'Estuary cycling route' });
  await expect(estuary).toContainText('Mostly position.');
  // What took the clicks adds up to what is lost.
  const [was, is] = (await estuary.getByRole('button', { name: /^Clicks before and after: / }).innerText())
    .split(' → ')
    .map(Number);
  const parts = (await estuary.getByRole('definition').allInnerTexts()).map((part) =>
    Number(part.replace('−', '-')),
  );
  expect(Math.abs(parts.reduce((sum, part) => sum + part, 0) - (is - was))).toBeLessThan(1.5);

  // Each part opens to the queries that it is added up from.
  await estuary.getByRole('button', { name: /^Clicks by position: / }).click();
  const lost = page.getByRole('table', { name: 'Queries of the loss' }).getByRole('row');
  const byPosition = (await lost.filter({ hasText: '→' }).allInnerTexts()).map((text) =>
    Number(text.trim().split(/\s+/).at(-1)?.replace('−', '-')),
  );
  expect(byPosition.length).toBeGreaterThan(2);
  expect(Math.abs(byPosition.reduce((sum, part) => sum + part, 0) - parts[0])).toBeLessThan(0.8);
  await page.keyboard.press('Escape');

  await tab(page, /^Titles under the curve/);
  await expect(page.getByRole('list', { name: 'Titles under the curve' })).toContainText(
    'Bike tour packing list',
  );
  await page.getByText('The same as a table').click();
  await expect(page.getByRole('table', { name: 'Click rate by rank' }).getByRole('row')).toHaveCount(21);

  await tab(page, /^Losing/);
  await estuary.getByRole('link', { name: /^Estuary/ }).click();
  await expect(page.getByRole('img', { name: /^Clicks and impressions a week, / })).toBeVisible();
  await page.getByText('The same as a table').click();
  const weeks = page.getByRole('table', { name: 'Clicks and impressions by week' }).getByRole('row');
  expect(await weeks.count()).toBeGreaterThan(25);
  await expect(page.getByRole('table', { name: 'Queries of the page' })).toContainText(
    'estuary cycling route',
  );
  expect(await faultsOf(page, 'page')).toEqual([]);

  await page.goto('/site/performance/page?path=/nowhere');
  await expect(page.getByText('Nothing is known of this page')).toBeVisible();
});

test('every figure of search opens to the rows that it is computed from', async ({ page }) => {
  await page.goto('/site/performance');
  const first = page.getByRole('table', { name: 'Pages in search' }).getByRole('row').nth(1);
  const dialog = page.getByRole('dialog');
  const cells = summed(dialog).getByRole('cell');
  for (const [title, at] of [
    ['Clicks', 1],
    ['Impressions', 2],
    ['Click rate', 3],
    ['Position', 4],
  ] as const) {
    const figure = first.getByRole('button', { name: new RegExp(`^${title}: `) });
    const told = await figure.innerText();
    await figure.click();
    await expect(cells.nth(at)).toHaveText(told);
    await page.keyboard.press('Escape');
  }
  // A change is of two windows.
  const change = first.getByRole('button', { name: /^Change of clicks: / });
  const told = Number((await change.innerText()).replace('−', '-'));
  await change.click();
  await expect(summed(dialog).getByRole('row')).toHaveCount(3);
  const [before, after] = [await cells.nth(1).innerText(), await cells.nth(6).innerText()].map(Number);
  expect(Math.abs(after - before - told)).toBeLessThanOrEqual(1);
  expect(await faultsOf(page, 'rows of a figure')).toEqual([]);
  await page.keyboard.press('Escape');

  // A rank of the curve: the queries that stand there.
  await tab(page, /^Titles under the curve/);
  await page.getByText('The same as a table').click();
  const rank = page.getByRole('table', { name: 'Click rate by rank' }).getByRole('row').nth(6);
  const clicks = await rank.getByRole('button', { name: /^Clicks at rank / }).innerText();
  await rank.getByRole('button', { name: /^Clicks at rank / }).click();
  const standing = page.getByRole('table', { name: 'Queries at the rank' }).getByRole('button');
  const sum = async () =>
    (await standing.allInnerTexts()).reduce((total, text) => total + Number(text.replace(',', '')), 0);
  await expect.poll(sum).toBe(Number(clicks.replace(',', '')));
  await page.keyboard.press('Escape');

  // What was brought, row by row.
  await tab(page, 'Figures brought');
  await page.getByRole('button', { name: /^Rows of 1 Oct to 31 Oct: / }).click();
  await expect(page.getByRole('table', { name: 'Rows brought' })).toContainText('1 Oct');
  await page.keyboard.press('Escape');

  // A query not answered: wordings that ask for the same are in its sum.
  await tab(page, 'Not answered');
  const shown = page
    .getByRole('list', { name: 'Queries not answered yet' })
    .getByRole('button', { name: /^Impressions for / })
    .first();
  const impressions = await shown.innerText();
  await shown.click();
  await expect(cells.nth(2)).toHaveText(impressions);
  await page.keyboard.press('Escape');

  await page.goto('/today');
  await page
    .getByRole('button', { name: /^Clicks at stake in four weeks: / })
    .first()
    .click();
  await expect(summed(dialog).getByRole('row')).not.toHaveCount(0);
  await expect(dialog).toContainText('Told for four weeks');
});

test('a query that a post does not answer is taken to Study and Write', async ({ page }) => {
  await page.goto('/site/performance');
  await tab(page, 'Not answered');
  const query = page
    .getByRole('list', { name: 'Queries not answered yet' })
    .getByRole('listitem')
    .filter({ hasText: 'squeaky bike brakes' });
  await query.getByRole('button', { name: 'Take as a supporting keyword' }).click();
  await expect(page.getByText('“squeaky bike brakes” is a supporting keyword now')).toBeVisible();
  await query.getByRole('link', { name: 'Study it' }).click();
  await expect(
    page.getByRole('button', { name: 'Study the results for "squeaky bike brakes"' }),
  ).toBeVisible();
  await openPost(page, 'Touring brake pads');
  await page.getByRole('link', { name: 'Target' }).click();
  await expect(page.getByRole('button', { name: /squeaky bike brakes/ }).first()).toBeVisible();
});

test('an export without days is of the period that is said, and one of days known better does not count', async ({
  page,
}) => {
  await page.clock.setFixedTime('2026-11-20T10:00:00Z');
  const text = ['Query,Page,Clicks,Impressions,Position', `zander,${CHANGED_PAGE},90,900,5`].join('\n');
  await bringFigures(page, 'all-of-it.csv', text);
  await expect(page.getByText('20 Aug to 19 Nov is kept and does not count')).toBeVisible();
  await withoutFiguresBut(page);
  await expect(page.getByRole('table', { name: 'Pages in search' })).toContainText('90');
});

/** What the rows that a figure opened to add up to. */
const summed = (dialog: Locator) => dialog.getByRole('table', { name: 'What the rows add up to' });

/** Takes out what is known by day, so that the period is all there is. */
async function withoutFiguresBut(page: Page): Promise<void> {
  await page.goto('/site/performance');
  await tab(page, 'Figures brought');
  const byDay = page
    .getByRole('list', { name: 'Figures brought' })
    .getByRole('listitem')
    .filter({ hasText: 'one by one' });
  for (let left = 7; left > 0; left--) {
    await expect(byDay).toHaveCount(left);
    await byDay
      .first()
      .getByRole('button', { name: /^Take .* out$/ })
      .click();
  }
  await expect(byDay).toHaveCount(0);
  await tab(page, /^Pages/);
}
