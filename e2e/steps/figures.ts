import { expect, type Page } from '@playwright/test';

/** Takes out the search performance that the demo has. */
export async function withoutFigures(page: Page): Promise<void> {
  await page.goto('/site/performance');
  await page.getByRole('tab', { name: 'Figures brought' }).click();
  const brought = page.getByRole('list', { name: 'Figures brought' }).getByRole('listitem');
  for (let left = 7; left > 0; left--) {
    await expect(brought).toHaveCount(left);
    await brought
      .first()
      .getByRole('button', { name: /^Take .* out$/ })
      .click();
  }
  await expect(page.getByText('Nothing is known yet of what came of your posts')).toBeVisible();
}

/** Brings a table with search performance; the days that rows without a date are of, where they have none. */
export async function bringFigures(page: Page, name: string, text: string): Promise<void> {
  await page.goto('/keywords?show=figures');
  await page
    .getByLabel('File with figures')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text, 'utf8') });
  await expect(page.getByRole('table', { name: 'Preview' })).toBeVisible();
  await page.getByRole('button', { name: 'Read the table' }).click();
}
