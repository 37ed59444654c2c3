import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Locator, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { file, zip } from './steps/files.ts';
import { downloaded, exactScore, goTo, openPost, openPosts, saved } from './steps/writer.ts';

const pages = (page: Page): Locator => page.getByRole('table', { name: 'Pages studied' });
const tab = (page: Page, name: RegExp): Locator =>
  page.getByRole('tablist', { name: 'What the pages share' }).getByRole('tab', { name });
const countOf = async (found: Locator): Promise<number> =>
  Number(/(\d+)$/.exec(await found.innerText())?.[1]);

/** Opens a post's Study and studies the results for its keyword. */
async function study(page: Page, title: RegExp): Promise<void> {
  await openPost(page, title);
  await goTo(page, 'Study');
  await page.getByRole('button', { name: /^Study the results for/ }).click();
  await expect(pages(page)).toBeVisible();
  await expect(page.getByText(/band \d+–\d+/)).toBeVisible();
}

test('the pages of a keyword are studied: left out, taken back, terms chosen, and all of it counts in the score', async ({
  page,
}) => {
  await study(page, /Waterproof panniers: how/);
  await expect(pages(page).getByRole('checkbox')).toHaveCount(20);
  await expect(pages(page)).toContainText('it speaks of motorcycle');
  await expect(page.getByRole('img', { name: /20 pages by words/ })).toBeVisible();
  const bands = page.getByRole('table', { name: 'Bands' });
  const before = await bands.innerText();

  // Two are left out: everything is worked out anew, and the same comes back with them.
  const terms = await countOf(tab(page, /^Terms \d/));
  const figures = await countOf(tab(page, /^Figures/));
  for (const name of [
    'Take in Hard or soft? Waterproof panniers for your motorcycle',
    'Take in Waterproof panniers',
  ])
    await pages(page).getByRole('checkbox', { name, exact: true }).click();
  await expect(tab(page, /^Pages/)).toHaveText('Pages 18');
  await expect(bands).not.toHaveText(before);
  expect(await countOf(tab(page, /^Figures/))).toBeLessThan(figures);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(tab(page, /^Pages/)).toHaveText('Pages 19');
  await pages(page)
    .getByRole('checkbox', { name: 'Take in Hard or soft? Waterproof panniers for your motorcycle' })
    .click();
  await expect(tab(page, /^Pages/)).toHaveText('Pages 20');
  await expect(tab(page, /^Figures/)).toHaveText(`Figures ${figures}`);
  expect((await bands.innerText()).replace(/\s+/g, ' ')).toBe(before.replace(/\s+/g, ' '));

  // A page beside the table: its headings, and its text with the terms marked.
  await page
    .getByRole('button', { name: 'How a pannier is made waterproof, from cloth to last weld' })
    .click();
  const opened = page.getByRole('complementary', { name: 'Page' });
  await expect(opened.getByRole('list', { name: 'Headings of the page' }).getByRole('listitem')).toHaveCount(
    8,
  );
  await opened.getByRole('tab', { name: 'Text' }).click();
  await expect(opened.getByRole('article').locator('mark').first()).toBeVisible();

  // Terms: dropped, pinned, added; examples in context.
  await tab(page, /^Terms \d/).click();
  const staple = page.getByRole('region', { name: 'Staple terms' });
  await staple.getByRole('button', { name: 'waterproof panniers', exact: true }).click();
  await expect(
    page.getByRole('complementary', { name: 'Term' }).getByRole('list', { name: 'Examples' }),
  ).toContainText(/waterproof panniers/i);
  await staple.getByRole('button', { name: 'Drop rain', exact: true }).click();
  await expect(staple.getByRole('button', { name: 'rain', exact: true })).toBeHidden();
  await page.getByRole('textbox', { name: 'Term to add' }).fill('Roll closures');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pin Roll closures' }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'Bring back 1 dropped term' }).click();
  await expect(staple.getByRole('button', { name: 'rain', exact: true })).toBeVisible();
  expect(await countOf(tab(page, /^Terms \d/))).toBeGreaterThanOrEqual(terms);
  await tab(page, /^Terms by page/).click();
  await expect(
    page.getByRole('table', { name: 'Terms against pages' }).getByRole('columnheader'),
  ).toHaveCount(21);

  // Topics as written, questions that can be chosen, figures, and what nobody says.
  await tab(page, /^Topics/).click();
  await page
    .getByRole('table', { name: 'Topics' })
    .getByRole('button', { name: 'Size', exact: true })
    .click();
  await expect(page.getByRole('list', { name: 'Headings of Size' })).toContainText('Which size?');
  await tab(page, /^Questions/).click();
  await page.getByRole('checkbox', { name: 'Answer how long do waterproof panniers last' }).click();
  await tab(page, /^What nobody says/).click();
  await expect(page.getByRole('table', { name: 'What nobody says' })).toContainText(
    'can you use waterproof panniers as a rucksack',
  );

  // Beside the text: a term walks through its uses, and the chosen question stands there.
  await goTo(page, 'Write');
  await page.getByRole('tablist', { name: 'Margin' }).getByRole('tab', { name: /Terms/ }).click();
  const lens = page.getByRole('region', { name: 'Terms' });
  await lens.getByRole('button', { name: /^waterproof panniers/ }).click();
  await expect.poll(() => page.evaluate(() => getSelection()?.toString())).toMatch(/waterproof panniers/i);
  await page.getByRole('tab', { name: /Questions/ }).click();
  await expect(page.getByRole('list', { name: 'Questions to answer' })).toContainText('how long do');
});

test('a study on the command line judges as the screen does; run again it tells what changed; posts share it', async ({
  page,
}) => {
  await study(page, /How to fix a flat bike tyre/);
  await expect(page.getByRole('button', { name: 'Save as JSON' })).toBeEnabled();
  const { text, name } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save as JSON' }).click(),
  );
  expect(name).toBe('study-fix-a-flat-bike-tyre.json');
  await goTo(page, 'Release');
  await saved(page);
  const { text: post } = await downloaded(page, () => page.getByRole('button', { name: 'Markdown' }).click());
  const { text: report } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Score report' }).click(),
  );
  const folder = mkdtempSync(join(tmpdir(), 'study-'));
  writeFileSync(join(folder, 'study.json'), text);
  writeFileSync(join(folder, 'post.md'), post);
  const cli = JSON.parse(
    execFileSync(
      process.execPath,
      ['bin/dune-sparrow', 'score', join(folder, 'post.md'), '--json', '--study', join(folder, 'study.json')],
      { encoding: 'utf8' },
    ),
  );
  const coverage = (json: {
    criteria: { id: string; group: string; measured: unknown; advice: unknown }[];
  }) =>
    json.criteria
      .filter(({ group }) => group === 'coverage')
      .map(({ id, measured, advice }) => [id, measured, advice]);
  expect(coverage(cli)).toEqual(coverage(JSON.parse(report)));
  expect(coverage(cli).some(([id, measured]) => id === 'staple-terms' && measured !== null)).toBe(true);

  await goTo(page, 'Study');
  await page
    .getByRole('checkbox', { name: 'Take in Flat tyre on the motorway? What drivers should do' })
    .click();
  await page.getByRole('button', { name: 'Run again' }).click();
  await expect(page.getByRole('region', { name: 'Since the study before' })).toContainText('Nothing changed');
  // What was left out stays out.
  await expect(tab(page, /^Pages/)).toHaveText('Pages 19');

  await openPost(page, /Touring tyre pressure/);
  await goTo(page, 'Study');
  const score = await exactScore(page);
  await page
    .getByRole('region', { name: 'Studies of other posts' })
    .getByRole('listitem')
    .filter({ hasText: /flat bike tyre/ })
    .getByRole('button', { name: 'Go by this study' })
    .click();
  await expect(page.getByText('shared by 2 posts')).toBeVisible();
  await expect.poll(() => exactScore(page)).not.toBe(score);
  await page.getByRole('button', { name: 'A copy for this post alone' }).click();
  await expect(page.getByText('shared by 2 posts')).toBeHidden();
  await page.getByRole('button', { name: 'Take the study out' }).click();
  await expect(page.getByRole('button', { name: /^Study the results/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(pages(page)).toBeVisible();
});

const prose = (subject: string, at: number) =>
  Array.from(
    { length: 12 },
    (_, line) =>
      `On day ${line + at} the ${subject} of a tide table tells when the causeway is dry and when it is not.`,
  ).join(' ');
const savedPage = (title: string, address: string, ...parts: string[]) =>
  `<!doctype html><html><head><title>${title}</title><link rel="canonical" href="${address}"></head><body><nav><ul><li><a href="/">Home</a></li></ul></nav><article><h1>${title}</h1>${parts
    .map((part, at) => `<h2>${part}</h2><p>${prose(part, at)}</p>`)
    .join('')}</article><footer>Imprint</footer></body></html>`;

test('pages are read at their addresses, each with what went wrong; read again they say what changed', async ({
  page,
}) => {
  const port = Number(process.env['E2E_PORT'] ?? 4317) + 3;
  const at = (path: string) => `http://127.0.0.1:${port}${path}`;
  let neaps = savedPage('Neaps', at('/neaps'), 'High water', 'Low water');
  const host = createServer((request, response) => {
    const html = (text: string) => response.writeHead(200, { 'content-type': 'text/html' }).end(text);
    if (request.url === '/tides') html(savedPage('Tides explained', at('/tides'), 'High water', 'Springs'));
    else if (request.url === '/old') response.writeHead(301, { location: '/neaps' }).end();
    else if (request.url === '/neaps') html(neaps);
    else response.writeHead(404).end();
  });
  await new Promise<void>((done) => host.listen(port, '127.0.0.1', done));
  try {
    await openPosts(page);
    await page.getByRole('button', { name: 'New post' }).click();
    await goTo(page, 'Target');
    await page.getByLabel('Primary keyword', { exact: true }).fill('tide table');
    await goTo(page, 'Study');
    await page.getByRole('button', { name: 'Bring saved pages or text' }).click();
    const field = page.getByLabel('Addresses of pages');
    // An empty zip leaves no study.
    await page.getByLabel('Pages to bring').setInputFiles([zip('none.zip', {})]);
    await expect(page.getByRole('alert')).toContainText('There is no page among these files');
    await expect(pages(page)).toHaveCount(0);
    await field.fill(`${at('/tides')}\n${at('/old')}\n${at('/none')}`);
    await page.getByRole('button', { name: 'Read these pages' }).click();
    await expect(tab(page, /^Pages/)).toHaveText('Pages 2');
    const told = page.getByRole('list', { name: 'What was read' });
    await expect(told).toContainText(`${at('/none')}: There is no page (404).`);
    // What failed stays in the field, to be tried again.
    await expect(field).toHaveValue(at('/none'));
    neaps = savedPage('Neaps', at('/neaps'), 'High water', 'Low water', 'The causeway');
    await field.fill(`${at('/neaps')} ${at('/tides')}`);
    await page.getByRole('button', { name: 'Read these pages' }).click();
    await expect(told).toContainText(
      /neaps has changed: [\d,]+ words before, [\d,]+ now\. New headings: "The causeway"/,
    );
    await expect(told).toContainText(`${at('/tides')} is as it was.`);
    await expect(tab(page, /^Pages/)).toHaveText('Pages 2');
    await tab(page, /^Questions/).click();
    await page
      .getByRole('textbox', { name: 'Questions of your own' })
      .fill('How deep is the causeway? | a customer\n- When is it dry?');
    await page.getByRole('button', { name: 'Add 2 questions' }).click();
    await expect(page.getByRole('table', { name: 'Questions' })).toContainText('How deep is the causeway?');
    await page.reload();
    await tab(page, /^Questions/).click();
    await expect(page.getByRole('table', { name: 'Questions' })).toContainText('When is it dry?');
  } finally {
    host.closeAllConnections();
    await new Promise((done) => host.close(done));
  }
});

test('saved pages, a zip with a list, and pasted text stand in for found ones; what cannot be read says why', async ({
  page,
}) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Target');
  await page.getByLabel('Primary keyword', { exact: true }).fill('tide table');
  await goTo(page, 'Study');
  await page.getByRole('button', { name: 'Bring saved pages or text' }).click();
  await page.getByLabel('Pages to bring').setInputFiles([
    file(
      'one.html',
      savedPage('Reading a tide table', 'https://one.example/tides', 'High water', 'Low water'),
    ),
    file('empty.html', '<html><body><div id="app"></div></body></html>'),
    zip('more.zip', {
      'two.html': savedPage(
        'Tides explained',
        'https://two.example/tides',
        'High water',
        'Springs and neaps',
      ),
      'three.md': `# Tides for riders\n\n## Low water\n\n${prose('low water', 3)}`,
      'list.csv': 'address,file\nhttps://three.example/riders,three.md\nhttps://two.example/tides,two.html\n',
    }),
  ]);
  await expect(tab(page, /^Pages/)).toHaveText('Pages 3');
  // What cannot be read leaves no row; it is told where it was brought.
  await expect(pages(page).getByRole('checkbox')).toHaveCount(3);
  await expect(page.getByRole('list', { name: 'What was read' })).toContainText('No article was found');
  await page
    .getByLabel('Text of a page')
    .fill(`Four tides a day\n\nHigh water comes twice. ${prose('high water', 5)}`);
  await page.getByLabel('Its address').fill('https://four.example/');
  await page.getByRole('button', { name: 'Add this page' }).click();
  await expect(tab(page, /^Pages/)).toHaveText('Pages 4');
  await tab(page, /^Topics/).click();
  await expect(page.getByRole('table', { name: 'Topics' })).toContainText(/water/);
  await page.reload();
  await expect(tab(page, /^Pages/)).toHaveText('Pages 4');
});

test('study, brief and outline have no accessibility fault that can be found, in either theme', async ({
  page,
}) => {
  const faults: string[] = [];
  const look = async (screen: string) => faults.push(...(await faultsOf(page, screen)));
  await openPost(page, /Waterproof panniers: how/);
  await goTo(page, 'Study');
  await expect(page.getByRole('button', { name: /^Study the results/ })).toBeVisible();
  await look('no study');
  await page.getByRole('button', { name: /^Study the results for/ }).click();
  await expect(pages(page)).toBeVisible();
  await page
    .getByRole('button', { name: 'How a pannier is made waterproof, from cloth to last weld' })
    .click();
  await expect(page.getByRole('list', { name: 'Headings of the page' })).toBeVisible();
  for (const name of [
    /^Pages/,
    /^Terms \d/,
    /^Terms by page/,
    /^Topics/,
    /^Questions/,
    /^Figures/,
    /^What/,
  ]) {
    await tab(page, name).click();
    await look(String(name));
  }
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await expect(page.getByRole('article', { name: 'Brief to read' })).toBeVisible();
  await look('brief');
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  for (const name of [/^Gaps/, 'To pull in', 'Proposals', /^Checks/]) {
    await page.getByRole('tab', { name }).click();
    await look(String(name));
  }
  expect(faults).toEqual([]);
});
