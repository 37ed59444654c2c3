import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import {
  PLAYED_KEY,
  type PlayedEndpoint,
  playEndpoint,
} from '../src/server/text-service/played-endpoint.test-data.ts';
import { faultsOf } from './steps/accessibility.ts';
import { savedBackup } from './steps/backups.ts';
import { file } from './steps/files.ts';
import { chooseEndpoint, chooseModel, come, notTaken, openPattern } from './steps/texts.ts';
import {
  caretAtEndOf,
  downloaded,
  goTo,
  newPost,
  openPost,
  saved,
  scoreOf,
  toPosts,
} from './steps/writer.ts';

const endpoints: PlayedEndpoint[] = [];
test.afterAll(async () => {
  for (const endpoint of endpoints) await endpoint.close();
});
const played = async (options: Parameters<typeof playEndpoint>[0] = {}) => {
  const endpoint = await playEndpoint(options);
  endpoints.push(endpoint);
  return endpoint;
};

test('the guided start leads from a keyword to a draft with its target, outline and history', async ({
  page,
}) => {
  await page.goto('/posts');
  await page.getByRole('button', { name: 'Guided start' }).click();
  await expect(page.getByRole('heading', { name: 'What it is about' })).toBeVisible();
  await page.getByLabel('Primary keyword').fill('bicycle tide tables');
  const points = page.getByLabel('Main points');
  for (const point of ['The two columns', 'When to turn back', 'What the wind does']) {
    await points.fill(point);
    await points.press('Enter');
  }
  await page.getByRole('button', { name: 'On to: title' }).click();
  await page.getByRole('button', { name: 'Suggest five titles' }).click();
  const titles = page.getByRole('region', { name: 'Suggested titles' });
  await expect(titles.getByText('made without a model')).toBeVisible();
  const first = titles.getByRole('textbox').first();
  await first.fill('Tide tables for riders');
  await titles.getByRole('button', { name: 'Take it' }).first().click();
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue(
    'Tide tables for riders',
  );
  await page.getByRole('button', { name: 'On to: outline' }).click();
  await page.getByRole('button', { name: 'Propose an outline' }).click();
  const outline = page.getByLabel('Outline as text');
  await expect(outline).toHaveValue(/## .*two columns/i);
  // The writer's own heading beside those that were proposed.
  await outline.fill(`${await outline.inputValue()}\n## The ferry\n> It waits for nobody.`);
  await page.getByRole('button', { name: 'Take this outline' }).click();
  await expect(page.getByText(/The outline has \d+ headings now/)).toBeVisible();
  await page.getByRole('button', { name: 'On to: introduction' }).click();
  await page.getByRole('button', { name: 'Write an introduction' }).click();
  const opening = page.getByRole('textbox', { name: 'Introduction' });
  await expect(opening).toHaveValue(/bicycle tide tables/);
  await page.getByRole('button', { name: 'Put it at the beginning of the post' }).click();
  await page.getByRole('button', { name: 'On to: the text' }).click();
  await page.getByRole('button', { name: /^Write \d+ sections/ }).click();
  const text = page.getByRole('region', { name: 'The text as it comes' });
  await expect(text.getByText('made without a model')).toBeVisible();
  await expect(text.getByText('Planned: It waits for nobody.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it into the post' }).click();
  await page.getByRole('button', { name: 'Go on in Write' }).click();
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading', { name: 'The ferry' })).toBeVisible();
  await expect(draft.getByText(/about one thing: bicycle tide tables/)).toBeVisible();
  await expect(page.getByText(/paragraphs? stands? as (?:it was|they were) generated/)).toBeVisible();
  await saved(page);
  await goTo(page, 'Target');
  await expect(page.getByLabel('Primary keyword')).toHaveValue('bicycle tide tables');
  // All of it is in the history, with what became of it.
  await page.goto('/history');
  const texts = page.getByRole('list', { name: 'Texts' });
  await page.getByLabel('Post', { exact: true }).selectOption({ label: 'Tide tables for riders' });
  await expect(texts.getByText('Section').first()).toBeVisible();
  await expect(texts.getByText('Proposed outline')).toBeVisible();
  await expect(texts.getByText('taken', { exact: true }).first()).toBeVisible();
});

test('a text comes in view, is stopped, is taken sentence by sentence, and each undo takes one step back', async ({
  page,
}) => {
  const endpoint = await played({ pace: 40 });
  await chooseEndpoint(page, endpoint.base, 'good', PLAYED_KEY);
  await newPost(page);
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await draft.click();
  await page.keyboard.type('We hand out a list before every tour.');
  await page.keyboard.press('Control+Alt+Enter');
  const place = notTaken(page);
  await expect(place.getByText(/on its way/)).toBeVisible();
  await expect(place.getByText('Begin with the list')).toBeVisible();
  await place.getByRole('button', { name: 'Stop' }).click();
  await expect(place.getByText(/made by played-1 · stopped|stopped/)).toBeVisible();
  // What came is no part of the text.
  await expect(draft.getByRole('paragraph').filter({ hasText: 'Begin with' })).toHaveCount(0);
  await place.getByRole('button', { name: 'Try again' }).click();
  await expect(place.getByText('2 of 2')).toBeVisible();
  await expect(place.getByRole('button', { name: 'Take it', exact: true })).toBeEnabled();
  await expect(place.getByText(/the score would be/)).toBeVisible();
  await place.getByRole('button', { name: 'The one before' }).click();
  await expect(place.getByText('1 of 2')).toBeVisible();
  await place.getByRole('button', { name: 'The one after' }).click();
  await place.getByRole('button', { name: 'Begin with the list and not with the bags.' }).click();
  const taken = page.getByText('Begin with the list and not with the bags.', { exact: true });
  await expect(place.getByText('1 piece taken')).toBeVisible();
  await place.getByRole('button', { name: 'Lay out everything that you mean to take.' }).click();
  await expect(place.getByText('2 pieces taken')).toBeVisible();
  await expect(
    draft.getByRole('paragraph').filter({
      hasText: /^Begin with the list and not with the bags\. Lay out everything that you mean to take\.$/,
    }),
  ).toBeVisible();
  await saved(page);
  // One step for each sentence.
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(place.getByText('1 piece taken')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(place.getByText(/pieces? taken/)).toHaveCount(0);
  await expect(draft.getByText('We hand out a list before every tour.')).toBeVisible();
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(place.getByText('1 piece taken')).toBeVisible();
  await place.getByRole('button', { name: 'Take the rest' }).click();
  await expect(place).toHaveCount(0);
  await expect(draft.getByText('Then take a third of it away again.')).toBeVisible();
  expect(endpoint.brokenOff).toBeGreaterThan(0);
  await expect(taken.first()).toBeVisible();
});

test('a long text goes on along the outline by itself, is stopped and asked again, and takes the headings along that wait', async ({
  page,
}) => {
  // Slow enough that each part is seen, however seldom the page is looked at.
  const endpoint = await played({ pace: 60 });
  await chooseEndpoint(page, endpoint.base, 'good');
  await newPost(page);
  await goTo(page, 'Outline');
  await page.getByRole('button', { name: 'Add a heading' }).first().click();
  for (const heading of ['The ferry', 'The dyke', 'The way home']) {
    await page.keyboard.type(heading);
    if (heading !== 'The way home') await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Put into the draft' }).click();
  await goTo(page, 'Write');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading')).toHaveCount(3);
  await caretAtEndOf(page, draft.getByRole('heading', { name: 'The ferry' }));
  await page.keyboard.press('Enter');
  await page.keyboard.type('We ride with the tide.');
  await openPattern(page, 'Continue');
  await page.getByLabel(/^Length/).fill('900');
  await page.getByRole('button', { name: 'Write it' }).click();
  const place = notTaken(page);
  await expect(place.getByText(/2 of 3: The dyke/)).toBeVisible();
  // A paragraph is taken while the rest is coming, and another one later.
  await place.getByRole('button', { name: 'Take this paragraph' }).first().click();
  await expect(place.getByText(/3 of 3: The way home/)).toBeVisible();
  await place.getByRole('button', { name: 'Stop' }).click();
  await expect(place.getByText(/stopped/)).toBeVisible();
  await place.getByRole('button', { name: 'Take this paragraph' }).first().click();
  await expect(place.getByText('2 pieces taken')).toBeVisible();
  await expect(page.getByText('2 paragraphs stand as they were generated')).toBeVisible();
  endpoint.pace = 5;
  await place.getByRole('button', { name: 'Try again' }).click();
  await come(page);
  await place.getByRole('button', { name: 'Take it', exact: true }).click();
  // Each heading stands once, where its text is; nothing waits any more.
  await expect(draft.getByRole('heading')).toHaveText(['The ferry', 'The dyke', 'The way home']);
  await expect(draft.getByText('Begin with the list and not with the bags.')).toHaveCount(4);
  expect(endpoint.asked.length).toBeGreaterThanOrEqual(6);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(draft.getByText('Begin with the list and not with the bags.')).toHaveCount(1);
  await expect(draft.getByRole('heading')).toHaveCount(3);
});

test('a passage is asked about and exchanged; what was generated stays marked until it is read', async ({
  page,
}) => {
  const text = 'Nine of 48 riders fell in 2031. Tom Hollis of Brackwater says so.';
  const endpoint = await played({ text });
  await chooseEndpoint(page, endpoint.base, 'good');
  await openPost(page, 'Packing for a tour with children');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  const last = draft.getByRole('paragraph').last();
  await last.click({ clickCount: 3 });
  await openPattern(page, 'Shorter');
  // Exactly what is sent can be seen before it is.
  await page.getByRole('button', { name: 'What is sent' }).click();
  const sent = page.getByRole('dialog', { name: 'What is sent' });
  await expect(sent.getByText(endpoint.base, { exact: false })).toBeVisible();
  await expect(sent.getByText(/We have taken our own three along/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Write it' }).click();
  await come(page);
  await expect(
    notTaken(page).getByText(
      /Check this: 48 \(a figure that no source has\), 2031 .*Tom Hollis of Brackwater/,
    ),
  ).toBeVisible();
  await notTaken(page).getByRole('button', { name: 'Instead of what was selected' }).click();
  await expect(draft.getByText('We have taken our own three along')).toHaveCount(0);
  await expect(page.getByText('1 paragraph stands as it was generated')).toBeVisible();
  await goTo(page, 'Release');
  await expect(page.getByText(/1 paragraph stands as it was generated or came back\. Read it/)).toBeVisible();
  await goTo(page, 'Write');
  await page.getByRole('tab', { name: 'Sources' }).click();
  const unread = page.getByRole('region', { name: 'Not read yet' });
  await expect(unread.getByText(/Check this:/)).toHaveCount(3);
  await unread.getByRole('button', { name: 'I have read it' }).click();
  await expect(unread).toHaveCount(0);
  await expect(page.getByText('1 paragraph stands as it was generated')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(unread).toBeVisible();
});

test('what goes wrong with an endpoint is told in words, and what has come is kept', async ({ page }) => {
  const endpoint = await played();
  await chooseEndpoint(page, endpoint.base, 'cuts', PLAYED_KEY);
  await newPost(page);
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await draft.click();
  await page.keyboard.type('We hand out a list.');
  await saved(page);
  const address = page.url();
  await page.keyboard.press('Control+Alt+Enter');
  await come(page);
  await expect(
    notTaken(page).getByText(/broke off before the end\. What came until then is kept\./),
  ).toBeVisible();
  await expect(notTaken(page).getByText('Begin with the list and')).toBeVisible();
  await notTaken(page).getByRole('button', { name: 'Leave this text' }).click();
  for (const [model, says] of [
    ['unknown-key', /does not know the key \(401\)/],
    ['no-such-model', /has no model “?"?no-such-model/],
    ['empty', /answered with nothing/],
  ] as const) {
    await chooseModel(page, model);
    await page.goto(address);
    await caretAtEndOf(page, page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').first());
    await page.keyboard.press('Control+Alt+Enter');
    await come(page);
    await expect(notTaken(page).getByText(says)).toBeVisible();
  }
  // A wait is shown and can be ended.
  await chooseModel(page, 'busy-wait');
  await page.goto(address);
  await caretAtEndOf(page, page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').first());
  await page.keyboard.press('Control+Alt+Enter');
  await expect(notTaken(page).getByText(/asks to wait\. \d+ seconds left/)).toBeVisible();
  await notTaken(page).getByRole('button', { name: 'Stop' }).click();
  await come(page);
  // A page that is loaded anew in the middle of a text loses nothing of it.
  await chooseModel(page, 'stalls');
  await page.goto(address);
  await caretAtEndOf(page, page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').first());
  await page.keyboard.press('Control+Alt+Enter');
  await expect(notTaken(page).getByText('Begin', { exact: true })).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Patterns' }).click();
  const here = page.getByRole('region', { name: 'Asked for this post' });
  await expect(here.getByText(/broken off/)).toBeVisible();
  await here.getByRole('button', { name: 'Begin', exact: true }).click();
  await here.getByRole('button', { name: 'Put it into the sheet again' }).click();
  await notTaken(page).getByRole('button', { name: 'Take it', exact: true }).click();
  await expect(
    page.getByRole('textbox', { name: 'Draft' }).getByText('Begin', { exact: true }),
  ).toBeVisible();
});

test('a key is in nothing that leaves: exports, backup, history, the browser’s own storage', async ({
  page,
}) => {
  const endpoint = await played();
  await chooseEndpoint(page, endpoint.base, 'unknown-key', PLAYED_KEY);
  await page.goto('/rules');
  const section = page.getByRole('region', { name: 'Texts that are asked for' });
  await expect(section.getByText(/it ends with end4/)).toBeVisible();
  await expect(section.getByLabel('Key', { exact: true })).toHaveValue('');
  await section.getByRole('button', { name: 'Ask it for its models' }).click();
  await expect(section.getByText('It answers, with 2 models.')).toBeVisible();
  await openPost(page, 'Packing for a tour with children');
  await page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').last().click();
  await page.keyboard.press('Control+Alt+Enter');
  await come(page);
  await expect(notTaken(page).getByText(/Incorrect key provided: …/)).toBeVisible();
  const found: string[] = [];
  const look = (what: string, text: string) => {
    if (text.includes(PLAYED_KEY) || text.includes(PLAYED_KEY.slice(4, 24))) found.push(what);
  };
  const unpacked = (bytes: Uint8Array) =>
    Object.entries(unzipSync(bytes))
      .map(([name, content]) => `${name}\n${strFromU8(content, true)}`)
      .join('\n');
  look('backup', unpacked(await savedBackup(page)));
  await page.goto('/history');
  look(
    'history as JSON',
    (await downloaded(page, () => page.getByRole('button', { name: 'JSON' }).click())).text,
  );
  look(
    'history as Markdown',
    (await downloaded(page, () => page.getByRole('button', { name: 'Markdown' }).click())).text,
  );
  await page.goto('/rules/patterns');
  await page.getByRole('button', { name: 'Copy as our own' }).click();
  look(
    'patterns',
    (await downloaded(page, () => page.getByRole('button', { name: 'Export patterns' }).click())).text,
  );
  look(
    'storage',
    await page.evaluate(async () => {
      const rows: unknown[] = [
        { ...localStorage },
        { ...sessionStorage },
        document.documentElement.outerHTML,
      ];
      for (const { name } of await indexedDB.databases()) {
        const database = await new Promise<IDBDatabase>((done, fail) => {
          const opening = indexedDB.open(name!);
          opening.onsuccess = () => done(opening.result);
          opening.onerror = () => fail(opening.error);
        });
        for (const store of database.objectStoreNames)
          rows.push(
            await new Promise((done) => {
              const all = database.transaction(store).objectStore(store).getAll();
              all.onsuccess = () => done(all.result);
            }),
          );
        database.close();
      }
      return JSON.stringify(rows);
    }),
  );
  expect(found).toEqual([]);
  // The endpoint itself had it.
  expect(endpoint.asked.at(-1)!.key).toBe(PLAYED_KEY);
});

test('a pattern of the house is made, put right, handed on as a file, and used', async ({ page }) => {
  await page.goto('/rules/patterns');
  await page.getByRole('button', { name: 'New pattern' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Weather note');
  const request = page.getByLabel('The request');
  await request.fill('Write a note on {{moon}}.');
  await expect(page.getByText(/\{\{moon\}\} is no field of this pattern/)).toBeVisible();
  await request.fill('Write a weather note on {{topic}}.\nIt is read by {{audience}}.');
  await expect(page.getByText(/is no field of this pattern/)).toHaveCount(0);
  const { file: out } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Export patterns' }).click(),
  );
  const bytes = readFileSync(await out.path());
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(
    page.getByRole('navigation', { name: 'Patterns' }).getByRole('button', { name: 'Weather note' }),
  ).toHaveCount(0);
  await page.getByLabel('File of patterns').setInputFiles([file('broken.json', '{"format": 1}')]);
  await expect(page.getByRole('alert').getByText(/broken\.json: The file holds no patterns/)).toBeVisible();
  await page.getByLabel('File of patterns').setInputFiles([file('patterns.json', new Uint8Array(bytes))]);
  await expect(page.getByRole('heading', { name: 'Weather note' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Post to try it on').selectOption({ label: 'Packing for a tour with children' });
  await page.getByRole('button', { name: 'Open it there' }).click();
  await expect(page.getByRole('heading', { name: 'Weather note' })).toBeVisible();
  await expect(page.getByLabel('Topic (needed)')).toHaveValue('Packing for a tour with children');
  await page.getByLabel('Topic (needed)').fill('');
  await page.getByRole('button', { name: 'Write it' }).click();
  await expect(page.getByText('Topic is needed.')).toBeVisible();
});

test('meta titles come in the width that is wished, more are others, and one is taken', async ({ page }) => {
  await openPost(page, 'Packing for a tour with children');
  await openPattern(page, 'Titles');
  await page.getByRole('button', { name: 'Write it' }).click();
  const answers = page.getByRole('region', { name: 'Answers: Titles' });
  await expect(answers.getByText('made without a model')).toBeVisible();
  const first = await answers.getByRole('listitem').allInnerTexts();
  expect(first.length).toBeGreaterThan(2);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(async () => {
    const second = await answers.getByRole('listitem').allInnerTexts();
    expect(second.length).toBeGreaterThan(0);
    expect(second.filter((title) => first.includes(title))).toEqual([]);
  }).toPass();
  const before = await scoreOf(page).innerText();
  await answers.getByRole('button', { name: 'Take as title' }).first().click();
  await expect(page.getByText(/is the title now/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Packing for a tour with children');
  await expect(scoreOf(page)).toHaveText(before);
});

test('a voice is learnt from posts, said in own words, and texts are held against it', async ({ page }) => {
  await page.goto('/rules/voices');
  const does = page.getByRole('list', { name: 'What it does' });
  await expect(does.getByText(/Half of 430 sentences have 12 to 23 words/)).toBeVisible();
  await page.getByLabel('Its name').fill('Short posts');
  const chooser = page.getByRole('group', { name: /Posts that sound right/ });
  const boxes = chooser.getByRole('checkbox', { checked: true });
  for (let left = await boxes.count(); left > 0; left--) await boxes.first().uncheck();
  await expect(page.getByRole('button', { name: 'Learn it', exact: true })).toBeDisabled();
  await chooser.getByRole('checkbox').first().check();
  await chooser.getByRole('checkbox').nth(1).check();
  await page.getByRole('button', { name: 'Learn it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Short posts' })).toBeVisible();
  await page.getByRole('button', { name: 'Send it along with requests' }).click();
  await expect(page.getByText('It goes along with requests.')).toBeVisible();
  const rule = page.getByLabel('Rule: sentences');
  await rule.fill('Keep sentences under twenty words.');
  await rule.press('Tab');
  // Kept before a page is loaded anew.
  await toPosts(page);
  await openPost(page, 'Packing for a tour with children');
  await page.getByRole('tab', { name: 'Voice' }).click();
  await expect(page.getByText(/of 100 near to “Short posts”/)).toBeVisible();
  await expect(page.getByText('It costs no points.')).toBeVisible();
  // Unless the house gives some: the effect is seen before it is applied.
  await page.goto('/rules/criteria');
  const effect = page.getByRole('complementary', { name: 'Effect' });
  await page.getByLabel('Sounds like the house').fill('20');
  await expect(effect.getByText(/of \d+ posts \d+ up, \d+ down/)).toBeVisible();
  await page.getByRole('button', { name: 'Apply 1 change' }).click();
  await openPost(page, 'Packing for a tour with children');
  await page.getByRole('tab', { name: 'Voice' }).click();
  await expect(page.getByText('The house gives points for it.')).toBeVisible();
  await openPattern(page, 'Introduction');
  await page.getByRole('button', { name: 'What is sent' }).click();
  await expect(
    page.getByRole('dialog', { name: 'What is sent' }).getByText(/Keep sentences under twenty words\./),
  ).toBeVisible();
});

test('the rooms of help with writing have no accessibility fault that can be found, in either theme', async ({
  page,
}) => {
  const faults: string[] = [];
  const look = async (screen: string) => faults.push(...(await faultsOf(page, screen)));
  await page.goto('/rules/patterns');
  await page.getByRole('button', { name: 'Copy as our own' }).click();
  await expect(page.getByRole('heading', { name: 'Titles, our way' })).toBeVisible();
  await look('Patterns');
  await page.goto('/rules/voices');
  await expect(page.getByRole('list', { name: 'What it does' })).toBeVisible();
  await look('Voices');
  await page.goto('/history');
  const texts = page.getByRole('list', { name: 'Texts' });
  await texts.getByRole('checkbox').first().check();
  await texts.getByRole('checkbox').nth(1).check();
  await expect(page.getByRole('region', { name: 'Side by side' })).toBeVisible();
  await texts.getByRole('listitem').first().getByRole('button').first().click();
  await look('History');
  await openPost(page, 'Packing for a tour with children');
  await page.getByRole('textbox', { name: 'Draft' }).getByRole('paragraph').last().click();
  await page.keyboard.press('Control+Alt+Enter');
  await come(page);
  await openPattern(page, 'Section');
  await look('Write with a text that is not taken');
  await page.getByRole('tab', { name: 'Voice' }).click();
  await expect(page.getByText(/of 100 near to/)).toBeVisible();
  await look('The lens Voice');
  await page.goto(page.url().replace(/write.*$/, 'start'));
  for (const step of ['Title', 'Outline', 'Introduction', 'The text']) {
    await page.getByRole('button', { name: new RegExp(`^\\d ${step}`) }).click();
    await look(`Guided start, ${step}`);
  }
  expect(faults).toEqual([]);
});
