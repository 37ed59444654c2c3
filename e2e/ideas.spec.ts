import { expect, test } from '@playwright/test';

test('ideas beside the posts that are there: kept, ranked, and turned into a post', async ({ page }) => {
  await page.goto('/ideas');
  await page.getByRole('button', { name: 'Beside your posts' }).click();
  await page.getByRole('button', { name: 'Give me five' }).click();
  const ideas = page.getByRole('list', { name: 'New ideas' }).getByRole('listitem');
  await expect(ideas).toHaveCount(5);
  const titles = () =>
    page
      .getByRole('textbox', { name: 'Working title' })
      .evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  const first = await titles();
  // Which come first changes with the season; each names the post that it stands beside.
  for (const idea of await ideas.all()) await expect(idea).toContainText(/ · beside \p{Lu}/u);
  await ideas.first().getByRole('button', { name: 'Drop' }).click();
  await expect(ideas).toHaveCount(4);
  await page.getByRole('button', { name: 'Give me five' }).click();
  await expect(ideas).toHaveCount(9);
  expect(await titles()).not.toContain(first[0]);
  // What is new stands before what is there.
  const all = await titles();
  expect(new Set(all).size).toBe(9);
  expect(all.slice(5)).toEqual(first.slice(1));
  await ideas.nth(5).getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('tab', { name: /Kept/ }).click();
  const kept = page.getByRole('list', { name: 'Kept ideas' }).getByRole('listitem');
  await expect(kept).toHaveCount(4);
  const last = (await titles())[3];
  expect((await titles())[0]).toBe(first[1]);
  const handle = await page.getByRole('button', { name: `Drag ${last}` }).boundingBox();
  const top = await kept.first().boundingBox();
  await page.mouse.move(handle!.x + 6, handle!.y + 6);
  await page.mouse.down();
  await page.mouse.move(handle!.x + 6, top!.y + 4, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await titles())[0]).toBe(last);
  await kept.first().getByRole('button', { name: 'Begin the post' }).click();
  await expect(page.getByRole('heading', { level: 1, name: last })).toBeVisible();
  await expect(page.getByLabel('Primary keyword', { exact: true })).not.toHaveValue('');
  await page.goto('/ideas');
  await page.getByRole('tab', { name: /Begun/ }).click();
  await expect(page.getByRole('link', { name: 'Open its post' })).toBeVisible();
});

test('ideas from phrases, from the offer, from the headings of a post and by hand', async ({ page }) => {
  await page.goto('/ideas');
  const ideas = page.getByRole('list', { name: 'New ideas' }).getByRole('listitem');
  await page.getByRole('button', { name: 'Give me five' }).click();
  await expect(ideas).toHaveCount(5);
  await expect(page.getByLabel(/^Line of description/).first()).toHaveValue(/Would .+ searches a month/);
  await page.getByRole('button', { name: 'From your offer' }).click();
  await page.getByLabel('What you offer').fill('We hold bike maintenance courses and classes in winter.');
  await page.getByRole('button', { name: 'Give me five' }).click();
  await expect(page.getByLabel(/^Line of description/).first()).toHaveValue(/Your offer says .*"bike"/);
  await page.getByRole('button', { name: 'From a post', exact: true }).click();
  await page
    .getByLabel('Whose headings')
    .selectOption({ label: 'Bike tour packing list: what a first trip really needs' });
  await page.getByRole('button', { name: 'Give me five' }).click();
  await expect(ideas.first()).toContainText('from a heading of Bike tour packing list');
  await page.getByRole('button', { name: 'By hand' }).click();
  await page.getByLabel('Working title').first().fill('A map of benches');
  await page.getByRole('button', { name: 'Add the idea' }).click();
  await expect(ideas.first().getByLabel('Working title')).toHaveValue('A map of benches');
});

test('today shows what is in hand, kept, near and in season', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Posts in progress' })).toContainText(
    'Packing for a tour with children',
  );
  await expect(page.getByRole('region', { name: 'Ideas kept, not begun' })).toContainText('Mend a worn seam');
  await expect(page.getByRole('region', { name: 'Near wins' })).toContainText('waterproof panniers');
  await expect(page.getByRole('region', { name: /season/i })).toContainText('searches a month');
});
