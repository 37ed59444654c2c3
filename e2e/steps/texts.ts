import { expect, type Locator, type Page } from '@playwright/test';
import { toPosts } from './writer.ts';

/** Has the house's text come from an endpoint, with a key where one is given. */
export async function chooseEndpoint(page: Page, base: string, model: string, key = ''): Promise<void> {
  await page.goto('/rules');
  const section = page.getByRole('region', { name: 'Texts that are asked for' });
  await section.getByLabel('Text comes from').selectOption('endpoint');
  await section.getByLabel('Address of the endpoint').fill(base);
  await section.getByLabel('Model', { exact: true }).fill(model);
  if (key) {
    await section.getByLabel('Key', { exact: true }).fill(key);
    await section.getByRole('button', { name: 'Set', exact: true }).click();
    await expect(section.getByText('The key lies on the server now.')).toBeVisible();
  }
  await expect(section.getByLabel('Model', { exact: true })).toHaveValue(model);
  await toPosts(page);
}

/** Another model of the endpoint that is chosen, kept before anything else is opened: loading a page anew would overtake it. */
export async function chooseModel(page: Page, model: string): Promise<void> {
  await page.goto('/rules');
  await page
    .getByRole('region', { name: 'Texts that are asked for' })
    .getByLabel('Model', { exact: true })
    .fill(model);
  await toPosts(page);
}

/** The text that stands in the sheet and is not yet taken. */
export const notTaken = (page: Page): Locator => page.getByRole('region', { name: /^Not yet taken/ });

/** Waits until the text in the sheet has come, or failed. */
export const come = (page: Page): Promise<void> =>
  expect(notTaken(page).getByRole('button', { name: 'Try again' })).toBeVisible();

/** Opens a pattern in the margin. */
export async function openPattern(page: Page, name: string): Promise<void> {
  await page.getByRole('tab', { name: 'Patterns' }).click();
  const all = page.getByRole('button', { name: 'All patterns' });
  if (await all.isVisible()) await all.click();
  await page
    .getByRole('region', { name: 'Patterns' })
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}
