import { expect, type Page, test } from '@playwright/test';
import { proseOf, termsOf } from '../bench/prose.ts';
import { playEndpoint } from '../src/server/text-service/played-endpoint.test-data.ts';
import { alteredBackup, restore, savedBackup } from './steps/backups.ts';
import { accountOf, file, importFiles } from './steps/files.ts';
import { LONG, sized } from './steps/long-form.ts';
import { best, longTasks } from './steps/long-tasks.ts';
import { chooseEndpoint, come, notTaken } from './steps/texts.ts';
import { scoreOf } from './steps/writer.ts';

// A trace takes a snapshot of the page at each key, which would be measured too.
test.use({ trace: 'off' });

/** Milliseconds beyond which a task keeps a writer's key waiting, and a reader's list. */
const KEY = 50;
const LIST = 100;

const wordsOf = async (page: Page) =>
  Number(
    (await page.getByText(/[\d,]+ words · /).textContent())?.match(/([\d,]+) words/)?.[1].replace(/,/g, ''),
  );

for (const words of LONG ? [5000, 50_000] : [5000]) {
  test(`200 keystrokes in a draft of ${words} words with 200 terms keep no key waiting, and the score follows`, async ({
    page,
  }) => {
    const terms = termsOf(200, 7).map((term) => `  - ${term}\n`);
    await importFiles(
      page,
      file(
        'long.md',
        `---\ntitle: A long draft\nkeyword: bike tour packing list\nsupporting:\n${terms.join('')}---\n\n${proseOf(words, words)}`,
      ),
    );
    await accountOf(page, 'long.md').getByRole('link').click();
    const draft = page.getByRole('textbox', { name: 'Draft' });
    await expect(draft).toBeVisible();
    await expect(scoreOf(page)).toHaveText(/\d/);
    const paragraph = draft.getByRole('paragraph').nth(30);
    await paragraph.click();
    await page.keyboard.press('End');
    // The first keys compile what the others run.
    await page.keyboard.type(' warm up with some words', { delay: 20 });
    const over = await best(page, KEY, async () => {
      const before = await wordsOf(page);
      let followed = false;
      const durations = await longTasks(page, async () => {
        for (let count = 0; count < 20; count++) {
          await page.keyboard.type('ten keys. ', { delay: 15 });
          // Asked once: looking for an element is work for the page too.
          if (count === 10) followed = (await wordsOf(page)) > before;
        }
      });
      expect(followed).toBe(true);
      return durations;
    });
    expect(over).toEqual([]);
  });
}

const MANY = sized(600, 2000);

test(`a list of ${MANY} posts opens, sorts and filters without holding the page up`, async ({ page }) => {
  const backup = await alteredBackup(await savedBackup(page), (data) => {
    const posts = data['posts'] as { id: string; fields: { title: string; slug: string; keyword: string } }[];
    const bodies = data['bodies'] as { postId: string }[];
    const [post] = posts;
    const body = bodies.find(({ postId }) => postId === post.id)!;
    for (let count = 0; count < MANY; count++) {
      const id = `many-${count}`;
      const fields = { title: `Post ${count}`, slug: `post-${count}`, keyword: `phrase ${count}` };
      posts.push({ ...post, id, fields: { ...post.fields, ...fields } });
      bodies.push({ ...body, postId: id });
    }
  });
  await restore(page, backup, 'replace');
  const table = page.getByRole('table', { name: 'Posts' });
  await page.getByRole('link', { name: 'Posts', exact: true }).click();
  // Scores of so many posts are worked out once, beside the page.
  await expect(
    table
      .getByRole('row')
      .nth(8)
      .getByRole('img', { name: /Score by group/ }),
  ).toBeVisible({
    timeout: 120_000,
  });
  const over = await best(page, LIST, () => {
    return longTasks(page, async () => {
      await page.getByRole('link', { name: 'House rules' }).click();
      await expect(page.getByLabel('Site name')).toBeVisible();
      await page.getByRole('link', { name: 'Posts', exact: true }).click();
      await expect(page.getByText(new RegExp(`^${String(MANY).slice(0, -2)}\\d\\d posts$`))).toBeVisible();
      for (const name of ['Score', 'Words', 'Post', 'Changed'])
        await table.getByRole('columnheader', { name }).getByRole('button').click();
      await page.getByRole('searchbox', { name: 'Search posts' }).pressSequentially('post 19', { delay: 20 });
      await expect(
        page.getByText(new RegExp(`^\\d+ of ${String(MANY).slice(0, -2)}\\d\\d posts$`)),
      ).toBeVisible();
      await page.getByRole('searchbox', { name: 'Search posts' }).fill('');
    });
  });
  expect(over).toEqual([]);
});

test('500 pieces that come 50 a second into a draft of 20,000 words keep no key waiting', async ({
  page,
}) => {
  // Ten paragraphs of fifty words: 500 pieces.
  const text = Array.from({ length: 10 }, () =>
    'Ten words make one sentence of this text here today. '.repeat(5).trim(),
  ).join('\n\n');
  const endpoint = await playEndpoint({ pace: 20, text });
  try {
    await chooseEndpoint(page, endpoint.base, 'good');
    await importFiles(
      page,
      file(
        'long.md',
        `---\ntitle: A long draft\nkeyword: bike tour packing list\n---\n\n${proseOf(20_000, 5)}`,
      ),
    );
    await accountOf(page, 'long.md').getByRole('link').click();
    const draft = page.getByRole('textbox', { name: 'Draft' });
    await expect(draft).toBeVisible();
    await expect(scoreOf(page)).toHaveText(/\d/);
    await draft.getByRole('paragraph').nth(30).click();
    await page.keyboard.press('End');
    // The first text compiles what the others run, and lets the scoring of the new post settle.
    await page.keyboard.press('Control+Alt+Enter');
    await expect(notTaken(page).getByText(/[2-9]\d words/)).toBeVisible();
    await notTaken(page).getByRole('button', { name: 'Stop' }).click();
    await come(page);
    const over = await best(page, KEY, async () => {
      let words = 0;
      await notTaken(page).getByRole('button', { name: 'Try again' }).click();
      await expect(notTaken(page).getByText(/on its way · \d+ words/)).toBeVisible();
      const durations = await longTasks(page, async () => {
        // About 450 of its 500 pieces: the end of a text is worked out once, and not while it comes.
        await expect(async () => {
          words = Number(
            /· (\d+) words/.exec((await notTaken(page).getByRole('status').first().textContent()) ?? '')?.[1],
          );
          expect(words).toBeGreaterThan(450);
        }).toPass({ intervals: [2000] });
      });
      await come(page);
      return durations;
    });
    expect(over).toEqual([]);
  } finally {
    await endpoint.close();
  }
});
