import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './steps/accessibility.ts';
import { file } from './steps/files.ts';
import { caretAtEndOf, goTo, newPost, paste, saved } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const FIRST = 'The ferry leaves when the water lets it, and the timetable at the slip is a wish.';
const SECOND = 'Ring the pilot the evening before; he knows the bar and tells you the hour.';

test('a post goes to a reviewer as a file; comments and other words come back, though the text has changed', async ({
  page,
  context,
}) => {
  await newPost(page);
  await page.getByLabel('Title', { exact: true }).fill('The ferry that waits');
  await draft(page).click();
  await paste(page, `<p>${FIRST}</p><h2>On the boat</h2><p>${SECOND}</p><p>Bring bread.</p>`);
  await saved(page);
  await goTo(page, 'Release');
  const eyes = page.getByRole('region', { name: 'Another pair of eyes' });
  await eyes.getByLabel('With the notes of the score').check();
  const [given] = await Promise.all([
    page.waitForEvent('download'),
    eyes.getByRole('button', { name: 'For review' }).click(),
  ]);
  expect(given.suggestedFilename()).toBe('for-review-the-ferry-that-waits.html');
  await expect(page.getByLabel('Status')).toHaveValue('in-review');

  // The reviewer has the file and a browser, and no network.
  const reviewer = await context.newPage();
  const asked: string[] = [];
  reviewer.on('request', (request) => asked.push(request.url()));
  const path = `${await given.path()}.html`;
  await given.saveAs(path);
  await reviewer.goto(`file://${path}`);
  const article = reviewer.getByRole('article');
  await expect(article).toContainText(FIRST);
  await expect(reviewer.getByText(/\d+ notes of the score/)).toBeVisible();
  expect(await faultsOf(reviewer, 'the review file')).toEqual([]);
  const comment = async (words: string, other = '') => {
    await reviewer.getByRole('button', { name: /^Comment on the selected words/ }).click();
    await reviewer.getByLabel('Your comment', { exact: true }).fill(words);
    if (other) await reviewer.getByLabel(/^Other words/).fill(other);
    await reviewer.getByRole('button', { name: 'Keep the comment' }).click();
  };
  await article.getByText(FIRST).selectText();
  await comment('Says who? Name the harbour office.');
  await article.getByRole('heading', { name: 'On the boat' }).selectText();
  await comment('', 'Aboard');
  await article.getByText('Bring bread.').selectText();
  await comment('And water.');
  await reviewer.getByLabel('Your name').fill('Tobias Wren');
  await reviewer.getByLabel('It needs changes first').check();
  const [answer] = await Promise.all([
    reviewer.waitForEvent('download'),
    reviewer.getByRole('button', { name: 'Save the answer' }).click(),
  ]);
  const answered = readFileSync(await answer.path());
  const annotations = JSON.parse(answered.toString()) as {
    type: string;
    items: { target: { selector?: { type: string }[] } }[];
  };
  expect(annotations.type).toBe('AnnotationPage');
  expect(annotations.items[0].target.selector?.map(({ type }) => type)).toEqual([
    'TextQuoteSelector',
    'TextPositionSelector',
  ]);
  expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('blob:'))).toEqual([]);

  // A page that is not in front is drawn once a second.
  await page.bringToFront();
  // Meanwhile the writer goes on: words before, words within, and one that is gone.
  await goTo(page, 'Write');
  await caretAtEndOf(page, draft(page).getByText('Bring bread.'));
  await page.keyboard.press('Shift+Home');
  await page.keyboard.type('Eat at home');
  await caretAtEndOf(page, draft(page).getByText(/^The ferry leaves/));
  await page.keyboard.type(' We have missed it twice.');
  await draft(page)
    .getByText(/^The ferry leaves/)
    .click({ position: { x: 2, y: 8 } });
  await page.keyboard.press('Home');
  await page.keyboard.type('Listen: ');
  await saved(page);
  await goTo(page, 'Release');
  await eyes.getByLabel('Answer of a reviewer').setInputFiles(file('answer.json', answered));
  await expect(eyes).toContainText('Changes asked by Tobias Wren');
  await expect(page.getByRole('region', { name: 'Must be mended' })).toContainText(
    '3 comments of the reviewer are open.',
  );
  await eyes.getByRole('link', { name: '3 open comments' }).click();
  const lens = page.getByRole('region', { name: 'Review' });
  await expect(lens.getByRole('region', { name: 'Whose words are gone' })).toContainText('And water.');
  await lens.getByRole('button', { name: /^Says who\?/ }).click();
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe(FIRST);

  // Other words are taken with one press, and with one taken back.
  await lens.getByRole('button', { name: 'Take these words' }).click();
  await expect(draft(page).getByRole('heading', { name: 'Aboard' })).toBeVisible();
  await page
    .getByRole('region', { name: /^Notifications/ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(draft(page).getByRole('heading', { name: 'On the boat' })).toBeVisible();
  await expect(lens.getByRole('button', { name: 'Take these words' })).toBeVisible();

  const first = lens
    .getByRole('listitem', { name: 'Comment of Tobias Wren' })
    .filter({ hasText: 'Says who?' });
  await first.getByRole('button', { name: 'Reply' }).click();
  await first.getByLabel('Your reply').fill('The harbour office said so');
  await page.keyboard.press('Enter');
  await expect(first).toContainText('The harbour office said so');
  await first.getByRole('button', { name: 'Done' }).click();
  await expect(first).toHaveCount(0);
  await lens.getByLabel('Done too').check();
  await first.getByRole('button', { name: 'Open it again' }).click();
  await expect(first.getByRole('button', { name: 'Done' })).toBeVisible();
  expect(await faultsOf(page, 'the margin with comments')).toEqual([]);
});

test('a file that is no answer is refused in a sentence', async ({ page }) => {
  await newPost(page);
  await goTo(page, 'Release');
  const eyes = page.getByRole('region', { name: 'Another pair of eyes' });
  await eyes
    .getByLabel('Answer of a reviewer')
    .setInputFiles(file('holiday.json', '{"type":"FeatureCollection"}'));
  await expect(eyes.getByRole('alert')).toHaveText(
    'holiday.json is no answer of a reviewer: it holds no annotations.',
  );
});
