import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { playEndpoint } from '../src/server/text-service/played-endpoint.test-data.ts';
import { faultsOf } from './steps/accessibility.ts';
import { chooseEndpoint } from './steps/texts.ts';
import { caretAtEndOf, downloaded, newPost, openPost } from './steps/writer.ts';

test('a post becomes a thread of messages that fit, out of its own sentences; it says what is not in the post and what is out of date', async ({
  page,
}) => {
  await openPost(page, /Waterproof panniers: how/);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Reuse' }).click();
  await page.getByRole('button', { name: 'Make a thread' }).click();
  const thread = page.getByRole('region', { name: 'Thread', exact: true });
  const parts = thread.getByRole('list', { name: 'Parts of the thread' }).getByRole('listitem');
  await expect(parts).not.toHaveCount(0);
  const first = thread.getByRole('textbox', { name: 'Message 1' });
  await expect(first).toHaveValue(/^1\/\d /);

  // Another limit and another number of messages make it anew.
  await thread.getByRole('textbox', { name: 'Messages' }).fill('3');
  await thread.getByRole('textbox', { name: 'Messages' }).press('Tab');
  await expect(parts).toHaveCount(3);
  await expect(thread.getByRole('textbox', { name: 'Message 3' })).toHaveValue(
    /\nhttps:\/\/saltmarsh\.example\/journal\//,
  );
  await thread.getByRole('textbox', { name: 'Campaign tags' }).fill('utm_source=messages');
  await thread.getByRole('textbox', { name: 'Campaign tags' }).press('Tab');
  await expect(thread.getByRole('textbox', { name: 'Message 3' })).toHaveValue(/\?utm_source=messages$/);

  // What is written into it is held against the post, and too long is told.
  await first.fill('1/3 Every pannier costs 900 guilders.');
  await expect(parts.first()).toContainText(/Not in the post: .*900/);
  await first.fill('Waterproof panniers. '.repeat(20));
  await expect(parts.first()).toContainText(/of 280 characters: \d+ too many/);

  // It went out, and goes out again.
  await thread.getByRole('combobox', { name: 'Sent to' }).fill('Short messages');
  await thread.getByRole('button', { name: 'Record as sent today' }).click();
  await expect(thread.getByRole('list', { name: 'Where it went' })).toContainText('sent to Short messages');
  await thread.getByLabel('Next on').fill('2031-05-04');
  const calendar = await downloaded(page, () =>
    thread.getByRole('button', { name: 'Save a reminder (.ics)' }).click(),
  );
  expect(calendar.name).toBe('2031-05-04-reminder.ics');
  expect(calendar.text).toContain('DTSTART;VALUE=DATE:20310504');
  const table = await downloaded(page, () => thread.getByRole('button', { name: 'Save as CSV' }).click());
  expect(table.text).toMatch(/^number,title,text\r\n1,"",/);

  // The post changes: what was made says so.
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Write' }).click();
  const heading = page
    .getByRole('textbox', { name: 'Draft' })
    .getByRole('heading', { name: 'What makes waterproof panniers tight' });
  await caretAtEndOf(page, heading);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Home');
  await page.keyboard.type('Only ');
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Reuse' }).click();
  await expect(page.getByRole('list', { name: 'What was made' })).toContainText('1 part out of date');
  await thread.getByRole('button', { name: 'Make it anew' }).first().click();
  await expect(thread).not.toContainText('Out of date');
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('region', { name: 'Goes out next' })).toContainText('Thread');
});

test('the demo’s letter takes other posts in, in order, and goes out as HTML and as text', async ({
  page,
}) => {
  await page.goto('/posts/demo-bicycle-ferry/reuse');
  const made = page.getByRole('list', { name: 'What was made' });
  await expect(made.getByRole('listitem')).toHaveCount(4);
  await made
    .getByRole('button', { name: /^Newsletter \d?|^Newsletter$/ })
    .last()
    .click();
  const letter = page.getByRole('region', { name: 'Newsletter', exact: true });
  await letter
    .getByLabel('Add a post to the letter')
    .selectOption({ label: 'Waterproof panniers: how to choose bags that stay dry' });
  const posts = letter.getByRole('list', { name: 'Posts of the letter' }).getByRole('listitem');
  await expect(posts).toHaveCount(2);
  await letter.getByRole('button', { name: /^Earlier: Waterproof/ }).click();
  await expect(posts.first()).toContainText('Waterproof panniers');
  await letter.getByRole('textbox', { name: 'Opening line' }).fill('Two posts for a wet spring.');
  await expect(letter.getByRole('textbox', { name: 'Opening line' })).toHaveValue(
    'Two posts for a wet spring.',
  );
  const html = await downloaded(page, () => letter.getByRole('button', { name: 'Save as HTML' }).click());
  expect(html.text).toContain('Two posts for a wet spring.');
  expect(html.text.indexOf('Waterproof panniers: how')).toBeLessThan(
    html.text.indexOf('The bicycle ferry to Holm: times'),
  );
  // Each title leads to its own post, in whichever order they stand.
  expect(html.text).toMatch(
    /href="https:\/\/saltmarsh\.example\/journal\/waterproof-panniers"[^>]*>Waterproof panniers: how/,
  );
  expect(html.text).toMatch(
    /href="https:\/\/saltmarsh\.example\/journal\/bicycle-ferry"[^>]*>The bicycle ferry to Holm/,
  );
  expect(await faultsOf(page, 'reuse')).toEqual([]);
});

test('a picture with a sentence is drawn and saved, and an empty post says what belongs there', async ({
  page,
}) => {
  await page.goto('/posts/demo-bicycle-ferry/reuse');
  const list = page.getByRole('list', { name: 'What was made' });
  // One that was made, and the way to make another.
  const ways = page.getByRole('button', { name: 'Picture with a sentence' });
  await expect(ways).toHaveCount(2);
  await ways.last().click();
  await expect(list.getByRole('listitem')).toHaveCount(5);
  const picture = page.getByRole('region', { name: 'Picture with a sentence', exact: true });
  const sentence = picture.getByRole('textbox', { name: 'Sentence' });
  await expect(sentence).not.toHaveValue('');
  await picture.getByRole('list', { name: 'Sentences of the post' }).getByRole('button').first().click();
  await expect(sentence).toHaveValue(/^The bicycle ferry/);
  // Own words that another sentence takes the place of come back.
  await sentence.fill('Eleven bicycles, no main road.');
  await picture.getByRole('list', { name: 'Sentences of the post' }).getByRole('button').first().click();
  await expect(sentence).toHaveValue(/^The bicycle ferry/);
  const undo = page
    .getByRole('listitem')
    .filter({ hasText: 'The picture has another sentence.' })
    .getByRole('button', { name: 'Undo' });
  await undo.first().click();
  await expect(sentence).toHaveValue('Eleven bicycles, no main road.');
  await picture.getByRole('list', { name: 'Sentences of the post' }).getByRole('button').first().click();
  await expect(picture.getByRole('img', { name: /^“The bicycle ferry/ })).toBeVisible();
  // The colours are the house's; words that cannot be read on them are told of.
  await picture.getByLabel('Words', { exact: true }).fill('#f0f0f0');
  await expect(picture.getByRole('note')).toContainText(
    /hard to read on this ground: their contrast is 1\.\d/,
  );
  await picture.getByRole('button', { name: 'On marram' }).click();
  await expect(picture.getByRole('note')).toHaveCount(0);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    picture.getByRole('button', { name: 'Save as PNG' }).click(),
  ]);
  const bytes = readFileSync(await download.path());
  expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([1200, 630]);
  await expect(picture.getByRole('list', { name: 'Where it went' })).toContainText('saved as a file');
  await newPost(page);
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Reuse' }).click();
  await expect(page.getByText('There is nothing to reuse yet')).toBeVisible();
});

test('another wording is asked for, held against the post, taken, and taken back', async ({ page }) => {
  const endpoint = await playEndpoint({
    text: 'The ferry to Holm takes bicycles.\n\n2. Tickets cost 900 guilders. https://elsewhere.example/',
  });
  try {
    await chooseEndpoint(page, endpoint.base, 'good');
    await page.goto('/posts/demo-bicycle-ferry/reuse');
    await page
      .getByRole('list', { name: 'What was made' })
      .getByRole('button', { name: /^Thread/ })
      .click();
    const thread = page.getByRole('region', { name: 'Thread', exact: true });
    const before = await thread.getByRole('textbox', { name: 'Message 1' }).inputValue();
    // What goes out is shown before it does: the post, and nothing of its studies or keywords.
    await thread.getByRole('button', { name: 'What is sent' }).click();
    const sent = page.getByRole('dialog');
    await expect(sent).toContainText('Say nothing that the post does not say');
    await expect(sent).toContainText('It has 7 parts');
    await sent.getByRole('button', { name: 'Close' }).first().click();
    await thread.getByRole('button', { name: 'Ask for another wording' }).click();
    const other = thread.getByRole('list', { name: 'The other wording' }).getByRole('listitem');
    await expect(other).toHaveCount(2);
    await expect(other.last()).toContainText(
      /^2\/2 Tickets cost 900 guilders\.\s*https:\/\/saltmarsh\.example/,
    );
    await expect(other.last()).toContainText(/Not in the post: .*900/);
    await thread.getByRole('button', { name: 'Take this wording' }).click();
    await expect(thread.getByRole('textbox', { name: 'Message 1' })).toHaveValue(
      '1/2 The ferry to Holm takes bicycles.',
    );
    await page
      .getByRole('listitem')
      .filter({ hasText: 'The thread reads otherwise now.' })
      .getByRole('button', { name: 'Undo' })
      .click();
    await expect(thread.getByRole('textbox', { name: 'Message 1' })).toHaveValue(before);
  } finally {
    await endpoint.close();
  }
});
