import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import {
  downloaded,
  exactScore,
  goTo,
  openPost,
  openPosts,
  paste,
  saved,
  scoreOf,
  toPosts,
} from './steps/writer.ts';

const MESSY = `<html><body><b style="font-weight:normal" id="docs"><h1><span style="font-size:20pt">Storing a bike over winter</span></h1>
<p style="margin:0"><span style="color:#000">Winter bike storage starts with a dry corner and a rag. Here is how we do it for the bikes we rent out, and what we tell people who live on the third floor.</span></p>
<p>&nbsp;</p><p><o:p></o:p></p>
<p><b>Where the bike should stand</b></p>
<p>A cellar is good and a balcony is bad. See <a href="/journal/waterproof-panniers">here</a> for the bags. The rest of the year the bike hangs on two hooks.</p>
<h4>Small things</h4>
<ul><li>Lights come off</li><li>Batteries come in</li></ul>
<p>About 40% of flat batteries were left outside until spring.</p></b></body></html>`;

interface Line {
  id: string;
  points: number;
}
type Report = { file: string; score: number; criteria: Line[] };

/** Presses a note's fix and answers the score it promised and the one that came. */
async function mend(page: Page, note: RegExp, fix: RegExp): Promise<{ promised: number; came: number }> {
  const item = page.getByRole('region', { name: 'Notes' }).getByRole('listitem', { name: note });
  const button = item.getByRole('button', { name: fix });
  // What was changed before has been written and judged by then.
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  const before = await exactScore(page);
  const promise = (await button.locator('..').innerText()).match(/([\d.]+) → ([\d.]+)/);
  expect(promise, 'a fix says what the score becomes').not.toBeNull();
  const [, from, to] = promise!;
  expect(Math.abs(Number(from) - before)).toBeLessThan(0.4);
  await button.click();
  await expect.poll(() => exactTenth(page)).toBeCloseTo(Number(to), 1);
  return { promised: Number(to) - Number(from), came: (await exactTenth(page)) - Number(from) };
}

/** The score with its one decimal, as Release shows it; on Write it stands in the notes' fixes and the corner. */
async function exactTenth(page: Page): Promise<number> {
  return Number(await scoreOf(page).getAttribute('data-score'));
}

const STUDIED = 'Packing for a tour with children';

test('from a target keyword to a scored post, and out to the command line', async ({ page }, info) => {
  await openPost(page, 'Winter bike storage');

  await test.step('set the keyword', async () => {
    await goTo(page, 'Target');
    await page.getByLabel('Primary keyword').fill('winter bike storage');
    await page.getByLabel('Supporting keywords').focus();
    await paste(page, '', 'dry cellar, bike hook\nbattery');
    await expect(page.getByRole('button', { name: 'Remove bike hook' })).toBeVisible();
    await goTo(page, 'Write');
  });

  await test.step('paste a messy document', async () => {
    const draft = page.getByRole('textbox', { name: 'Draft' });
    await draft.click();
    await page.keyboard.press('Control+a');
    await paste(page, MESSY);
    await expect(
      page.getByText('Cleaned: 1 level 1 heading made level 2, 1 bold line made a heading and'),
    ).toBeVisible();
    await page.getByRole('button', { name: '3 more' }).click();
    for (const told of ['4 inline styles', '3 stray spans', '2 empty paragraphs'])
      await expect(page.getByText(told, { exact: true })).toBeVisible();
    await expect(draft.getByRole('heading', { level: 2, name: 'Storing a bike over winter' })).toBeVisible();
    await expect(draft.getByRole('heading', { level: 3, name: 'Where the bike should stand' })).toBeVisible();
    await expect(draft).toContainText('Batteries come in');
  });

  await test.step('mend three notes; each gains what it said', async () => {
    for (const [note, fix] of [
      [/Meta description width/, /Take the opening sentences/],
      [/Words of links/, /Name the page that it leads to/],
      [/Figures with a source/, /It is our own count/],
    ] as const) {
      const { promised, came } = await mend(page, note, fix);
      expect(promised).toBeGreaterThan(0);
      expect(Math.abs(promised - came)).toBeLessThanOrEqual(0.1);
    }
    await expect(page.getByText(/last change:/)).toBeVisible();
  });

  const words = await page.getByRole('textbox', { name: 'Draft' }).innerText();
  const score = await exactTenth(page);
  await saved(page);

  await test.step('reload, find everything', async () => {
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Draft' })).toHaveText(words, { useInnerText: true });
    await expect(page.getByRole('textbox', { name: 'Meta description' })).toHaveValue(
      /^Winter bike storage starts/,
    );
    await expect.poll(() => exactTenth(page)).toBeCloseTo(score, 1);
    await goTo(page, 'Target');
    await expect(page.getByRole('button', { name: 'Remove battery', exact: true })).toBeVisible();
  });

  const folder = info.outputPath('posts');
  await test.step('export all posts', async () => {
    await openPosts(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export all' }).click(),
    ]);
    for (const [name, bytes] of Object.entries(unzipSync(readFileSync(await file.path())))) {
      mkdirSync(dirname(join(folder, name)), { recursive: true });
      writeFileSync(join(folder, name), bytes);
    }
  });

  await test.step("score that folder: every criterion's points are the screen's", async () => {
    const reports = JSON.parse(
      execFileSync('bin/dune-sparrow', ['score', folder, '--json'], { encoding: 'utf8', maxBuffer: 1 << 28 }),
    ) as Report[];
    const byName = new Map(reports.map((report) => [report.file.slice(folder.length + 1), report]));
    const titles = await page
      .getByRole('table', { name: 'Posts' })
      .getByRole('row')
      .getByRole('link')
      .allInnerTexts();
    expect(reports.length).toBe(titles.length);
    expect(titles.length).toBeGreaterThanOrEqual(12);
    for (const title of titles) {
      // It goes by a study, which a folder does not carry.
      if (title === STUDIED) continue;
      await page
        .getByRole('table', { name: 'Posts' })
        .getByRole('link', { name: title, exact: true })
        .click();
      await goTo(page, 'Release');
      const { text, name } = await downloaded(page, () =>
        page.getByRole('button', { name: 'Score report' }).click(),
      );
      const screen = JSON.parse(text) as Report;
      const printed = byName.get(name.replace('.score.json', '.md'));
      expect(printed, title).toBeDefined();
      for (const [at, line] of screen.criteria.entries()) {
        expect(
          Math.abs(printed!.criteria[at].points - line.points),
          `${title}: ${line.id}`,
        ).toBeLessThanOrEqual(1e-9);
      }
      // The ledger on the screen is the worker's; it shows the same points.
      const ledger = page.getByRole('region', { name: 'Ledger' });
      const shown = await ledger
        .locator('[data-points]')
        .evaluateAll((cells) => cells.map((cell) => Number(cell.getAttribute('data-points'))));
      expect(shown.length).toBe(screen.criteria.length);
      for (const [at, line] of screen.criteria.entries()) {
        expect(Math.abs(shown[at] - line.points), `${title}: ${line.id}`).toBeLessThanOrEqual(1e-9);
      }
      await toPosts(page);
    }
  });
});
