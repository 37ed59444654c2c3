import { expect, test } from '@playwright/test';
import { emptyFields, readMarkdown, writeDocx } from '../src/core/draft/index.ts';
import { accountOf, demoPicture, file, importFiles, zip } from './steps/files.ts';
import { downloaded, goTo, openPost, openPosts, scoreOf } from './steps/writer.ts';

const PICTURE = demoPicture('IMG_2041.png');

const saved = (slug: string, title: string, body: string) => `<!doctype html><html lang="en"><head>
<title>${title} | Saltmarsh Wheelworks</title><link rel="canonical" href="https://saltmarsh.example/journal/${slug}">
<meta property="article:published_time" content="2025-04-02T10:00:00Z"><meta property="article:section" content="Routes">
<meta name="author" content="Ines Tarn"></head><body><nav><a href="/">Home</a></nav><article><h1>${title}</h1>${body}</article></body></html>`;

const FEED = `<?xml version="1.0"?><rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/" xmlns:dc="http://purl.org/dc/elements/1.1/"><channel>
<link>https://saltmarsh.example</link><language>en</language>
<item><title>Riding &amp; resting</title><link>https://saltmarsh.example/journal/resting</link><pubDate>Wed, 05 Mar 2025 08:00:00 GMT</pubDate><dc:creator>Ines Tarn</dc:creator><category>Routes</category><category>Slow</category><content:encoded><![CDATA[<h2>Why rest</h2><p>A whole text. ${'You ride out along the dyke and come back with the tide. '.repeat(8)}<a href="/about">About us</a></p>]]></content:encoded></item>
<item><title>Only a teaser</title><link>https://saltmarsh.example/journal/teaser</link><description>Read more there.</description></item></channel></rss>`;

test('several files at once become posts, each with a line saying what was read and what was not', async ({
  page,
}) => {
  const docx = await writeDocx(
    {
      fields: { ...emptyFields(), title: 'The lock keeper' },
      draft: readMarkdown('## His hours\n\nFrom **six** on.\n\n![A queue at the ferry](media/q.png)').draft,
    },
    new Map([['media/q.png', PICTURE]]),
  );
  await importFiles(
    page,
    file('tides.md', '---\ntitle: Tides for riders\nkeyword: tide table\n---\n\nText with a [link](/rent).'),
    file('lock.docx', docx.bytes),
    file('mill.html', saved('old-mill', 'The old mill', '<p>Words.</p>')),
    file('latin.txt', Uint8Array.from([...Buffer.from('caf'), 0xe9])),
    file('cut.docx', docx.bytes.slice(0, 900)),
    file('song.mp3', 'ID3'),
  );
  await expect(page.getByRole('status').filter({ hasText: '4 new posts, 2 not read' })).toBeVisible();
  await expect(accountOf(page, 'lock.docx')).toContainText(
    '"The lock keeper" is a new post (.docx, with 1 picture)',
  );
  await expect(accountOf(page, 'latin.txt')).toContainText('read as Windows-1252');
  await expect(accountOf(page, 'cut.docx')).toContainText('damaged or cut off');
  await expect(accountOf(page, 'song.mp3')).toContainText('no kind that can be read');

  await openPost(page, 'The lock keeper');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft.getByRole('heading', { name: 'His hours' })).toBeVisible();
  await expect(draft.getByRole('img', { name: 'A queue at the ferry' })).toHaveAttribute('src', /^blob:/);
  await openPost(page, 'The old mill');
  await expect(page.getByRole('textbox', { name: 'Slug' })).toHaveValue('old-mill');

  await goTo(page, 'Release');
  const { file: out } = await downloaded(page, () => page.getByRole('button', { name: '.docx' }).click());
  expect(out.suggestedFilename()).toBe('old-mill.docx');
});

test('an import can be taken back as a whole', async ({ page }) => {
  const table = await openPosts(page);
  const before = await table.getByRole('row').count();
  await importFiles(
    page,
    file('one.md', '# One\n\nText.'),
    file('addresses.csv', 'url;title\nhttps://saltmarsh.example/new;New'),
  );
  await page.getByRole('button', { name: 'Take it all back' }).click();
  await expect(page.getByText('everything is as it was before the import')).toBeVisible();
  expect(await (await openPosts(page)).getByRole('row').count()).toBe(before);
  await page.getByRole('link', { name: 'Site', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Pages' })).toBeVisible();
  await expect(page.getByText('https://saltmarsh.example/new')).toBeHidden();
});

test('a zipped folder brings its pictures; what is here already is left, replaced with a version, or copied', async ({
  page,
}) => {
  const folder = (words: string) =>
    zip('blog.zip', {
      'posts/quay.md': `---\ntitle: The quay\nslug: quay\n---\n\n${words}\n\n![Queue](../images/queue.png)`,
      'images/queue.png': PICTURE,
      'old/mill.html': saved('mill', 'A mill', '<p>Mill.</p><img src="mill_files/queue.png" alt="Q">'),
      'old/mill_files/queue.png': PICTURE,
      '__MACOSX/posts/._quay.md': 'x',
    });
  await importFiles(page, folder('First words.'));
  await expect(accountOf(page, 'quay.md')).toContainText('with 1 picture');
  await expect(accountOf(page, 'mill.html')).toContainText('with 1 picture');
  await importFiles(page, folder('Second words.'));
  await expect(accountOf(page, 'quay.md')).toContainText('here already');
  await page.getByRole('button', { name: 'Import more' }).click();
  await page
    .getByLabel('A post that is here already')
    .selectOption({ label: 'gets the new text; the old one is kept as a version' });
  await page.getByLabel('Files to import').setInputFiles([folder('Third words.')]);
  await expect(accountOf(page, 'quay.md')).toContainText('took the place');
  await openPost(page, 'The quay');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toContainText('Third words.');
  await page.getByRole('link', { name: 'Versions' }).click();
  await expect(page.getByRole('table', { name: 'Side by side' })).toContainText('First words.');
});

test('the blog that is there: feed to posts, sitemap to pages, links to them counted from then on', async ({
  page,
}) => {
  await page.goto('/site');
  const rows = page.getByRole('table', { name: 'Pages' });
  await rows.getByRole('checkbox', { name: 'Select all shown' }).check();
  await page.getByRole('button', { name: /Take out \d+/ }).click();
  await expect(page.getByRole('heading', { name: /not known yet/ })).toBeVisible();

  await importFiles(page, file('feed.xml', FEED));
  await expect(accountOf(page, 'Riding & resting')).toContainText('new post (feed)');
  await expect(accountOf(page, '1 page')).toContainText('1 entry has a summary only');
  await openPost(page, 'Riding & resting');
  const note = page.getByText('/about is no known page of the site');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toContainText('A whole text.');
  await expect(page.getByRole('textbox', { name: 'Slug' })).toHaveValue('resting');
  await expect(note.first()).toBeVisible();

  await importFiles(
    page,
    file(
      'sitemap.xml',
      '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://saltmarsh.example/about</loc></url><url><loc>https://saltmarsh.example/journal/resting</loc></url></urlset>',
    ),
  );
  await expect(accountOf(page, 'sitemap.xml')).toContainText('1 page of the site is known now');
  await openPost(page, 'Riding & resting');
  await expect(note).toHaveCount(0);
  await page
    .getByRole('textbox', { name: 'Draft' })
    .getByText(/A whole text/)
    .selectText();
  await page.getByRole('button', { name: 'Link', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Link' })).toContainText('/about');
});

test('a thousand files keep the count and can be stopped; the page stays at hand', async ({ page }) => {
  const many = zip(
    'many.zip',
    Object.fromEntries(
      Array.from({ length: 1000 }, (_v, at) => [
        `p/${at}.md`,
        `---\ntitle: Post ${at}\n---\n\n${'Words to read. '.repeat(200)}`,
      ]),
    ),
  );
  await page.goto('/import');
  await page.getByLabel('Files to import').setInputFiles([many]);
  await expect(page.getByText(/^[1-9][\d,]* of 1,000 files/)).toBeVisible();
  await page.getByRole('link', { name: 'House rules' }).click();
  await expect(page.getByRole('heading', { name: 'House rules' })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/Stopped after [\d,]+ of 1,000 files: \d+ new posts/)).toBeVisible();
  await page.getByRole('button', { name: 'Take it all back' }).click();
  await expect(page.getByText('everything is as it was')).toBeVisible();
  await expect((await openPosts(page)).getByRole('link', { name: /^Post \d+$/ })).toHaveCount(0);
});

test('files dropped on the list of posts are brought in', async ({ page }) => {
  const table = await openPosts(page);
  const data = await page.evaluateHandle(() => {
    const transfer = new DataTransfer();
    transfer.items.add(new File(['# Dropped\n\nText.'], 'dropped.md', { type: 'text/markdown' }));
    return transfer;
  });
  await table.dispatchEvent('drop', { dataTransfer: data });
  await expect(accountOf(page, 'dropped.md')).toContainText('"Dropped" is a new post');
  await accountOf(page, 'dropped.md').getByRole('link').click();
  await expect(scoreOf(page)).toHaveText(/\d/);
});
