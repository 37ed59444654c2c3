import { expect, test } from '@playwright/test';

test('columns that were left out and a margin that was made wider stand so again', async ({ page }) => {
  await page.goto('/posts');
  const posts = page.getByRole('table', { name: 'Posts' });
  await expect(posts.getByRole('columnheader', { name: /Keyword/ })).toBeVisible();
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'Keyword' }).uncheck();
  await page.keyboard.press('Escape');
  await expect(posts.getByRole('columnheader', { name: /Keyword/ })).toBeHidden();

  await posts.getByRole('link', { name: 'How to fix a flat bike tyre by the road' }).click();
  const edge = page.getByRole('separator', { name: 'Width of the margin' });
  const margin = page.getByRole('region', { name: 'Notes' });
  await expect(edge).toBeVisible();
  const before = (await margin.boundingBox())?.width ?? 0;
  await edge.focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await margin.boundingBox())?.width ?? 0).toBeGreaterThan(before + 40);
  const wider = (await margin.boundingBox())?.width ?? 0;

  await page.reload();
  await expect.poll(async () => Math.round((await margin.boundingBox())?.width ?? 0)).toBe(Math.round(wider));
  await page
    .getByRole('navigation', { name: 'Main' })
    .getByRole('link', { name: 'Posts', exact: true })
    .click();
  await expect(posts.getByRole('columnheader', { name: /Status/ })).toBeVisible();
  await expect(posts.getByRole('columnheader', { name: /Keyword/ })).toBeHidden();
});

test('notes give way to one another in a narrower window too', async ({ page }) => {
  await page.setViewportSize({ width: 1680, height: 900 });
  await page.goto('/posts');
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: 'How to fix a flat bike tyre by the road' })
    .click();
  const notes = page.getByRole('region', { name: 'Notes' }).getByRole('listitem');
  await expect(notes.first()).toBeVisible();
  const overlaps = async () => {
    const boxes = (await Promise.all((await notes.all()).map((note) => note.boundingBox()))).flatMap(
      (box) => box ?? [],
    );
    boxes.sort((a, b) => a.y - b.y);
    return boxes.filter((box, at) => at > 0 && box.y < boxes[at - 1].y + boxes[at - 1].height - 1).length;
  };
  await expect.poll(overlaps).toBe(0);
  const tall = (await notes.first().boundingBox())?.height ?? 0;
  await page.setViewportSize({ width: 1200, height: 900 });
  // They are taller now, and stand apart all the same.
  await expect.poll(async () => (await notes.first().boundingBox())?.height ?? 0).toBeGreaterThan(tall);
  await expect.poll(overlaps).toBe(0);
});

test('what was typed stays when the window becomes narrow enough for one column, and when it is wide again', async ({
  page,
}) => {
  await page.goto('/posts');
  await page
    .getByRole('table', { name: 'Posts' })
    .getByRole('link', { name: 'How to fix a flat bike tyre by the road' })
    .click();
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: 'Outline' }).click();
  await page.getByRole('button', { name: 'Brief' }).click();
  const field = page.getByRole('textbox', { name: 'Text that came back' });
  await field.fill('A text that came back from another writer.');
  const wide = await field.boundingBox();
  await page.setViewportSize({ width: 800, height: 800 });
  await expect.poll(async () => (await field.boundingBox())?.x).toBeLessThan(wide?.x ?? 0);
  await expect(field).toHaveValue('A text that came back from another writer.');
  await field.scrollIntoViewIfNeeded();
  await expect(page.getByRole('separator')).toBeHidden();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(field).toHaveValue('A text that came back from another writer.');
  await expect(page.getByRole('separator', { name: /Width of/ })).toBeVisible();
});
