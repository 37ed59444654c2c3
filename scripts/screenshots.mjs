// Takes the pictures of docs/screenshots/ from the demo data, or those that are named: `npm run screenshots -- write`.
// Starts and stops its own server.
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './prepare.mjs';

const PORT = 4329;
const POST = 'demo-fix-flat-bike-tyre';

/** A seed with one of its phrases opened. */
async function aroundASeed(page) {
  const phrases = page.getByRole('table', { name: 'Phrases' });
  await phrases.getByRole('button', { name: 'roll top panniers', exact: true }).click();
  await page.getByRole('region', { name: 'Figures of roll top panniers' }).waitFor();
}

/** One lens of the margin. */
async function lensOf(page, name) {
  await page.getByRole('textbox', { name: 'Draft' }).waitFor();
  await page.getByRole('tab', { name: new RegExp(`^${name}`) }).click();
}

/** A picture held to the shape of shares. */
async function onTheBench(page) {
  await lensOf(page, 'Pictures');
  const pictures = page.getByRole('list', { name: 'Pictures of the post' });
  await pictures.getByRole('button', { name: 'Crop, turn, compress' }).first().click();
  await page.getByLabel('Hold the crop to').selectOption('share, 1200 × 630');
  await page.getByText('Becomes 1,200 × 630 px').waitFor();
}

async function inSeason(page) {
  await page.getByRole('note', { name: 'Seasons' }).waitFor();
}

async function audited(page) {
  await page.getByRole('button', { name: /^Audit \d+ posts/ }).click();
  await page.getByRole('table', { name: 'Posts of the audit' }).waitFor();
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
  await page.getByRole('button', { name: /^How waterproof is a/ }).click();
  await page.getByRole('complementary', { name: 'Page' }).getByRole('tab', { name: 'Text' }).click();
  await page.getByRole('article', { name: 'Text of the page' }).waitFor();
}

/** A plan beside what is proposed. */
async function withProposals(page) {
  await withStudy(page);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Outline' }).click();
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  await page.getByRole('list', { name: 'Outline' }).waitFor();
  await page.getByRole('region', { name: 'Gaps' }).waitFor();
  await page.getByText(/headings in the outline now/).waitFor({ state: 'hidden' });
  await page.getByRole('tab', { name: 'Proposals' }).click();
  await page.getByRole('button', { name: 'Propose outlines' }).click();
  await page.getByRole('region', { name: /^Proposal 3/ }).waitFor();
}

/** Five ideas beside the posts that are there. */
async function withIdeas(page) {
  await page.getByRole('button', { name: 'Beside your posts' }).click();
  await page.getByRole('button', { name: 'Give me five' }).click();
  await page.getByRole('list', { name: 'New ideas' }).waitFor();
}

/** What a reviewer says of words of the post, as the file that comes back. */
const answer = (postId, comments) => ({
  name: 'answer.json',
  mimeType: 'application/ld+json',
  buffer: Buffer.from(
    JSON.stringify({
      '@context': 'http://www.w3.org/ns/anno.jsonld',
      type: 'AnnotationPage',
      partOf: { id: `urn:dune-sparrow:post:${postId}`, type: 'AnnotationCollection' },
      items: comments.map(([exact, value, other], at) => ({
        id: `urn:uuid:shown-${at}`,
        type: 'Annotation',
        creator: { type: 'Person', name: 'Tobias Wren' },
        created: '2026-11-27T15:20:00Z',
        body: [
          ...(value ? [{ type: 'TextualBody', purpose: 'commenting', value }] : []),
          ...(other ? [{ type: 'TextualBody', purpose: 'editing', value: other }] : []),
        ],
        target: { selector: [{ type: 'TextQuoteSelector', exact, prefix: '', suffix: '' }] },
      })),
    }),
  ),
});

/** Comments beside their words, one of them with other words. */
async function withComments(page) {
  await page.getByLabel('Answer of a reviewer').setInputFiles(
    answer(POST, [
      ['Get the wheel out', '', 'Take the wheel out'],
      ['Sooner or later everybody has to fix a flat', 'Strong beginning. Say at once how long it takes.'],
      ['Take the tyre off on one side', 'A picture of the levers would help here.'],
    ]),
  );
  await page.getByRole('link', { name: /open comments?$/ }).click();
  await page.getByRole('region', { name: 'Review' }).getByText('Tobias Wren').first().waitFor();
  await page.getByText(/new comments/).waitFor({ state: 'hidden' });
}

/** A text that goes on from the caret, in its own place in the sheet, and the pattern that is in hand beside it. */
async function continuing(page) {
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await draft.getByRole('paragraph').last().click();
  await page.keyboard.press('End');
  await page.getByRole('tab', { name: 'Patterns' }).click();
  await page.getByRole('button', { name: /^Continue/ }).click();
  await page.getByRole('button', { name: 'Write it' }).click();
  const place = page.getByRole('region', { name: /^Not yet taken/ });
  await place.getByRole('button', { name: 'Try again' }).waitFor();
  await place.getByText(/the score would be/).waitFor();
}

/** A talk beside its post, the first words in hand that nobody said. */
async function withTalk(page) {
  await page.getByRole('status', { name: 'Fidelity' }).waitFor();
  await page.getByRole('button', { name: 'Added: the next one' }).click();
}

/** What was made of a post: the letter, or the thread. */
async function madeOf(page, name) {
  const made = page.getByRole('list', { name: 'What was made' });
  await made.getByRole('button', { name }).click();
  await page.getByRole('region', { name: /^(?:Thread|Newsletter)$/ }).waitFor();
}

const VIEWS = [
  {
    file: 'today',
    path: '/today',
    bare: true,
    before: async (page) => {
      await page.getByRole('region', { name: 'What matters most' }).getByText('clicks').first().waitFor();
      await page.getByRole('region', { name: 'Near wins' }).getByText('clicks').first().waitFor();
      await page
        .getByRole('region', { name: /season/i })
        .getByText('searches')
        .first()
        .waitFor();
    },
  },
  { file: 'keywords', path: '/keywords?seed=waterproof+panniers', bare: true, before: aroundASeed },
  { file: 'ideas', path: '/ideas', bare: true, before: withIdeas },
  { file: 'posts', path: '/posts' },
  { file: 'write', path: `/posts/${POST}/write` },
  { file: 'talk', path: '/posts/demo-pre-tour-bike-check/talk', before: withTalk },
  { file: 'study', path: '/posts/demo-waterproof-panniers/study', before: withPage },
  { file: 'outline', path: '/posts/demo-waterproof-panniers/study', before: withProposals },
  { file: 'help', path: '/posts/demo-bike-tour-with-kids/write', before: continuing },
  {
    file: 'link-map',
    path: '/site/links',
    bare: true,
    before: (page) => page.getByRole('button', { name: /^Bike tour packing list/ }).click(),
  },
  { file: 'calendar', path: '/posts/calendar?day=2026-12-01', bare: true, before: inSeason },
  { file: 'audit', path: '/site/audit', bare: true, before: audited },
  {
    file: 'effect',
    path: '/site/performance/page?path=/journal/first-bike-tour',
    bare: true,
    before: (page) => page.getByText('Impressions a week').first().waitFor(),
  },
  { file: 'release', path: '/posts/demo-wild-camping-by-bike/release' },
  { file: 'thread', path: '/posts/demo-bicycle-ferry/reuse', before: (page) => madeOf(page, /^Thread/) },
  { file: 'review', path: `/posts/${POST}/release`, before: withComments },
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
  // A blog as it begins, whatever was sent to the demo's own.
  env: { ...process.env, PORT: String(PORT), DATA_DIR: mkdtempSync(join(tmpdir(), 'pictures-')) },
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
for (const { file, path, bare, before } of VIEWS) {
  if (named.length > 0 && !named.includes(file)) continue;
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
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
