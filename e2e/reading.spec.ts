import { expect, test } from '@playwright/test';
import { newPost, openPost, paste, toPosts } from './steps/writer.ts';

test('the reader’s view shows the post at three widths, with its pictures, and what is seen before one scrolls', async ({
  page,
}) => {
  await openPost(page, /Bike tour packing list/);
  await page.getByRole('link', { name: 'Reader’s view' }).click();
  const frame = page.getByTitle('The post as readers see it');
  const post = frame.contentFrame();
  await expect(post.getByRole('heading', { level: 1 })).toHaveText(/Bike tour packing list/);
  await expect(post.getByRole('img').first()).toHaveJSProperty('complete', true);
  await expect(post.getByRole('img').first()).not.toHaveJSProperty('naturalWidth', 0);
  const said = page.getByRole('status').filter({ hasText: 'to read.' });
  await expect(said).toContainText(
    /^3 minutes to read\. Before one scrolls \(800 px\): the title, 1 picture/,
  );
  const onDesktop = await said.textContent();
  const text = post.getByRole('main');
  const widthOf = () => text.evaluate((main) => main.ownerDocument.documentElement.clientWidth);
  for (const [name, width] of [
    ['Tablet', 768],
    ['Phone', 390],
  ] as const) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('button', { name })).toHaveAttribute('aria-pressed', 'true');
    await expect.poll(async () => Math.abs((await widthOf()) - width)).toBeLessThan(20);
    expect(await text.evaluate((main) => main.scrollWidth <= main.clientWidth)).toBe(true);
  }
  await expect(said).not.toHaveText(onDesktop!);
  // A link leads nowhere from here.
  await post.getByRole('link').first().click();
  await expect(post.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the text' }).click();
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeVisible();
});

test('nothing in the reader’s view runs or loads; what is embedded is named, and the house’s style sheet is worn', async ({
  page,
}) => {
  await page.goto('/rules');
  const rules = page.getByRole('region', { name: 'Reader’s view' });
  await rules.getByLabel('Width of the text, px').fill('500');
  await rules
    .getByLabel('Style sheet')
    .fill(
      'main { background: url(https://spy.example/x.png) rgb(1, 2, 3); } @import "https://spy.example/y.css";',
    );
  // Left by a link, not by a new page: what was typed last is kept first.
  await toPosts(page);
  await newPost(page);
  // What gets past the policy of the page, to the network.
  const asked: string[] = [];
  await page.route('https://**', (route) => {
    asked.push(route.request().url());
    return route.abort();
  });
  await page.getByRole('textbox', { name: 'Draft' }).click();
  await paste(
    page,
    '<p>Before.</p><video src="https://films.example/tide.mp4" controls></video>' +
      '<p><img src="https://spy.example/z.png" alt="A dyke" onerror="parent.document.title=1"></p>' +
      '<p><a href="javascript:parent.document.title=2">A link</a></p>',
  );
  await page.keyboard.press('Control+Shift+L');
  const post = page.getByTitle('The post as readers see it').contentFrame();
  await expect(post.getByText('A film: https://films.example/tide.mp4')).toBeVisible();
  await expect(post.getByText('A dyke: https://spy.example/z.png')).toBeVisible();
  await expect(post.getByRole('main')).toHaveCSS('background-color', 'rgb(1, 2, 3)');
  await expect
    .poll(() => post.getByRole('main').evaluate((main) => main.getBoundingClientRect().width))
    .toBeLessThan(560);
  expect(asked).toEqual([]);
  await expect(page).toHaveTitle(/Dune Sparrow/);
});
