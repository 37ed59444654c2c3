import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import { cameraPicture } from './steps/camera-picture.ts';
import { demoPicture, file } from './steps/files.ts';
import { best, longTasks } from './steps/long-tasks.ts';
import { downloaded, goTo, newPost, saved } from './steps/writer.ts';

// A trace takes snapshots of the page, which would be measured too.
test.use({ trace: 'off' });

/** Milliseconds beyond which somebody who types sees the page stand still. */
const STILL = 200;

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const lens = (page: Page) => page.getByRole('region', { name: 'Pictures', exact: true });
const entry = (page: Page, name: string) => lens(page).getByRole('listitem', { name, exact: true });
const jpeg = (name: string, buffer: Buffer) => ({ name, mimeType: 'image/jpeg', buffer });
const png = (name: string) => ({ ...file(name, demoPicture('IMG_2041.png')), mimeType: 'image/png' });

test.beforeEach(async ({ page }) => {
  await newPost(page);
  await draft(page).click();
  await page.keyboard.type('Low water.');
});

test('a camera’s picture and two others are put in order while the page stays at hand, and go out light and without notes', async ({
  page,
}) => {
  const camera = await cameraPicture(page, { artist: 'Ada Reed', turn: 6 });
  expect(camera.length).toBeGreaterThan(1_500_000);
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles([jpeg('DSC01234.jpg', camera), png('low-water-at-the-dyke.png'), png('IMG_7.png')]);
  await expect(draft(page).getByRole('figure')).toHaveCount(3);
  await draft(page).getByRole('textbox', { name: 'Caption' }).first().fill('Stones on the causeway at noon');
  await page.getByRole('tab', { name: 'Pictures' }).click();
  const first = entry(page, 'DSC01234');
  // Turned by what the camera noted: upright.
  await expect(first).toContainText('3,000 × 4,000 px');
  await expect(first).toContainText('It tells where it was taken.');
  await expect(entry(page, 'low-water-at-the-dyke')).toBeVisible();
  await first.getByRole('button', { name: 'Say “Stones on the causeway at noon”' }).click();

  const over = await best(page, STILL, async () => {
    await lens(page).getByRole('button', { name: 'Put all in order' }).click();
    const table = page.getByRole('dialog', { name: 'Put the pictures in order' });
    await expect(table.getByRole('row', { name: /DSC01234/ })).toContainText('stones-causeway-noon');
    const durations = await longTasks(page, async () => {
      await table.getByRole('button', { name: /^Put \d pictures? in order/ }).click();
      await expect(table).toBeHidden({ timeout: 60_000 });
    });
    await expect(entry(page, 'stones-causeway-noon')).toBeVisible();
    return durations;
  });
  expect(over).toEqual([]);
  await expect(draft(page).getByRole('img', { name: 'Stones on the causeway at noon' })).toBeVisible();
  await saved(page);

  await goTo(page, 'Release');
  const { file: out } = await downloaded(page, () => page.getByRole('button', { name: 'Markdown' }).click());
  const files = Object.entries(unzipSync(readFileSync(await out.path()))).filter(([name]) =>
    /media\/./.test(name),
  );
  expect(files.map(([name]) => name).filter((name) => name.includes('stones'))).toEqual([
    expect.stringMatching(/media\/stones-causeway-noon\.webp$/),
  ]);
  for (const [name, bytes] of files) {
    expect([name, bytes.length < 200_000]).toEqual([name, true]);
    expect([name, /Exif|Ada Reed|EXIF/.test(Buffer.from(bytes).toString('latin1'))]).toEqual([name, false]);
  }

  // One press takes all of it back.
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await goTo(page, 'Write');
  await page.getByRole('tab', { name: 'Pictures' }).click();
  await expect(entry(page, 'DSC01234')).toContainText('3,000 × 4,000 px');
});

test('on the bench a picture is cropped to the shape of shares, turned and compared, and its original stays', async ({
  page,
}) => {
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles([jpeg('DSC01234.jpg', await cameraPicture(page, { artist: 'Ada Reed', turn: 1 }))]);
  await draft(page).getByRole('figure').getByRole('button', { name: 'Crop, turn, compress' }).click();
  const bench = page.getByRole('dialog', { name: 'Make the picture fit' });
  await bench.getByLabel('Hold the crop to').selectOption('share, 1200 × 630');
  await expect(bench).toContainText('4,000 × 2,100 px are kept');
  await bench.getByLabel('Width, px').fill('1200');
  await bench.getByLabel('At most, kB').fill('100');
  await bench.getByLabel('File name').fill('Stones on the dyke');
  await bench.getByLabel('Alt text').fill('Stones on a dyke');
  // Whose it is was read from the camera's notes.
  await expect(bench.getByLabel('Credit')).toHaveValue('Ada Reed');
  await bench.getByLabel('Where it comes from').selectOption('by permission');
  await expect(bench.getByRole('status')).toContainText('Becomes 1,200 × 630 px');
  await bench.getByRole('tab', { name: 'Before and after' }).click();
  await expect(bench.getByRole('img', { name: 'After' })).toHaveJSProperty('naturalWidth', 1200);
  await bench.getByRole('button', { name: 'Use this' }).click();
  await page.getByRole('tab', { name: 'Pictures' }).click();
  await expect(entry(page, 'stones-on-the-dyke')).toContainText('1,200 × 630 px');
  await expect(draft(page).getByRole('img', { name: 'Stones on a dyke' })).toBeVisible();

  // Work goes on from the original, so that nothing is lost twice.
  await entry(page, 'stones-on-the-dyke').getByRole('button', { name: 'Crop, turn, compress' }).click();
  await expect(bench.getByRole('status')).toContainText('Original: 4,000 × 3,000 px');
  await expect(bench.getByLabel('Where it comes from')).toHaveValue('permission');
  await bench.getByRole('button', { name: 'Turn right' }).click();
  await expect(bench.getByRole('status')).toContainText('Becomes 2,400 × 3,200 px');
  await bench.getByLabel('Width, px').fill('7');
  await expect(bench).toContainText('A whole number of pixels, 16 or more.');
  await expect(bench.getByRole('button', { name: 'Use this' })).toBeDisabled();
  await bench.getByRole('button', { name: 'Leave it' }).click();
  await saved(page);

  // What the originals take can be had back.
  await page.getByRole('link', { name: 'House rules', exact: true }).click();
  const rules = page.getByRole('region', { name: 'Pictures' });
  await rules.getByRole('button', { name: /^Let 1 original go: frees \d/ }).click();
  await expect(rules.getByRole('row', { name: /Originals of others/ })).toContainText('0 pictures');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The originals go when' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(rules.getByRole('row', { name: /Originals of others/ })).toContainText('1 picture');
});

test('a damaged picture says so and nothing else stops', async ({ page }) => {
  const whole = await cameraPicture(page, { artist: '', turn: 1 });
  await page
    .getByLabel('Picture file', { exact: true })
    .setInputFiles([jpeg('cut.jpg', whole.subarray(0, 120)), png('low-water-at-the-dyke.png')]);
  await page.getByRole('tab', { name: 'Pictures' }).click();
  await expect(entry(page, 'cut')).toContainText('Its file is not here, or cannot be shown.');
  await expect(entry(page, 'low-water-at-the-dyke')).toContainText(/px, \d+ kB/);
});
