import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { defaultProfile } from '../src/core/criteria/index.ts';
import { file } from './steps/files.ts';
import { downloaded, exactScore, goTo, openPost, openPosts, scoreOf } from './steps/writer.ts';

const effect = (page: Page) => page.getByRole('complementary', { name: 'Effect' });

test('a new post begins with the brief of the house; its checklist is ticked on Release', async ({
  page,
}) => {
  await page.goto('/rules');
  await page.getByLabel('Goal of a post').fill('Win riders');
  await page.getByLabel('Length of a post').fill('a lot');
  await expect(page.getByText('"a lot" is no number of words')).toBeVisible();
  await page.getByLabel('Length of a post').fill('1200');
  await page.getByLabel('A new point').fill('Prices looked up');
  await page
    .getByRole('region', { name: 'Checklist' })
    .getByRole('button', { name: 'Add', exact: true })
    .click();
  await page.getByRole('button', { name: 'Take out point 1' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: 'Point 4' })).toHaveValue('Prices looked up');
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await expect(page.getByLabel(/^Goal/)).toHaveValue('Win riders');
  await expect(page.getByLabel(/words/i).first()).toBeVisible();
  await openPost(page, /Waterproof panniers/);
  await goTo(page, 'Release');
  const list = page.getByRole('region', { name: 'House checklist' });
  await list.getByLabel('Prices looked up').check();
  await expect(list).toContainText('1 of 4 done');
  await page.reload();
  await expect(list.getByLabel('Prices looked up')).toBeChecked();
});

test('weights and limits: the effect is shown before it is applied; applied, undone, exported, imported, reset', async ({
  page,
}) => {
  await openPost(page, /How to fix a flat/);
  await expect(scoreOf(page)).toHaveText(/\d/);
  const before = await exactScore(page);
  await page.goto('/rules/criteria');
  const apply = effect(page).getByRole('button', { name: /apply/i });
  await expect(apply).toBeDisabled();
  await page.getByLabel('Meta description width', { exact: true }).fill('0');
  const row = effect(page).getByRole('row').filter({ hasText: 'How to fix a flat' });
  await expect(row).toContainText('→');
  // The ridge tells rounded points of seven groups.
  expect(Math.abs(Number((await row.textContent())?.match(/([\d.]+) →/)?.[1]) - before)).toBeLessThan(0.4);
  const byOne = (await row.textContent()) ?? '';
  await page.getByLabel('Longest paragraph').fill('40');
  const more = effect(page).getByRole('button', { name: /^and \d+ more$/ });
  await more.click();
  await expect(row).not.toHaveText(byOne);
  const after = Number((await row.textContent())?.match(/→ ([\d.]+)/)?.[1]);
  await page.getByLabel('Longest paragraph').fill('many');
  await expect(effect(page).getByRole('alert')).toContainText('Longest paragraph: "many" is no number');
  await page.getByLabel('Longest paragraph').fill('40');
  await effect(page).getByRole('button', { name: 'Apply 2 changes' }).click();
  await openPost(page, /How to fix a flat/);
  await expect.poll(async () => Math.abs((await exactScore(page)) - after)).toBeLessThan(0.4);

  await page.goto('/rules/criteria');
  const { file: out } = await downloaded(page, () =>
    page.getByRole('button', { name: 'Export as JSON' }).click(),
  );
  const exported = JSON.parse(readFileSync(await out.path(), 'utf8'));
  expect(exported.weights['meta-description-width']).toBe(0);
  await page.getByRole('button', { name: 'Back to the defaults' }).click();
  await effect(page).getByRole('button', { name: 'Apply 2 changes' }).click();
  await expect(apply).toBeDisabled();
  const give = (name: string, content: string) =>
    page.getByLabel('Profile to import').setInputFiles([file(name, content)]);
  await give('letter.json', 'Dear all');
  await expect(page.getByRole('alert')).toContainText('letter.json cannot be used: it is no JSON');
  await give('wrong.json', JSON.stringify({ ...defaultProfile, weights: { 'meta-title-width': -1 } }));
  await expect(page.getByRole('alert')).toContainText('wrong.json cannot be used. The profile is not valid');
  await give('ours.json', JSON.stringify(exported));
  await expect(page.getByLabel('Longest paragraph')).toHaveValue('40');
  await more.click();
  // What it would do has moved the button when it is there.
  await expect(row).toContainText('→');
  await effect(page).getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByLabel('Longest paragraph')).toHaveValue('120');
});

test('several sites, each with its own posts and rules; one that is removed comes back', async ({ page }) => {
  const demo = await (await openPosts(page)).getByRole('row').count();
  const switcher = page.getByRole('button', { name: /^Site: / });
  await switcher.click();
  await page.getByRole('menuitem', { name: 'New site' }).click();
  await page.getByLabel('Site name').fill('Second blog');
  await page.getByRole('link', { name: 'Posts', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'No posts yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin a post' }).click();
  await page.getByLabel('Primary keyword').fill('second keyword');
  await page.getByRole('link', { name: 'Posts', exact: true }).click();
  await expect(page.getByText('1 post', { exact: true })).toBeVisible();
  await switcher.click();
  await page.getByRole('menuitem', { name: /Saltmarsh Wheelworks/ }).click();
  await expect(page.getByRole('table', { name: 'Posts' }).getByRole('row')).toHaveCount(demo);
  await switcher.click();
  await page.getByRole('menuitem', { name: /Second blog/ }).click();
  await page.getByRole('link', { name: 'House rules' }).click();
  await page.getByRole('button', { name: 'Remove Second blog' }).click();
  await expect(page.getByLabel('Site name')).toHaveValue('Saltmarsh Wheelworks');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Site name')).toHaveValue('Second blog');
});

test('a post begun from another carries its text and none of its address, and says what is left over', async ({
  page,
}) => {
  const table = await openPosts(page);
  await table.getByRole('button', { name: /^Begin a post from Waterproof panniers/ }).click();
  await expect(page.getByLabel('Primary keyword')).toHaveValue('');
  await goTo(page, 'Write');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue('');
  await expect(page.getByRole('textbox', { name: 'Slug' })).toHaveValue('');
  await expect(page.getByRole('textbox', { name: 'Meta description' })).toHaveValue('');
  const note = page.getByRole('note');
  await expect(note).toContainText(/\d+ blocks still stand as in “Waterproof panniers/);
  const count = async () => Number((await note.textContent())?.match(/\d+/)?.[0]);
  const all = await count();
  await draft.getByRole('paragraph').first().click();
  await page.keyboard.type('Now about something else. ');
  await expect.poll(count).toBe(all - 1);
  await goTo(page, 'Release');
  await expect(note).toContainText('still stand');
  await page.getByRole('button', { name: 'Let it stay' }).click();
  await expect(note).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(note).toBeVisible();
});
