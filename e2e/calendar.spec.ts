import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { startServer } from './steps/own-server.ts';
import { newPost, openPost, saved } from './steps/writer.ts';

const dayOf = (page: Page, name: RegExp | string) => page.getByRole('listitem', { name });
const said = (page: Page, text: string | RegExp) => page.getByRole('listitem').filter({ hasText: text });
const undo = (page: Page, text: string | RegExp) =>
  said(page, text).getByRole('button', { name: 'Undo', exact: true }).click();

/** Drags by the mouse, as a hand does it: down, a few steps, up. */
async function drag(page: Page, from: ReturnType<Page['getByRole']>, to: ReturnType<Page['getByRole']>) {
  await to.scrollIntoViewIfNeeded();
  await from.scrollIntoViewIfNeeded();
  const [start, end] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(start.x + start.width / 2, start.y + Math.min(10, start.height / 2));
  await page.mouse.down();
  await page.mouse.move(start.x + start.width / 2 + 12, start.y + 14, { steps: 3 });
  await page.mouse.move(end.x + end.width / 2, end.y + end.height - 8, { steps: 8 });
  // A busy machine sees late where the hand is: let go when the day shows that it is over it.
  await expect(to).toHaveCSS('outline-style', 'solid');
  await page.mouse.up();
}

/** Where something stands when the page around it has come to rest: on a busy machine what comes late moves it. */
async function restingPlaceOf(place: Locator) {
  let before = '';
  await expect(async () => {
    const now = JSON.stringify(await place.boundingBox());
    const isStill = now === before;
    before = now;
    expect(isStill).toBe(true);
  }).toPass({ intervals: [300] });
  return JSON.parse(before) as { x: number; y: number; width: number; height: number };
}

test.beforeEach(async ({ page }) => {
  // The days of the demo: whatever day it is, the month is the same.
  await page.clock.setFixedTime('2026-11-30T10:00:00Z');
});

test('a week is planned by drag and by keys: posts, an idea that becomes one, and each step back', async ({
  page,
}) => {
  await page.goto('/posts');
  await page
    .getByRole('navigation', { name: 'Ways of looking at posts' })
    .getByRole('link', { name: 'Calendar' })
    .click();
  await expect(page.getByRole('heading', { name: 'November 2026' })).toBeVisible();
  await page.getByRole('button', { name: 'Month after' }).click();
  await expect(page.getByRole('heading', { name: 'December 2026' })).toBeVisible();
  expect(await faultsOf(page, 'calendar')).toEqual([]);

  const waiting = page.getByRole('list', { name: 'Posts without a day' });
  const post = waiting.getByRole('listitem').first();
  const title = (await post.getByRole('paragraph').first().innerText()).trim();
  await drag(page, post.getByText(title), dayOf(page, 'Thursday 3 December'));
  await expect(said(page, `“${title}” is planned for 3 Dec.`)).toBeVisible();
  const entry = (name: RegExp | string) =>
    dayOf(page, name).getByRole('button', { name: new RegExp(title.slice(0, 12)) });
  await expect(entry('Thursday 3 December')).toContainText('09:00');

  await entry('Thursday 3 December').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(entry('Friday 4 December')).toBeVisible();
  await entry('Friday 4 December').focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(entry('Friday 11 December')).toBeVisible();
  await entry('Friday 11 December').focus();
  await page.keyboard.press('Enter');
  const panel = page.getByRole('dialog');
  await panel.getByLabel('Day').fill('2026-12-16');
  await panel.getByLabel('Time').fill('14:30');
  await panel.getByRole('button', { name: 'Move' }).click();
  await expect(entry('Wednesday 16 December')).toContainText('14:30');
  await undo(page, `“${title}” stands on 16 Dec now.`);
  await expect(entry('Friday 11 December')).toContainText('09:00');

  // A time that is over is refused, and nothing moves.
  await entry('Friday 11 December').click();
  await page.getByRole('dialog').getByLabel('Day').fill('2026-11-02');
  await page.getByRole('dialog').getByRole('button', { name: 'Move' }).click();
  await expect(said(page, 'That time is over: choose one to come.')).toBeVisible();
  await expect(entry('Friday 11 December')).toBeVisible();

  const ideas = page.getByRole('list', { name: 'Ideas' });
  const idea = ideas.getByRole('listitem').first();
  const words = (await idea.getByRole('paragraph').first().innerText()).trim();
  await drag(page, idea.getByText(words, { exact: true }), dayOf(page, 'Tuesday 8 December'));
  await expect(dayOf(page, 'Tuesday 8 December').getByRole('button')).toContainText(words.slice(0, 20));
  await undo(page, `“${words}” is a post now, planned for 8 Dec.`);
  await expect(dayOf(page, 'Tuesday 8 December').getByRole('button')).toHaveCount(0);
  await expect(ideas.getByText(words, { exact: true })).toBeVisible();

  await page.getByLabel('View').selectOption('Week');
  await expect(page.getByRole('heading', { name: /^Week of/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Week of/ })).toBeVisible();
});

test('what is planned of Reuse stands on its day and is moved; the calendar goes out as a file', async ({
  page,
}) => {
  await page.goto('/posts/demo-bicycle-ferry/reuse');
  await page
    .getByRole('list', { name: 'What was made' })
    .getByRole('button', { name: /^Thread/ })
    .click();
  await page.getByLabel('Next on').fill('2026-12-09');
  // It shows what is kept.
  await expect(page.getByLabel('Next on')).toHaveValue('2026-12-09');
  await page.goto('/posts/calendar?day=2026-12-01');
  const thread = (name: string) =>
    dayOf(page, name).getByRole('button', { name: /^Thread: The bicycle ferry/ });
  await expect(thread('Wednesday 9 December')).toBeVisible();
  await thread('Wednesday 9 December').focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(thread('Tuesday 8 December')).toBeVisible();
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'iCalendar' }).click();
  const file = readFileSync(await (await coming).path(), 'utf8');
  expect(file).toContain('DTSTART;VALUE=DATE:20261208');
  expect(file).toContain('SUMMARY:Thread: The bicycle ferry');
  await page.getByRole('button', { name: /^Thread: The bicycle ferry/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take it off its day' }).click();
  await expect(page.getByRole('button', { name: /^Thread: The bicycle ferry/ })).toHaveCount(0);
});

test('seasons lie behind the days, and gaps are told', async ({ page }) => {
  await page.goto('/posts/calendar?day=2027-03-01');
  const seasons = page.getByRole('note', { name: 'Seasons' });
  await expect(seasons).toContainText(/In season: .*cleaning bike chain \(Feb to May\)/);
  await page.goto('/posts/calendar?day=2026-12-01');
  await expect(seasons).toContainText(/To come: .*cleaning bike chain \(Feb to May, write by 21 Dec\)/);
  await expect(dayOf(page, 'Monday 21 December')).toContainText('write by: cleaning bike chain (Feb)');
  await openPost(page, 'Winter bike storage');
  await page.goto('/posts/calendar?day=2026-12-01');
  const row = page.getByRole('list', { name: 'Posts without a day' }).getByRole('listitem').first();
  await row.getByRole('button', { name: 'Put on a day' }).click();
  await row.getByLabel('Day').fill('2027-01-29');
  await row.getByRole('button', { name: 'Move' }).click();
  await expect(page.getByRole('list', { name: 'Gaps and pile-ups' })).toContainText(
    /Nothing goes out from .* to 28 Jan 2027/,
  );
});

test('a post that is scheduled is handed over anew for the day on which it is dropped', async ({ page }) => {
  const port = Number(process.env['E2E_PORT'] ?? 4317) + 28;
  const server = await startServer(port, ['--demo']);
  try {
    // Far ahead, so that no clock of a server lets it out.
    await page.goto(server.at('/posts/calendar?day=2098-12-01'));
    await page.getByLabel('Select Camping by bike without a site').check();
    await page.getByRole('button', { name: 'Schedule 1 in a row' }).click();
    const dialog = page.getByRole('dialog', { name: 'Schedule posts in a row' });
    await dialog.getByLabel('First day').fill('2098-12-02');
    await dialog.getByRole('button', { name: 'Schedule 1 post' }).click();
    const post = (name: string) => dayOf(page, name).getByRole('button', { name: /^Camping by bike/ });
    await expect(post('Tuesday 2 December')).toHaveAccessibleName(/09:00, scheduled$/);
    await drag(page, post('Tuesday 2 December'), dayOf(page, 'Wednesday 10 December'));
    await expect(post('Wednesday 10 December')).toHaveAccessibleName(/09:00, scheduled$/);
    await post('Wednesday 10 December').focus();
    await page.keyboard.press('Shift+ArrowDown');
    await expect(post('Wednesday 17 December')).toBeVisible();
    // What was moved once more since is not moved by the way back of an earlier step.
    await post('Wednesday 17 December').focus();
    await page.keyboard.press('Shift+ArrowRight');
    await expect(post('Thursday 18 December')).toBeVisible();
    // Several are said at once: the key by which their list is reached lays them open, whatever comes meanwhile.
    await page.keyboard.press('Alt+t');
    await undo(page, 'stands on 17 Dec 2098 now.');
    await expect(said(page, 'It was moved once more since: it stays where it is.')).toBeVisible();
    await expect(post('Thursday 18 December')).toBeVisible();
    await post('Thursday 18 December').click();
    await page.getByRole('dialog').getByRole('link', { name: 'Release' }).click();
    await expect(page.getByRole('region', { name: 'Sending' })).toContainText('for 18 Dec 2098 09:00');
  } finally {
    server.stop();
  }
});

test('what is held over the arrow turns the month, and drops on a day of it', async ({ page }) => {
  await page.goto('/posts/calendar?day=2026-11-30');
  const post = page.getByRole('list', { name: 'Posts without a day' }).getByRole('listitem').first();
  const title = (await post.getByRole('paragraph').first().innerText()).trim();
  const from = await restingPlaceOf(post.getByText(title));
  const arrow = await restingPlaceOf(page.getByRole('button', { name: 'Month after' }));
  await page.mouse.move(from.x + 10, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y + 14, { steps: 3 });
  await page.mouse.move(arrow.x + arrow.width / 2, arrow.y + arrow.height / 2, { steps: 8 });
  // A hand is never quite still.
  await expect(async () => {
    await page.mouse.move(arrow.x + arrow.width / 2 + 1, arrow.y + arrow.height / 2);
    await page.mouse.move(arrow.x + arrow.width / 2, arrow.y + arrow.height / 2);
    await expect(page.getByRole('heading', { name: 'November 2026' })).toHaveCount(0, { timeout: 1500 });
  }).toPass();
  // Off the arrow at once: whoever stays turns on, and a busy machine may have turned twice.
  await page.mouse.move(from.x + 30, from.y + 14, { steps: 2 });
  const shown = page.getByRole('heading', { name: /^(?:December 2026|January 2027|February 2027)$/ });
  const month = (await shown.innerText()).split(' ')[0];
  const to = dayOf(page, new RegExp(`day 3 ${month}`));
  const day = (await to.boundingBox())!;
  await page.mouse.move(day.x + day.width / 2, day.y + day.height - 8, { steps: 8 });
  await expect(to).toHaveCSS('outline-style', 'solid');
  await page.mouse.up();
  await expect(said(page, `“${title}” is planned for 3 ${month.slice(0, 3)}`)).toBeVisible();
});

test('several posts that are not ready get their days at once, and nothing of them is sent', async ({
  page,
}) => {
  for (const title of ['Half a post', 'Half of another']) {
    await newPost(page);
    await page.getByLabel('Title', { exact: true }).fill(title);
    await saved(page);
  }
  await page.goto('/posts/calendar?day=2026-12-01');
  await page.getByLabel('Select Half a post').check();
  await page.getByLabel('Select Half of another').check();
  await page.getByRole('button', { name: 'Schedule 2 in a row' }).click();
  const dialog = page.getByRole('dialog', { name: 'Schedule posts in a row' });
  await expect(dialog.getByRole('list', { name: 'Left out' })).toContainText(
    'Half a post stays out: it needs a slug.',
  );
  await dialog.getByLabel('First day').fill('2026-12-14');
  await dialog.getByLabel('Days for those that are not ready, too').check();
  const plan = dialog.getByRole('list', { name: 'The plan' }).getByRole('listitem');
  await expect(plan.filter({ hasText: 'Planned, not sent: Monday' })).toHaveCount(1);
  await expect(plan.filter({ hasText: 'Planned, not sent: Tuesday' })).toHaveCount(1);
  expect(await faultsOf(page, 'plan several posts')).toEqual([]);
  await dialog.getByRole('button', { name: 'Plan 2 posts' }).click();
  await expect(said(page, '2 posts planned, and not sent.')).toBeVisible();
  const on = (day: string) => dayOf(page, day).getByRole('button', { name: /^Half/ });
  await expect(on('Monday 14 December')).toBeVisible();
  await expect(on('Tuesday 15 December')).toBeVisible();
  await undo(page, '2 posts planned, and not sent.');
  await expect(page.getByRole('list', { name: 'Posts without a day' })).toContainText('Half of another');
  await expect(on('Monday 14 December')).toHaveCount(0);
});
