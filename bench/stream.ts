import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type CDPSession, chromium, type Locator, type Page } from '@playwright/test';
import { playEndpoint } from '../src/server/text-service/played-endpoint.test-data.ts';
import { place } from './place.ts';
import { proseOf } from './prose.ts';

const RUNS = 7;
const PIECES = 500;
/** Milliseconds between two pieces, in both cases. */
const PACE = 10;
const PORT = 4790;

/** An answer: ten paragraphs of fifty words each, a word a piece; another with each seed, since an answer that says what one before it said is asked for again. */
function answerOf(seed: number): string {
  const words = proseOf(PIECES + 200, seed)
    .replace(/^#.*$/gm, '')
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, PIECES);
  return Array.from({ length: 10 }, (_, at) => words.slice(at * 50, at * 50 + 50).join(' ')).join('\n\n');
}

/** Starts the application and waits until it answers. */
async function application(folder: string): Promise<ChildProcess> {
  const process_ = spawn('node', ['scripts/run.mjs', '--demo'], {
    cwd: place(''),
    env: { ...process.env, PORT: String(PORT), DATA_DIR: folder },
    stdio: 'ignore',
  });
  for (;;) {
    const isUp = await fetch(`http://127.0.0.1:${PORT}/healthz`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return process_;
    await new Promise((done) => setTimeout(done, 300));
  }
}

/** Seconds that the page's thread has worked until now. */
async function worked(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics');
  return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0;
}

/** A post of 20,000 words in the application, its sheet open, its house asking the played endpoint. */
async function openLongDraft(page: Page, base: string): Promise<void> {
  await page.goto(`http://127.0.0.1:${PORT}/rules`);
  const section = page.getByRole('region', { name: 'Texts that are asked for' });
  await section.getByLabel('Text comes from').selectOption('endpoint');
  await section.getByLabel('Address of the endpoint').fill(base);
  const model = section.getByLabel('Model', { exact: true });
  await model.fill('good');
  await model.blur();
  // Whoever leaves within milliseconds is faster than what is typed is kept: it must be there when the page is read anew.
  for (let look = 0; look < 20; look++) {
    await page.waitForTimeout(300);
    await page.reload();
    await model.waitFor();
    if ((await model.inputValue()) === 'good') break;
    await model.fill('good');
  }
  await page.goto(`http://127.0.0.1:${PORT}/import`);
  await page.getByLabel('Files to import').setInputFiles({
    name: 'long.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from(`---\ntitle: A long draft\n---\n\n${proseOf(20_000, 5)}`),
  });
  await page
    .getByRole('region', { name: 'Account of the import' })
    .getByRole('link', { name: /is a new post/ })
    .click();
  await page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').nth(30).click();
}

interface ProseView {
  state: {
    doc: unknown;
    tr: { insertText(text: string, at: number): unknown };
    constructor: { create(given: object): unknown };
  };
  dispatch(tr: unknown): void;
  destroy(): void;
  constructor: new (place: HTMLElement, given: object) => ProseView;
}

/** The same words put into a plain editor of the same draft, a step for each piece. */
const plainSteps = (page: Page, pieces: readonly string[]): Promise<void> =>
  page.evaluate(
    async ({ words, pace }) => {
      const dom = document.querySelector('[role="textbox"][aria-label="Draft"]') as HTMLElement & {
        editor: { view: ProseView };
      };
      const { view } = dom.editor;
      const place = document.createElement('div');
      place.style.cssText = 'position:fixed;inset:0;overflow:auto;z-index:99;background:white';
      document.body.append(place);
      const plain = new view.constructor(place, {
        state: view.state.constructor.create({ doc: view.state.doc }),
        attributes: { class: 'draft long-draft' },
      });
      await new Promise((done) => setTimeout(done, 500));
      Object.assign(window, { begun: true });
      let at = 1;
      for (const word of words) {
        plain.dispatch(plain.state.tr.insertText(word, at));
        at += word.length;
        await new Promise((done) => setTimeout(done, pace));
      }
      plain.destroy();
      place.remove();
    },
    { words: [...pieces], pace: PACE },
  );

const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Asks for a text as long as the answers are: what is shorter or longer than was asked for is asked for again. */
async function askFor(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Patterns' }).click();
  const all = page.getByRole('button', { name: 'All patterns' });
  if (await all.isVisible()) await all.click();
  await page
    .getByRole('region', { name: 'Patterns' })
    .getByRole('button', { name: /^Continue/ })
    .click();
  await page.getByLabel(/^Length/).fill(String(PIECES));
  await page.getByRole('button', { name: 'Write it' }).click();
  // As it stands beside a writer: the notes go on in the margin.
  await page.getByRole('tab', { name: /Notes/ }).click();
}

/** Waits for something with a look each second: to be told of it at once is to have the page's thread look with every frame. */
async function untilThere(page: Page, wanted: Locator): Promise<void> {
  while (!(await wanted.isVisible())) await page.waitForTimeout(1000);
}

/** Time of the page's thread for 500 pieces that come into a draft of 20,000 words, over 500 steps of a plain editor. */
export async function streamedPieces(): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-stream-'));
  const endpoint = await playEndpoint({ pace: PACE, text: answerOf(0) });
  const running = await application(folder);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    // A busy machine takes its time: what is measured is the work, not the wait.
    page.setDefaultTimeout(120_000);
    await page.addInitScript('window.__name = (named) => named');
    const session = await page.context().newCDPSession(page);
    await session.send('Performance.enable');
    await openLongDraft(page, endpoint.base);
    const place = page.getByRole('region', { name: /^Not yet taken/ });
    const [own, plain]: [number[], number[]] = [[], []];
    for (let run = -1; run < RUNS; run++) {
      endpoint.text = answerOf(run + 2);
      const pieces = endpoint.text.match(/\s*\S+/g) ?? [];
      if (pieces.length !== PIECES) throw new Error(`The text has ${pieces.length} pieces.`);
      const asked = endpoint.asked.length;
      if (run === -1) await askFor(page);
      else await place.getByRole('button', { name: 'Try again' }).click();
      await place.getByText(/on its way · \d+ words/).waitFor();
      let begun = await worked(session);
      await untilThere(page, place.getByRole('button', { name: 'Try again' }));
      if (run >= 0) own.push((await worked(session)) - begun);
      if (endpoint.asked.length !== asked + 1)
        throw new Error(`It was asked ${endpoint.asked.length - asked} times for one text.`);
      // What follows a text (its checks, its score) is done before the next is measured.
      await page.waitForTimeout(1500);
      begun = await worked(session);
      await plainSteps(page, pieces);
      if (run >= 0) plain.push((await worked(session)) - begun);
    }
    return middle(own) / middle(plain);
  } finally {
    await browser.close();
    await endpoint.close();
    running.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}
