import { expect, type Page, test } from '@playwright/test';
import { POSTS } from '../src/core/criteria/wordings/posts.test-data.ts';
import { faultsOf } from './steps/accessibility.ts';
import { file, importFiles } from './steps/files.ts';
import { exactScore, goTo, openPost, saved } from './steps/writer.ts';

const { keyword, title, md } = POSTS['de'];
const ENGLISH = 'Waterproof panniers: how to choose';

/** A German post with a figure of nobody's, a word that ages, a stock phrase and a link of vague words. */
const GERMAN = `---
title: ${title}
description: Welche Taschen bleiben im Regen dicht? Verschluss, Nähte, Haken und die Pflege nach der Fahrt.
slug: wasserdichte-packtaschen
keyword: ${keyword}
language: de
questions:
  - Wie pflegt man Packtaschen nach der Fahrt?
---

${md}

Kürzlich haben wir alle geprüft. Rund 40 % aller geklebten Nähte halten keine fünf Jahre. In der heutigen Zeit ist das viel. Mehr steht [hier](/journal/waterproof-panniers).
`;

async function germanPost(page: Page): Promise<void> {
  await importFiles(page, file('tasche.md', GERMAN));
  await openPost(page, title);
}

test('a German post is scored with all criteria that a text can be judged by', async ({ page }) => {
  await germanPost(page);
  const before = await exactScore(page);
  await page.getByRole('tab', { name: /^Ledger/ }).click();
  const ledger = page.getByRole('region', { name: 'Ledger' });
  const rows = ledger.getByRole('row');
  await expect(rows.filter({ hasText: 'Reading ease' })).toBeVisible();
  const idle = (await rows.allInnerTexts())
    .filter((text) => text.trimEnd().endsWith('–'))
    .map((text) => /\p{L}[\p{L} ]+/u.exec(text)![0].trim());
  // What is left wants pictures, a study, supporting keywords, a voice or the next step of a brief, in any language.
  expect(idle.sort()).toEqual([
    'Alt text',
    'Alt text that describes',
    'Keyword in alt text',
    'Picture file names',
    'Picture file size',
    'Sounds like the house',
    'Staple terms',
    'Supporting keywords',
    'Supporting terms',
    'The next step',
    'Topics covered',
  ]);
  for (const name of [
    'Sentences that are sentences',
    'Sentences in order',
    'On the subject',
    'An answer early on',
    'Questions answered',
  ])
    await expect(rows.filter({ hasText: name })).toContainText('earned');

  await page.getByRole('tab', { name: /Notes/ }).click();
  const notes = page.getByRole('region', { name: 'Notes' });
  await expect(notes).toContainText('1 place that ages: "Kürzlich"');
  await expect(notes).toContainText('1 stock phrase: "In der heutigen Zeit"');
  await expect(notes).toContainText('1 figure has no source: "Rund 40 % aller geklebten Nähte');
  await notes.getByRole('button', { name: 'It is our own count' }).click();
  await expect(notes).not.toContainText('has no source');
  expect(await exactScore(page)).toBeGreaterThan(before);
});

test('posts in two languages name each other, and what is named one way alone is mended over the site', async ({
  page,
}) => {
  await germanPost(page);
  await goTo(page, 'Release');
  await page.getByText('Search, languages, comments, place').click();
  const choice = page.getByLabel('A post of the site');
  await choice.selectOption({
    label: (await choice.getByRole('option', { name: ENGLISH }).innerText()).trim(),
  });
  await expect(page.getByRole('listitem').filter({ hasText: 'name each other' })).toBeVisible();
  const here = page.getByRole('list', { name: 'In other languages' });
  await expect(here).toContainText('English: ');
  expect(await faultsOf(page, 'release')).toEqual([]);
  await saved(page);

  // The other post names it back.
  await here.getByRole('link').click();
  const back = page.getByRole('list', { name: 'In other languages' });
  await expect(back).toContainText(`German: ${title}`);
  await page.getByRole('button', { name: `Take ${title} out` }).click();
  await expect(back).toBeHidden();
  await saved(page);

  await page.goto('/site/upkeep');
  await page.getByRole('tab', { name: 'Languages 1' }).click();
  const faults = page.getByRole('list', { name: 'Languages that do not fit' });
  await expect(faults).toContainText(
    `“${title}” names it as the same in another language, and is not named back.`,
  );
  expect(await faultsOf(page, 'languages')).toEqual([]);
  await faults.getByRole('button', { name: 'Name it' }).click();
  const said = page.getByRole('listitem').filter({ hasText: 'The languages of 1 post are put right.' });
  await expect(said).toBeVisible();
  // Readers have the English one and cannot open the German one yet: that is said, and nobody can mend it here.
  await expect(faults).toContainText(`It names “${title}”, which readers cannot open yet.`);
  await said.getByRole('button', { name: 'Undo' }).click();
  await expect(faults).toContainText('is not named back');
});
