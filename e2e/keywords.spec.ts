import { expect, type Locator, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { withoutFigures } from './steps/figures.ts';
import { downloaded } from './steps/writer.ts';

const phrases = (page: Page): Locator => page.getByRole('table', { name: 'Phrases' });
const rowOf = (page: Page, phrase: string): Locator =>
  phrases(page)
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: phrase, exact: true }) });
const selection = (page: Page): Locator => page.getByRole('group', { name: 'Selection' });

async function search(page: Page, seed: string): Promise<void> {
  await page.goto('/keywords');
  await searchHere(page, seed);
}

async function searchHere(page: Page, seed: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Seed' }).fill(seed);
  await page.getByRole('button', { name: 'Search', exact: true }).click();
}

const csvFile = (name: string, text: string) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text, 'utf8'),
});

async function bring(page: Page, name: string, text: string): Promise<void> {
  await page.goto('/keywords?show=figures');
  await page.getByLabel('File with figures').setInputFiles(csvFile(name, text));
  await expect(page.getByRole('table', { name: 'Preview' })).toBeVisible();
}

test('from a seed to a list to a post', async ({ page }) => {
  await search(page, 'waterproof panniers');
  const overview = page.getByRole('region', { name: 'Overview of waterproof panniers' });
  await expect(overview).toContainText('6,600');
  await expect(overview).toContainText('searches a month');
  await rowOf(page, 'roll top panniers').getByRole('button', { name: 'roll top panniers' }).click();
  const figures = page.getByRole('complementary', { name: 'Figures' });
  await figures.getByText('The first pages and what each adds').click();
  // The shares add up to the difficulty that is shown.
  const shares = figures.getByRole('list', { name: 'Shares of the difficulty' }).getByRole('listitem');
  await expect(shares.first()).toContainText('standing');
  const points = (await shares.allInnerTexts()).map((text) => Number(/([\d.]+)\s*$/.exec(text)?.[1]));
  const shown = Number(
    /Difficulty (\d+)/.exec(await figures.getByRole('heading', { name: /Difficulty/ }).innerText())?.[1],
  );
  expect(Math.abs(points.reduce((sum, value) => sum + value, 0) - shown)).toBeLessThan(1.1);

  await page.getByRole('checkbox', { name: 'Select roll top panniers', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Select cheap waterproof panniers' }).click();
  await page.getByRole('checkbox', { name: 'Select repair waterproof panniers' }).click();
  await selection(page).getByRole('button', { name: 'Add to list' }).click();
  await page.getByRole('textbox', { name: 'Name of a new list' }).fill('Bags for rain');
  await page.getByRole('button', { name: 'Make' }).click();
  await expect(page.getByText('3 phrases added to "Bags for rain"')).toBeVisible();

  await page.getByRole('navigation', { name: 'Keywords' }).getByRole('link', { name: 'Lists' }).click();
  await page
    .getByRole('navigation', { name: 'Lists' })
    .getByRole('button', { name: /^Bags for rain/ })
    .click();
  await page.getByRole('radio', { name: 'roll top panniers is the primary keyword' }).check();
  // Two lists of the demo hold a phrase of it.
  await expect(page.getByRole('region', { name: 'Overlap' })).toContainText('Panniers, the big one');
  await expect(page.getByRole('region', { name: 'Overlap' })).toContainText('the same pages are found');
  await page.getByRole('button', { name: 'Start a post from this list' }).click();
  await expect(page.getByLabel('Primary keyword', { exact: true })).toHaveValue('roll top panniers');
  await expect(page.getByText('cheap waterproof panniers')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Overlap with others' })).toContainText(
    'Panniers, the big one',
  );
});

test('several are selected by keys, and by drawing around them in the chart', async ({ page }) => {
  await search(page, 'bike camping');
  const table = page.getByRole('group', { name: /^Phrases: arrow keys/ });
  await expect(phrases(page).getByRole('row').nth(3)).toBeVisible();
  await table.focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('3 selected')).toBeVisible();
  // What a filter hides stays selected, and goes out with the rest.
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('hammock');
  await expect(phrases(page).getByRole('row')).toHaveCount(2);
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
  expect(text.trim().split('\n')).toHaveLength(4);
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('');
  await expect(phrases(page).getByRole('row').nth(3)).toBeVisible();
  await table.focus();
  await page.keyboard.press('Escape');
  await expect(page.getByText('3 selected')).toBeHidden();
  await page.getByRole('button', { name: 'Chart' }).click();
  const chart = page.getByRole('img', { name: /phrases by difficulty/ });
  const box = (await chart.boundingBox())!;
  const all = Number(/^(\d+)/.exec((await chart.getAttribute('aria-label')) ?? '')?.[1]);
  // Around everything, then around nothing.
  for (const [size, wanted] of [
    [1, all],
    [0.02, 0],
  ]) {
    await page.mouse.move(box.x + 2, box.y + 2);
    await page.mouse.down();
    for (const [x, y] of [
      [size, 0],
      [size, size],
      [0, size],
    ])
      await page.mouse.move(box.x + 2 + x * (box.width - 4), box.y + 2 + y * (box.height - 4));
    await page.mouse.up();
    if (wanted > 0) await expect(page.getByText(`${wanted} selected`)).toBeVisible();
    else await expect(page.getByText(/\d selected/)).toBeHidden();
  }
});

test('filters, columns and views; an intent is overruled; clusters, questions and pages of a seed', async ({
  page,
}) => {
  await search(page, 'touring tyre pressure');
  await expect(rowOf(page, 'tyre pressure with panniers')).toBeVisible();
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('front');
  await expect(phrases(page).getByRole('row')).toHaveCount(3);
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'Why it is here' }).check();
  await page.keyboard.press('Escape');
  await expect(phrases(page)).toContainText('shares 2 of 3 word stems');
  await page.getByRole('button', { name: 'Views' }).click();
  await page.getByRole('textbox', { name: 'Name of the view' }).fill('Front and rear');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Front and rear', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(rowOf(page, 'tyre pressure with panniers')).toBeVisible();
  await page.getByRole('button', { name: 'Views' }).click();
  await page.getByRole('button', { name: 'Front and rear', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(phrases(page).getByRole('row')).toHaveCount(3);
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('');

  await rowOf(page, 'tyre pressure with panniers').getByRole('button').click();
  await page
    .getByRole('complementary', { name: 'Figures' })
    .getByLabel('Intent')
    .selectOption({ label: 'Commercial, by you' });
  await expect(rowOf(page, 'tyre pressure with panniers')).toContainText('Commercial set');

  await page.getByRole('tab', { name: /Questions/ }).click();
  await expect(page.getByRole('list', { name: 'Questions' })).toContainText(
    'Does luggage change tyre pressure?',
  );
  await page.getByRole('tab', { name: 'Clusters' }).click();
  await page.getByRole('table', { name: 'Clusters' }).getByRole('button').first().click();
  await expect(page.getByRole('list', { name: /^Phrases of / }).first()).toContainText('tyre pressure');
  await page.getByRole('tab', { name: 'Pages found' }).click();
  await page.getByRole('button', { name: /Tyre pressure guide for touring/ }).click();
  await expect(page.getByRole('list', { name: /^Phrases of Tyre pressure guide/ })).toContainText(
    '1. touring tyre pressure',
  );
});

test('the address of a post stands for its target; what is not known is said honestly', async ({ page }) => {
  await search(page, 'https://saltmarsh.example/journal/touring-tyre-pressure');
  await expect(page.getByText(/The target of "Touring tyre pressure/)).toBeVisible();
  await expect(rowOf(page, 'touring tyre pressure')).toBeVisible();
  await search(page, 'sourdough starter');
  await expect(
    page.getByRole('heading', { name: 'Nothing is known here about "sourdough starter"' }),
  ).toBeVisible();
  await page.route('**/market/**', (route) => route.abort());
  await search(page, 'panniers');
  await expect(page.getByText('The source of figures cannot be reached')).toBeVisible();
  // What is known from before is shown all the same.
  await expect(rowOf(page, 'roll top panniers')).toBeVisible();
});

test('a messy table is read: semicolons, a mark in front, quoted line breaks, 1.2K, bad rows', async ({
  page,
}) => {
  const text = [
    '\uFEFFPhrase;Monthly;KD;Remark',
    '"lighthouse stew";"1.2K";"35";"two\nlines"',
    '"stew; with leeks";"1,200";;',
    'bad volume;lots;10;',
    ';90;10;',
    'Lighthouse  Stew;900;;older?',
    'hard one;50;140;',
  ].join('\r\n');
  await bring(page, 'soups.csv', text);
  // "Monthly" tells nothing: the column is named by hand.
  await page.getByLabel('What column 2 holds').selectOption({ label: 'Volume' });
  await page.getByRole('button', { name: 'Read the table' }).click();
  const account = page.getByRole('region', { name: 'What was read' });
  await expect(account).toContainText('5 rows taken, 1 row left out');
  await expect(account).toContainText('Line 5: "lots" is no volume.');
  await expect(account).toContainText('Line 6: no phrase stands in it.');
  await expect(account).toContainText('Line 8: "140" is no difficulty from 0 to 100.');
  await expect(account.getByRole('list', { name: 'Cells not read' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Back to the phrases' }).click();
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('bad volume');
  await expect(rowOf(page, 'bad volume')).toContainText('10 given');
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('stew');
  await expect(phrases(page).getByRole('row')).toHaveCount(3);
  await expect(rowOf(page, 'lighthouse stew')).toContainText('900');
  await expect(rowOf(page, 'lighthouse stew')).toContainText('35 given');
  await expect(rowOf(page, 'stew; with leeks')).toContainText('1,200');
  // Out again, and the same when it is read once more.
  await page.getByRole('checkbox', { name: 'Select all shown' }).check();
  const { text: csv } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  );
  expect(csv.split('\n').slice(1).sort()).toEqual(
    [
      'lighthouse stew,GB,900,35,,,,,,,,,,,,,,soups.csv,',
      'stew; with leeks,GB,1200,,,,,,,,,,,,,,,soups.csv,',
    ].map((line) => `${line}${new Date().toISOString().slice(0, 10)}`),
  );
  await bring(page, 'again.csv', csv);
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(page.getByText('0 phrases added, 2 phrases brought up to date.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
});

test('a file that is no table, and a list that is pasted', async ({ page }) => {
  await page.goto('/keywords?show=figures');
  await page
    .getByLabel('File with figures')
    .setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('%PDF-1.7 x') });
  await expect(page.getByRole('alert')).toContainText('x.csv');
  await page.getByLabel('File with figures').setInputFiles(csvFile('none.csv', ' \n '));
  await expect(page.getByRole('alert')).toContainText('none.csv is empty');
  await page.getByLabel('A list of phrases').fill('leek soup\n1. Oyster soup\nleek  soup');
  await page.getByRole('button', { name: 'Add phrases' }).click();
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('soup');
  await expect(phrases(page).getByRole('row')).toHaveCount(3);
});

test('near wins come from an export of the own site', async ({ page }) => {
  await withoutFigures(page);
  const text = [
    'Top queries\tURL\tClicks\tImpressions\tAverage position',
    'waterproof panniers\thttps://saltmarsh.example/journal/waterproof-panniers\t10\t4,000\t8.4',
    'oyster soup by bike\thttps://saltmarsh.example/journal/estuary-cycling-route\t1\t900\t12',
    'too good\thttps://saltmarsh.example/\t90\t900\t1.2',
    'broken\thttps://saltmarsh.example/\t90\tmany\t7',
  ].join('\n');
  await bring(page, 'export.tsv', text);
  await expect(page.getByText('a search performance export')).toBeVisible();
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(page.getByText('3 rows read: 3 new ones, 0 known already.')).toBeVisible();
  await page.getByRole('navigation', { name: 'Keywords' }).getByRole('link', { name: 'Near wins' }).click();
  const table = page.getByRole('table', { name: 'Near wins' });
  await expect(table.getByRole('row')).toHaveCount(3);
  const first = table.getByRole('row').nth(1);
  await expect(first).toContainText('its primary keyword');
  // Rank 4.2 is in reach from 8.4: 4,000 x 6.8 %, less 10.
  await expect(first).toContainText('8.4 → 4.2');
  await expect(first).toContainText('+263');
  await expect(first.getByRole('link', { name: 'Improve this post' })).toHaveAttribute(
    'href',
    '/posts/demo-waterproof-panniers/write',
  );
  await page.getByRole('button', { name: 'By page' }).click();
  await expect(page.getByRole('region', { name: /^Estuary cycling route/ })).toContainText(
    'oyster soup by bike',
  );
  await page.getByRole('button', { name: 'As one table' }).click();
  await table.getByRole('row').nth(2).getByRole('button', { name: 'Write a new one' }).click();
  await expect(page.getByLabel('Primary keyword', { exact: true })).toHaveValue('oyster soup by bike');
});

test('lists that would compete are told: by list, in the matrix, on Target', async ({ page }) => {
  await page.goto('/keywords/lists?list=demo-list-2');
  const overlap = page.getByRole('region', { name: 'Overlap' });
  await expect(overlap).toContainText('the same pages are found for their primary keywords');
  await expect(overlap.getByText('1 shared phrase')).toBeVisible();
  await page
    .getByLabel('Add phrases')
    .fill('roll top panniers, do pannier rain covers work, are panniers waterproof');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(overlap.getByText('4 shared phrases')).toBeVisible();
  await page.getByRole('button', { name: 'Take roll top panniers off the list' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'roll top panniers is the primary keyword' })).toBeVisible();
  await page.getByRole('button', { name: 'All overlaps' }).click();
  await expect(page.getByRole('table', { name: 'Overlap of lists and posts' })).toContainText('67');
  await page.goto('/posts/demo-winter-bike-storage/target');
  await page.getByLabel('From a list').selectOption({ label: 'Cold nights, 5 phrases' });
  await page.getByRole('button', { name: 'Take its phrases' }).click();
  await expect(page.getByText('bike camping gear')).toBeVisible();
  await expect(page.getByLabel('Primary keyword', { exact: true })).toHaveValue('winter bike storage');
});

test('what asks for the same in other words is a clash, and what a post has already ranks down', async ({
  page,
}) => {
  await search(page, 'fix a flat bike tyre');
  await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('how to repair');
  const row = rowOf(page, 'how to repair a bike puncture');
  await expect(row).toContainText('How to fix a flat bike tyre by the road');
  await row.getByRole('button').click();
  await expect(page.getByRole('complementary', { name: 'Figures' })).toContainText(
    'less to win with a second post',
  );
  await page.goto('/posts/demo-winter-bike-storage/target');
  await page.getByLabel('Primary keyword', { exact: true }).fill('flat tire repair');
  await expect(page.getByRole('region', { name: 'Overlap with others' })).toContainText(
    'their primary keywords mean the same',
  );
});

test('a misspelt seed is asked about; a pasted column is a list, which goes out and to a post that is there', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await search(page, 'waterprof paniers');
  await page.getByRole('button', { name: 'waterproof panniers', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Overview of waterproof panniers' })).toBeVisible();
  await page.getByRole('tab', { name: /Questions/ }).click();
  const questions = page.getByRole('list', { name: 'Questions' }).getByRole('listitem');
  await expect(questions.first()).toBeVisible();
  const searches = (await questions.allInnerTexts()).map((text) =>
    Number(/([\d,]+)\s*$/.exec(text)?.[1].replace(',', '') ?? -1),
  );
  expect(searches).toEqual([...searches].sort((a, b) => b - a));

  // A column copied from a table: its first cells are the phrases.
  await page.goto('/keywords/lists');
  await page.getByRole('button', { name: 'New list' }).click();
  await expect(page.getByText(/^0 phrases · /)).toBeVisible();
  const add = page.getByLabel('Add phrases');
  await page.evaluate(() =>
    navigator.clipboard.writeText('oyster stew\t90\nleek soup\t50\n1. Oyster stew\t90'),
  );
  await add.focus();
  await page.keyboard.press('ControlOrMeta+V');
  await expect(add).toHaveValue('oyster stew, leek soup');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Phrases of the list' }).getByRole('row')).toHaveCount(3);
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await expect(page.getByText('2 phrases copied')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('oyster stew\nleek soup');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
  expect(
    text
      .split('\n')
      .slice(1, 3)
      .map((line) => line.split(',')[0]),
  ).toEqual(['oyster stew', 'leek soup']);
  await page.getByLabel('Give it to a post').selectOption({ label: 'Winter bike storage' });
  await expect(page.getByLabel('From a list')).toHaveValue(/.+/);
  await page.getByRole('button', { name: 'Take its phrases' }).click();
  await expect(page.getByText('oyster stew', { exact: true })).toBeVisible();
});

test('the rooms of research have no accessibility fault that can be found, in either theme', async ({
  page,
}) => {
  const faults: string[] = [];
  const look = async (screen: string) => faults.push(...(await faultsOf(page, screen)));
  await search(page, 'waterproof panniers');
  await rowOf(page, 'roll top panniers').getByRole('button').click();
  await page.getByText('The first pages and what each adds').click();
  await page.getByRole('checkbox', { name: 'Select roll top panniers', exact: true }).click();
  await look('Keywords');
  await page.getByRole('button', { name: 'Chart' }).click();
  await page.getByRole('tab', { name: 'Clusters' }).click();
  await expect(page.getByRole('table', { name: 'Clusters' })).toBeVisible();
  await look('Clusters and chart');
  await page.getByRole('tab', { name: 'Pages found' }).click();
  await expect(page.getByRole('list', { name: 'Pages found' })).toBeVisible();
  await look('Pages found');
  await page.getByRole('tab', { name: /Questions/ }).click();
  await look('Questions');
  await bring(page, 'a.csv', 'keyword;volume\nbell;10');
  await look('Mapping');
  await page.goto('/keywords/lists');
  await expect(page.getByRole('table', { name: 'Phrases of the list' })).toBeVisible();
  await look('Lists');
  await page.goto('/keywords/lists?show=overlap');
  await expect(page.getByRole('table', { name: /Overlap/ })).toBeVisible();
  await look('Overlaps');
  await page.goto('/keywords/near-wins');
  await expect(page.getByRole('table', { name: 'Near wins' })).toBeVisible();
  await look('Near wins');
  await page.goto('/ideas');
  await expect(page.getByRole('list', { name: /ideas/ })).toBeVisible();
  await look('Ideas');
  await page.goto('/today');
  await expect(page.getByRole('region', { name: 'Near wins' })).toContainText('clicks');
  await look('Today');
  expect(faults).toEqual([]);
});

test('the weights of the house decide what is worth most', async ({ page }) => {
  await search(page, 'waterproof panniers');
  const first = phrases(page).getByRole('row').nth(1);
  await expect(first).toContainText('dry bag for bike');
  await page.getByRole('link', { name: 'House rules' }).click();
  for (const [part, weight] of [
    ['volume', '0'],
    ['season ahead', '0'],
    ['fit', '0'],
  ])
    await page.getByLabel(`Weight of ${part}`).fill(weight);
  await page.getByLabel('Weight of ease').fill('lots');
  await expect(page.getByText('"lots" is no weight; write a number from 0 to 100.')).toBeVisible();
  await page.getByRole('link', { name: 'Keywords' }).first().click();
  await searchHere(page, 'waterproof panniers');
  // With ease alone the easiest stands first.
  await phrases(page).getByRole('columnheader', { name: 'Difficulty' }).getByRole('button').click();
  await phrases(page).getByRole('columnheader', { name: 'Difficulty' }).getByRole('button').click();
  await expect(phrases(page).getByRole('columnheader', { name: 'Difficulty' })).toHaveAttribute(
    'aria-sort',
    'ascending',
  );
  await expect(first).not.toContainText(/^waterproof panniers/);
  const easiest = await first.getByRole('button').innerText();
  await phrases(page).getByRole('columnheader', { name: 'Opportunity' }).getByRole('button').click();
  await expect(first.getByRole('button')).toHaveText(easiest);
  await page.getByRole('link', { name: 'House rules' }).click();
  await page.getByRole('button', { name: 'As they come' }).click();
  await expect(page.getByLabel('Weight of volume')).toHaveValue('3');
});
