// Takes the pictures of docs/screenshots/ from the demo data, or those that are named: `npm run screenshots -- write`.
// Starts and stops its own server.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { root } from './prepare.mjs';

const PORT = 4329;
const POST = 'demo-fix-flat-bike-tyre';
/** Two versions of a post, and a change since. */
async function withVersions(page) {
  const trail = page.getByRole('navigation', { name: 'Trail' });
  const draft = page.getByRole('textbox', { name: 'Draft' });
  const keep = async (name) => {
    await page.getByRole('link', { name: 'Versions' }).click();
    await page.getByLabel('Keep a version now').fill(name);
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await page.getByRole('button', { name: new RegExp(name) }).waitFor();
  };
  await draft.waitFor();
  await keep('As it went out');
  await trail.getByRole('link', { name: 'Write' }).click();
  await draft.click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.insertText('A flat bike tyre is no reason to push. ');
  await keep('With a new beginning');
  await trail.getByRole('link', { name: 'Write' }).click();
  await page.getByRole('textbox', { name: 'Meta title' }).fill('Flat bike tyre');
  await page.getByText(/words? · saved/).waitFor();
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByRole('button', { name: /As it went out/ }).click();
  await page.getByRole('table', { name: 'Side by side' }).waitFor();
}

/** The lens of the links, with everything looked through. */
async function withLinks(page) {
  await page.getByRole('textbox', { name: 'Draft' }).waitFor();
  await page.getByRole('tab', { name: /^Links/ }).click();
  const lens = page.getByRole('region', { name: 'Links' });
  await lens.getByRole('heading', { name: /^At fault/ }).waitFor();
  await lens.getByText('Looking through').waitFor({ state: 'detached' });
  await lens.getByRole('heading', { name: /^To here \d/ }).waitFor();
}

/** A seed with one of its phrases opened. */
async function aroundASeed(page) {
  const phrases = page.getByRole('table', { name: 'Phrases' });
  await phrases.getByRole('button', { name: 'roll top panniers', exact: true }).click();
  await page.getByRole('region', { name: 'Figures of roll top panniers' }).waitFor();
}

/** Phrases chosen by drawing around them. */
async function aroundPoints(page) {
  await page.getByRole('button', { name: 'Chart' }).click();
  const chart = page.getByRole('img', { name: /^[1-9][\d,]* phrases by difficulty/ });
  await chart.waitFor();
  const box = await chart.boundingBox();
  await page.mouse.move(box.x + 60, box.y + 40);
  await page.mouse.down();
  for (const [x, y] of [
    [150, 40],
    [150, 140],
    [60, 140],
  ])
    await page.mouse.move(box.x + x, box.y + y);
  await page.mouse.up();
  await page.getByText(/\d selected/).waitFor();
}

/** One lens of the margin. */
async function lensOf(page, name) {
  await page.getByRole('textbox', { name: 'Draft' }).waitFor();
  await page.getByRole('tab', { name: new RegExp(`^${name}`) }).click();
}

async function withSections(page) {
  await lensOf(page, 'Sections');
  await page.getByRole('list', { name: 'Sections of the post' }).waitFor();
}

/** A picture held to the shape of shares. */
async function onTheBench(page) {
  await lensOf(page, 'Pictures');
  const pictures = page.getByRole('list', { name: 'Pictures of the post' });
  await pictures.getByRole('button', { name: 'Crop, turn, compress' }).first().click();
  await page.getByLabel('Hold the crop to').selectOption('share, 1200 × 630');
  await page.getByText('Becomes 1,200 × 630 px').waitFor();
}

async function asReadersSee(page) {
  await page.getByText(/Before one scrolls/).waitFor();
}

/** The pages of a post's keyword, those that are no help left out. */
async function withStudy(page) {
  await page.getByRole('button', { name: /^Study the results for/ }).click();
  await page.getByRole('table', { name: 'Pages studied' }).waitFor();
  await page.getByRole('button', { name: /^Leave (?:them|it) out/ }).click();
  await page.getByText(/band \d/).waitFor();
  // The word about what was left out goes by itself.
  await page.getByText(/pages left out/).waitFor({ state: 'hidden' });
}

/** A page opened beside the others. */
async function withPage(page) {
  await withStudy(page);
  await page.getByRole('button', { name: /^Waterproof Panniers: 14 Pairs/ }).click();
  await page.getByRole('complementary', { name: 'Page' }).getByRole('tab', { name: 'Text' }).click();
  await page.getByRole('article', { name: 'Text of the page' }).waitFor();
}

/** A plan beside what the pages have. */
async function withGaps(page) {
  await withStudy(page);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Outline' }).click();
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  await page.getByRole('list', { name: 'Outline' }).waitFor();
  await page.getByRole('region', { name: 'Gaps' }).waitFor();
  await page.getByText(/headings in the outline now/).waitFor({ state: 'hidden' });
}

/** Five ideas beside the posts that are there. */
async function withIdeas(page) {
  await page.getByRole('button', { name: 'Beside your posts' }).click();
  await page.getByRole('button', { name: 'Give me five' }).click();
  await page.getByRole('list', { name: 'New ideas' }).waitFor();
}

const VIEWS = [
  {
    file: 'today',
    path: '/today',
    bare: true,
    before: async (page) => {
      await page.getByRole('region', { name: 'Near wins' }).getByText('clicks').first().waitFor();
      await page
        .getByRole('region', { name: /season/i })
        .getByText('searches')
        .first()
        .waitFor();
    },
  },
  { file: 'keywords', path: '/keywords?seed=waterproof+panniers', bare: true, before: aroundASeed },
  {
    file: 'keywords-chart-dark',
    path: '/keywords?seed=bike+camping',
    bare: true,
    dark: true,
    before: aroundPoints,
  },
  {
    file: 'list',
    path: '/keywords/lists?list=demo-list-2',
    bare: true,
    before: (page) => page.getByRole('region', { name: 'Overlap' }).getByText('worth a look').waitFor(),
  },
  {
    file: 'near-wins',
    path: '/keywords/near-wins',
    bare: true,
    before: (page) => page.getByRole('table', { name: 'Near wins' }).waitFor(),
  },
  { file: 'ideas', path: '/ideas', bare: true, before: withIdeas },
  { file: 'posts', path: '/posts' },
  { file: 'write', path: `/posts/${POST}/write` },
  {
    file: 'write-dark',
    path: `/posts/${POST}/write`,
    dark: true,
    before: (page) => page.getByLabel('Order').selectOption('points'),
  },
  { file: 'links', path: '/posts/demo-tide-table-cycling/write', before: withLinks },
  { file: 'target', path: '/posts/demo-bike-tour-packing-list/target' },
  { file: 'study', path: '/posts/demo-waterproof-panniers/study', before: withPage },
  { file: 'sections', path: '/posts/demo-bike-tour-packing-list/write', before: withSections },
  { file: 'outline', path: '/posts/demo-waterproof-panniers/study', before: withGaps },
  { file: 'release', path: `/posts/${POST}/release` },
  { file: 'versions', path: `/posts/${POST}/write`, before: withVersions },
  { file: 'reading', path: '/posts/demo-bike-tour-packing-list/reading', before: asReadersSee },
  {
    file: 'house-rules',
    path: '/rules',
    bare: true,
    before: (page) => page.getByLabel('Site name').waitFor(),
  },
  { file: 'pictures', path: '/posts/demo-bike-tour-packing-list/write', before: onTheBench },
];

const server = spawn(process.execPath, ['scripts/run.mjs', '--demo'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((ready) =>
  server.stdout.on('data', (chunk) => String(chunk).includes('is ready at') && ready()),
);
process.on('exit', () => server.kill('SIGTERM'));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const named = process.argv.slice(2);
for (const { file, path, dark, bare, before } of VIEWS) {
  if (named.length > 0 && !named.includes(file)) continue;
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}${path}`);
  if (!bare)
    await page
      .getByRole('img', { name: /Score by group/ })
      .last()
      .waitFor();
  await before?.(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: `${root}/docs/screenshots/${file}.png`, animations: 'disabled' });
  await context.close();
}
await browser.close();
server.kill('SIGTERM');
