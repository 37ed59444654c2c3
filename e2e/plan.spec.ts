import { expect, type Locator, type Page, test } from '@playwright/test';
import { caretAtEndOf, downloaded, goTo, openPost, saved, scoreOf } from './steps/writer.ts';

const outline = (page: Page): Locator => page.getByRole('list', { name: 'Outline' });
const headings = (page: Page): Locator => outline(page).getByRole('textbox', { name: /^Heading/ });
const texts = async (page: Page): Promise<string[]> =>
  headings(page).evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
const side = (page: Page, name: string | RegExp): Promise<void> =>
  page.getByRole('tablist', { name: 'Beside the outline' }).getByRole('tab', { name }).click();

/** A new post about panniers with its study, two pages left out. */
async function studied(page: Page): Promise<void> {
  await page.goto('/posts');
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Target');
  await page.getByLabel('Primary keyword', { exact: true }).fill('waterproof panniers');
  await page.getByLabel('Main points').fill('We mend every pannier ourselves');
  await page.getByLabel('Main points').press('Enter');
  await goTo(page, 'Study');
  await page.getByRole('button', { name: /^Study the results for/ }).click();
  const table = page.getByRole('table', { name: 'Pages studied' });
  await expect(table).toBeVisible();
  for (const name of ['Hard or soft? Waterproof panniers for your motorcycle', 'Waterproof panniers'])
    await table.getByRole('checkbox', { name: `Take in ${name}`, exact: true }).click();
  await expect(page.getByRole('tab', { name: /^Pages/ })).toHaveText('Pages 18');
}

test('from the study to an outline: proposed, combined, gaps merged, questions at the end, into the draft and in order', async ({
  page,
}) => {
  await studied(page);
  await goTo(page, 'Outline');
  await side(page, 'Proposals');
  await page.getByRole('button', { name: 'Propose outlines' }).click();
  const proposals = page.getByRole('region', { name: /^Proposal \d/ });
  await expect(proposals).toHaveCount(3);
  const names = await proposals.evaluateAll((all) => all.map((each) => each.getAttribute('aria-label')));
  expect(new Set(names.map((name) => name?.replace(/^Proposal \d: /, ''))).size).toBe(3);
  for (const proposal of await proposals.all())
    await expect(proposal).toContainText('We mend every pannier ourselves');
  await expect(proposals.first()).toContainText(/on \d+ pages/);

  // One is taken, single branches of another are combined with it, doubles are not.
  await proposals.first().getByRole('button', { name: 'Take this one' }).click();
  await expect(headings(page).first()).toBeVisible();
  const first = await texts(page);
  await proposals.nth(1).getByRole('checkbox').first().check();
  await proposals
    .nth(1)
    .getByRole('checkbox', { name: /We mend every pannier ourselves/ })
    .check();
  await page.getByRole('button', { name: /^Combine/ }).click();
  const combined = await texts(page);
  expect(combined.filter((text) => text.includes('We mend every pannier')).length).toBe(1);
  expect(combined.length).toBeLessThanOrEqual(first.length + 2);
  // What a heading stands on stays with it as a note; the one that opens with the phrase says what it is for.
  await expect(page.getByRole('textbox', { name: /^Note on/ }).first()).toHaveValue(/\S/);
  await expect(page.getByRole('textbox', { name: /^Note on/ }).nth(1)).toHaveValue(
    /your main point|From the study/,
  );

  // Another never repeats; all of them stay, searchable.
  await page.getByRole('button', { name: 'Another' }).click();
  await expect(proposals).toHaveCount(4);
  const history = page.getByRole('region', { name: 'Proposals so far' });
  await expect(history.getByRole('listitem')).toHaveCount(4);
  await history.getByRole('searchbox').fill('no such word');
  await expect(history).toContainText('None holds these words.');
  await history.getByRole('searchbox').fill('');

  // Gaps: what is taken out is missing again; merged at once, with the way back.
  await expect(headings(page)).not.toHaveCount(0);
  for (const heading of ['Size', 'Money', 'Hooks and rail']) {
    const at = (await texts(page)).indexOf(heading);
    if (at >= 0) await outline(page).getByRole('button', { name: 'Take out' }).nth(at).click();
  }
  await side(page, /^Gaps/);
  const gaps = page.getByRole('region', { name: 'Gaps' });
  const merge = gaps.getByRole('button', { name: /^Merge \d/ });
  await expect(gaps.getByRole('checkbox').first()).toBeVisible();
  for (const box of (await gaps.getByRole('checkbox').all()).slice(0, 3)) await box.setChecked(true);
  await expect(merge).toBeEnabled();
  const before = (await texts(page)).length;
  const wanted = Number(/\d+/.exec(await merge.innerText())?.[0]);
  await merge.click();
  await expect(headings(page)).toHaveCount(before + wanted);
  await page
    .getByRole('listitem')
    .filter({ hasText: /gaps? placed/ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(headings(page)).toHaveCount(before);
  await merge.click();
  await expect(headings(page)).toHaveCount(before + wanted);

  // Something of the tray by a key; it keeps where it comes from.
  await side(page, 'To pull in');
  await page.getByRole('button', { name: /^Questions \d/ }).click();
  await page.getByRole('searchbox', { name: 'Search what can be pulled in' }).fill('rucksack');
  await headings(page).first().focus();
  await page
    .getByRole('button', { name: /^Place Can you use waterproof panniers as a rucksack/ })
    .press('Enter');
  expect((await texts(page)).slice(0, 4).join('\n')).toMatch(/rucksack/);

  // Questions at the end; the words are shared out; checks stand beside.
  await side(page, /^Gaps/);
  const open = page.getByRole('region', { name: 'Questions for the end' });
  await open.getByRole('checkbox').nth(0).check();
  await open.getByRole('checkbox').nth(1).check();
  await open.getByRole('button', { name: 'Put 2 questions at the end as an FAQ' }).click();
  await expect.poll(async () => (await texts(page)).at(-3)).toBe('Frequently asked questions');
  await expect(page.getByText(/words planned, \d+ of them to open with/)).toBeVisible();
  await side(page, /^Checks/);

  // Into the draft: headings that wait count as nothing and do not go out.
  await page.getByRole('button', { name: 'Put into the draft' }).click();
  await goTo(page, 'Write');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading').first()).toBeVisible();
  await expect(page.getByText(/Draft · 0 words/)).toBeVisible();
  await caretAtEndOf(page, draft.getByRole('heading', { name: /We mend every pannier ourselves/ }));
  await page.keyboard.press('Enter');
  await page.keyboard.type('Every winter we patch some forty bags on the long table.');
  await saved(page);
  await goTo(page, 'Release');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Markdown' }).click());
  expect(text.match(/^## .*$/gm)).toHaveLength(1);
  expect(text).toContain('Every winter we patch some forty bags');

  // Another order of the plan moves the sections on request, and loses no word.
  await goTo(page, 'Outline');
  await expect(headings(page).first()).toBeVisible();
  const mended = headings(page).nth(
    (await texts(page)).findIndex((heading) => heading.includes('We mend every')),
  );
  await mended.focus();
  await page.keyboard.press('Alt+ArrowDown');
  await page.getByRole('button', { name: 'Put them in this order' }).click();
  await expect(page.getByText('No word was changed.')).toBeVisible();
  await goTo(page, 'Write');
  await expect(draft).toContainText('Every winter we patch some forty bags on the long table.');
});

test('a tray item is dragged between two headings', async ({ page }) => {
  await studied(page);
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Add a heading' }).first().click();
  await page.keyboard.type('First');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Second');
  await side(page, 'To pull in');
  const handle = page.getByRole('button', { name: /^Drag Size$/ });
  await expect(handle).toBeVisible();
  const [from, to] = [(await handle.boundingBox())!, (await headings(page).first().boundingBox())!];
  await page.mouse.move(from.x + 5, from.y + 5);
  await page.mouse.down();
  await page.mouse.move(from.x - 100, from.y + 10, { steps: 5 });
  await page.mouse.move(to.x + 60, to.y + 10, { steps: 10 });
  await page.mouse.up();
  await expect.poll(() => texts(page)).toEqual(['First', 'Size', 'Second']);
});

test('a brief is edited in place, handed over in every form, and what comes back is marked until it is edited', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await studied(page);
  await page.getByRole('tab', { name: /^Figures/ }).click();
  await page.getByRole('checkbox', { name: /^In the brief: In 2024 we hung/ }).click();
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  const brief = page.getByRole('article', { name: 'Brief to read' });
  await expect(brief).toContainText('We mend every pannier ourselves');
  await expect(brief).toContainText('In 2024 we hung 6,212 bags, and 74 dripped. (Oxter');
  await page.getByLabel('Goal', { exact: true }).fill('Lead to a booking');
  await page.getByLabel('Notes', { exact: true }).fill('Photos follow on Friday.');
  await page.getByLabel('Page to link to').fill('/rent-a-touring-bike');
  await page.keyboard.press('Enter');
  await expect(brief).toContainText('Lead to a booking');
  await expect(brief).toContainText('Photos follow on Friday.');
  await expect(brief).toContainText('/rent-a-touring-bike');
  await page.getByRole('checkbox', { name: 'Notes goes in' }).click();
  await expect(brief).not.toContainText('Photos follow on Friday.');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'Markdown' }).click());
  expect(text).toContain('## Terms');
  expect(text).not.toContain('Photos follow');
  const { name } = await downloaded(page, () => page.getByRole('button', { name: '.docx' }).click());
  expect(name).toBe('brief-waterproof-panniers.docx');
  await page.getByRole('button', { name: 'Copy as instructions' }).click();
  await expect(page.getByText('The brief is copied as instructions.')).toBeVisible();
  const instructions = await page.evaluate(() => navigator.clipboard.readText());
  expect(instructions).toContain('These points must not be missing:\n- We mend every pannier ourselves');
  expect(instructions).toMatch(/waterproof panniers: \d+(?: to \d+)? times/);

  await page
    .getByLabel('Text that came back')
    .fill(
      '# Panniers that stay dry\n\n## Which size\n\nTwo bags of twenty litres carry a weekend, and 80 % of riders need no more. They hang low on the rack, close to the wheel, and leave the bar free for the map, the bell and the light. Whoever rides with a tent takes two more at the front.\n\nRoll them three times before you set off.',
    );
  await page.getByRole('button', { name: 'Put in place of the draft' }).first().click();
  await expect(page.getByText(/blocks put into the post/)).toBeVisible();
  const history = page.getByRole('region', { name: 'Texts that came back' });
  await history.getByRole('button', { name: /Panniers that stay dry|Which size/ }).click();
  await expect(history).toContainText('Roll them three times');
  await history.getByText('Made from').click();
  await expect(history).toContainText('These points must not be missing');

  await goTo(page, 'Write');
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue(
    'Panniers that stay dry',
  );
  await expect(page.getByText(/^2 paragraphs stand as they were generated or came back/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Notes' })).toContainText('1 figure has no source');
  await page.getByRole('textbox', { name: 'Draft' }).getByText('Roll them three times').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' Always.');
  await expect(page.getByText(/^1 paragraph stands as it was generated or came back/)).toBeVisible();
});

test('a post without a study plans all the same', async ({ page }) => {
  await openPost(page, /Tide table/);
  await expect(scoreOf(page)).toHaveText(/\d/);
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Read headings from the draft' }).click();
  await expect(headings(page).first()).toBeVisible();
  await expect(page.getByText('No pages were studied yet.')).toBeVisible();
  await side(page, 'Proposals');
  await page.getByRole('button', { name: 'Propose outlines' }).click();
  await expect(page.getByText(/There is nothing to build on yet|Proposal/).first()).toBeVisible();
});
