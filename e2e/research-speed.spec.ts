import { expect, test } from '@playwright/test';
import { keywordCsv } from '../bench/keywords.ts';
import { LONG, sized } from './steps/long-form.ts';
import { best, longTasks } from './steps/long-tasks.ts';

// A trace takes snapshots of the page, which would be measured too.
test.use({ trace: 'off' });

/** Milliseconds beyond which a reader who scrolls sees the page stand still. */
const SCROLL = 200;
const ROWS = sized(60_000, 300_000);
const IN_WORDS = ROWS.toLocaleString('en');
/** Counts of all phrases (those that are written twice are one), and of those that a filter leaves. */
const WHOLE = LONG ? /^Phrases \d{3},\d{3}$/ : /^Phrases \d{2},\d{3}$/;
const FILTERED = LONG ? /^Phrases [\d,]{1,6}$/ : /^Phrases [\d,]{1,5}$/;

test(`${IN_WORDS} rows are read, shown, sorted and filtered while the page stays at hand`, async ({
  page,
}) => {
  await page.goto('/keywords?show=figures');
  await page
    .getByLabel('File with figures')
    .setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(keywordCsv(ROWS, 5)) });
  await expect(page.getByRole('table', { name: 'Preview' })).toBeVisible();
  const table = page.getByRole('table', { name: 'Phrases' });
  let imported = false;
  const over = await best(page, SCROLL, () =>
    longTasks(page, async () => {
      if (!imported) {
        await page.getByRole('button', { name: 'Read the table' }).click();
        await expect(page.getByText(/^Reading many.csv: \d+ %/)).toBeVisible();
        await expect(page.getByRole('region', { name: 'What was read' })).toContainText(
          `${IN_WORDS} rows taken`,
          {
            timeout: 240_000,
          },
        );
        await page.getByRole('button', { name: 'Back to the phrases' }).click();
        imported = true;
      }
      const shown = page.getByRole('tab', { name: WHOLE });
      await expect(shown).toBeVisible({ timeout: 120_000 });
      await table.hover();
      for (const column of ['Volume', 'Difficulty', 'Opportunity']) {
        await table.getByRole('columnheader', { name: column }).getByRole('button').click();
        await expect(table.getByRole('columnheader', { name: column })).toHaveAttribute(
          'aria-sort',
          'descending',
          {
            timeout: 120_000,
          },
        );
        for (let step = 0; step < 12; step++) await page.mouse.wheel(0, 900);
      }
      await page
        .getByRole('textbox', { name: 'Contains', exact: true })
        .pressSequentially('pannier', { delay: 30 });
      await expect(page.getByRole('tab', { name: FILTERED })).toBeVisible({ timeout: 120_000 });
      for (let step = 0; step < 12; step++) await page.mouse.wheel(0, 900);
      await expect(table.getByRole('button', { name: /pannier/ }).first()).toBeVisible();
      await page.getByRole('textbox', { name: 'Contains', exact: true }).fill('');
    }),
  );
  expect(over).toEqual([]);
});

test('an import of many rows can be stopped, and then nothing was taken', async ({ page }) => {
  await page.goto('/keywords?show=figures');
  await page
    .getByLabel('File with figures')
    .setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(keywordCsv(ROWS, 5)) });
  await page.getByRole('button', { name: 'Read the table' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('The import was stopped. Nothing was taken.')).toBeVisible();
  await page.goto('/keywords');
  await expect(page.getByRole('tab', { name: /^Phrases \d{3}$/ })).toBeVisible();
});
