import { createServer, type Server } from 'node:http';
import { expect, type Page, test } from '@playwright/test';
import { goTo, newPost, openPost, paste, saved, toPosts } from './steps/writer.ts';

const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const lens = (page: Page) => page.getByRole('region', { name: 'Links' });
const openLens = async (page: Page) => {
  await page.getByRole('tab', { name: /^Links/ }).click();
  await expect(lens(page).getByRole('heading', { name: /^From here/ })).toBeVisible();
};
const linkTo = (page: Page, href: string) => draft(page).locator(`a[href="${href}"]`);

test('a page worth linking is linked from its words with one press, and the press is taken back', async ({
  page,
}) => {
  await openPost(page, /Estuary cycling route/);
  await openLens(page);
  const offer = lens(page).getByRole('listitem').filter({ hasText: 'Tide table cycling' });
  await expect(offer.locator('mark')).toHaveText('causeway');
  await offer.getByRole('button', { name: 'Link these words' }).click();
  await expect(linkTo(page, '/journal/tide-table-cycling')).toHaveText('causeway');
  await expect(offer).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(linkTo(page, '/journal/tide-table-cycling')).toHaveCount(0);
  await expect(offer).toBeVisible();
});

test('a post that should link here gets its link, keeps a version of how it was, and has it taken back', async ({
  page,
}) => {
  await openPost(page, /Tide table cycling/);
  await openLens(page);
  const here = page.getByRole('list', { name: 'Posts that should link here' }).getByRole('listitem');
  const estuary = here.filter({ hasText: 'Estuary cycling route' });
  await expect(estuary.locator('mark')).toHaveText('causeway');
  await estuary.getByRole('button', { name: 'Put the link into that post' }).click();
  await expect(estuary).toBeHidden();
  const undo = page.getByRole('button', { name: 'Undo', exact: true }).last();
  await expect(undo).toBeVisible();
  await (await toPosts(page)).getByRole('link', { name: /Estuary cycling route/ }).click();
  await expect(linkTo(page, '/journal/tide-table-cycling')).toHaveText('causeway');
  await undo.click();
  await expect(linkTo(page, '/journal/tide-table-cycling')).toHaveCount(0);
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByText(/Before a link to "Tide table/).first()).toBeVisible();
});

test('the address of a published post changes only when it was asked about; links follow and the old one leads on', async ({
  page,
}) => {
  await openPost(page, /Tide table cycling/);
  const slug = page.getByRole('textbox', { name: 'Slug' });
  await slug.fill('tides');
  await slug.press('Enter');
  const question = page.getByRole('alertdialog', { name: /Change the address/ });
  await expect(question).toContainText('/journal/tide-table-cycling');
  await expect(question).toContainText('Your first bike tour');
  await question.getByRole('button', { name: 'Keep the old address' }).click();
  await expect(slug).toHaveValue('tide-table-cycling');
  await slug.fill('tides');
  await slug.press('Tab');
  await question.getByRole('button', { name: /^Change it, mend/ }).click();
  await expect(slug).toHaveValue('tides');
  const undo = page.getByRole('button', { name: 'Undo', exact: true }).last();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Site' }).click();
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Addresses' }).click();
  await expect(page.getByRole('heading', { name: '1 old address leads on' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Redirects' })).toContainText(
    '/journal/tide-table-cycling leads to /journal/tides',
  );
  await (await toPosts(page)).getByRole('link', { name: /first bike tour/i }).click();
  await expect(linkTo(page, '/journal/tides').first()).toBeVisible();
  await undo.click();
  await expect(linkTo(page, '/journal/tide-table-cycling').first()).toBeVisible();
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Site' }).click();
  await page.getByRole('navigation', { name: 'Site' }).getByRole('link', { name: 'Addresses' }).click();
  await expect(page.getByText('No old address leads on')).toBeVisible();
});

test('Ctrl K links the words that are selected, and opens the actions where none are', async ({ page }) => {
  await newPost(page);
  await draft(page).click();
  await page.keyboard.type('Mind the tides.');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog', { name: 'Actions' })).toBeVisible();
  await page.keyboard.press('Escape');
  await draft(page)
    .getByText('Mind the tides.')
    .dblclick({ position: { x: 4, y: 8 } });
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: /Address, or words/ }).fill('tide table');
  await page.keyboard.press('Enter');
  await expect(linkTo(page, '/journal/tide-table-cycling')).toHaveText('Mind');
});

test.describe('links that lead outside', () => {
  let host: Server;
  let asked: string[] = [];
  let address = '';
  test.beforeEach(async ({ baseURL }) => {
    const port = Number(new URL(baseURL!).port) + 1;
    address = `http://127.0.0.1:${port}`;
    asked = [];
    host = createServer((request, response) => {
      asked.push(`${request.method} ${request.url}`);
      if (request.url === '/moved') response.writeHead(301, { location: '/new' }).end();
      else response.writeHead(request.url === '/new' ? 200 : 404).end();
    });
    await new Promise<void>((done) => host.listen(port, '127.0.0.1', done));
  });
  test.afterEach(() => new Promise<void>((done) => void host.close(() => done())));

  test('are checked by the server, and nobody inside is asked', async ({ page }) => {
    await newPost(page);
    await draft(page).click();
    const text = [
      `A [lost mill](${address}/lost), a [moved mill](${address}/moved)`,
      'and a [router](http://192.168.0.1/admin).',
    ].join(' ');
    await paste(page, '', text);
    await expect(draft(page).getByRole('link')).toHaveCount(3);
    await saved(page);
    await openLens(page);
    await lens(page).getByRole('button', { name: 'Check 3 outside links' }).click();
    await expect(lens(page).getByText(/^Checked today/)).toBeVisible();
    const faults = page.getByRole('list', { name: 'Links at fault' }).getByRole('listitem');
    await expect(faults.filter({ hasText: 'lost mill' })).toContainText('There is no page (404)');
    await expect(faults.filter({ hasText: 'moved mill' })).toContainText('has moved for good');
    await lens(page).getByText('1 address could not be told').click();
    await expect(lens(page)).toContainText('not on the public internet');
    expect(asked.sort()).toEqual(['GET /lost', 'HEAD /lost', 'HEAD /moved', 'HEAD /new']);
    await faults
      .filter({ hasText: 'moved mill' })
      .getByRole('button', { name: /^Lead to/ })
      .click();
    await expect(linkTo(page, `${address}/new`)).toHaveText('moved mill');
    await goTo(page, 'Target');
    await goTo(page, 'Write');
    await openLens(page);
    await expect(faults.filter({ hasText: 'lost mill' })).toContainText('There is no page (404)');
  });
});
