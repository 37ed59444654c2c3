import { expect, type Page, test } from '@playwright/test';
import { ATTACKS } from '../src/core/draft/attacks.test-data.ts';
import { emptyFields, readMarkdown, writeDocx } from '../src/core/draft/index.ts';
import { alteredBackup, restore, savedBackup } from './steps/backups.ts';
import { file, importFiles, zip } from './steps/files.ts';
import { downloaded, goTo, openPost, openPosts, paste, saved } from './steps/writer.ts';

const ALL = ATTACKS.join('\n');
const TITLE = '<img src=x onerror=alert(1)> a title';

/** Notes whatever runs, and whatever the page's policy had to stop. */
test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => {
    const noted: string[] = [];
    Object.assign(window, { noted, alert: () => noted.push('alert'), msgbox: () => noted.push('msgbox') });
    document.addEventListener('securitypolicyviolation', (event) =>
      noted.push(`${event.violatedDirective} ${event.blockedURI} ${event.sample}`),
    );
  });
});

/** Elements of a page that could run something. */
const dangerous = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('*')].flatMap((el) => {
      const bad = [...el.attributes].filter(
        ({ name, value }) =>
          name.startsWith('on') ||
          name === 'srcdoc' ||
          (/^(?:href|src|action|data|xlink:href|background)$/.test(name) &&
            // biome-ignore lint/suspicious/noControlCharactersInRegex: browsers pass over these in a scheme
            /^(?:javascript|vbscript|data:text)/i.test(value.replace(/[\u0000-\u0020]/g, ''))),
      );
      const own =
        el instanceof HTMLScriptElement && el.src !== '' && new URL(el.src).origin === location.origin;
      // The application's own forms send nothing anywhere; one from outside names where to.
      const runs =
        (/^(?:SCRIPT|OBJECT|EMBED|BASE)$/.test(el.tagName) && !own) ||
        (el.tagName === 'FORM' && el.hasAttribute('action'));
      return bad.length || runs ? [el.outerHTML.slice(0, 120)] : [];
    }),
  );

/** Nothing ran, nothing tried to, and nothing stands in the page that could. */
async function expectHarmless(page: Page): Promise<void> {
  expect(await page.evaluate(() => (window as unknown as { noted: string[] }).noted)).toEqual([]);
  expect(await dangerous(page)).toEqual([]);
}

/** Walks a post through the screens that show its text. */
async function walk(page: Page, title: string | RegExp): Promise<void> {
  await openPost(page, title);
  await expectHarmless(page);
  for (const step of ['Target', 'Outline', 'Release']) {
    await goTo(page, step);
    await expect(page.getByRole('main')).toBeVisible();
    await expectHarmless(page);
  }
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('heading', { name: /Kept by hand/ })).toBeVisible();
  await expectHarmless(page);
}

/** Opens what a post is exported as, with nothing to protect the reader but its own harmlessness. */
async function readExport(page: Page): Promise<void> {
  await goTo(page, 'Release');
  const { text } = await downloaded(page, () => page.getByRole('button', { name: 'HTML' }).click());
  const reader = await page.context().newPage();
  let ran = false;
  await reader.exposeFunction('alert', () => {
    ran = true;
  });
  await reader.setContent(text);
  expect(await dangerous(reader)).toEqual([]);
  expect(ran).toBe(false);
  await reader.close();
}

test('pasted as markup and as Markdown, and typed as a link', async ({ page }) => {
  await openPosts(page);
  await page.getByRole('button', { name: 'New post' }).click();
  await goTo(page, 'Write');
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await draft.click();
  await paste(page, `<p>Pasted markup</p>${ALL}`);
  await page.keyboard.press('Control+End');
  await paste(page, `<p data-pm-slice="0 0 []">Said to be the editor's own</p>${ALL}`);
  await page.keyboard.press('Control+End');
  await paste(page, '', `# Pasted Markdown\n\n[a](javascript:alert(1))\n\n${ATTACKS.join('\n\n')}`);
  await expect(draft).toContainText('Pasted markup');
  await saved(page);
  await expectHarmless(page);
  for (const link of await draft.getByRole('link').all())
    await link.click({ modifiers: ['ControlOrMeta'] }).catch(() => {});
  await expectHarmless(page);
  await page.reload();
  await expect(draft).toContainText('Pasted markup');
  await expectHarmless(page);
  await readExport(page);
});

test('imported as HTML, Markdown, text, .docx, feed, sitemap, list and inside a zip', async ({ page }) => {
  const html = (name: string) =>
    `<html><head><title>${name}</title></head><body onload="alert(1)"><article><h1>${name}</h1><p>Words.</p>${ALL}</article></body></html>`;
  const docx = await writeDocx(
    {
      fields: { ...emptyFields(), title: 'Attack by docx' },
      draft: {
        version: 1,
        blocks: readMarkdown('A [link](https://a.example).').draft.blocks.map((block) => ({
          ...block,
          marks: block.marks.map((mark) => ({ ...mark, href: 'javascript:alert(1)' })),
        })),
      },
    },
    new Map(),
  );
  await importFiles(
    page,
    file('attack.html', html('Attack by HTML')),
    file(
      'attack.md',
      `---\ntitle: "${TITLE}"\nimage: "javascript:alert(1)"\ncanonical: "javascript:alert(1)"\nkeyword: "<script>alert(1)</script>"\n---\n\n${ATTACKS.join('\n\n')}`,
    ),
    file('attack.txt', `Attack by text\n\n${ALL}`),
    file('attack.docx', docx.bytes),
    file(
      'feed.xml',
      `<rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/"><channel><link>https://saltmarsh.example</link><item><title>Attack by feed</title><link>javascript:alert(1)</link><content:encoded><![CDATA[<p>Words.</p>${ALL}]]></content:encoded></item></channel></rss>`,
    ),
    file(
      'list.csv',
      `address,title\nhttps://saltmarsh.example/x,"${TITLE.replaceAll('"', '""')}"\njavascript:alert(1),no`,
    ),
    file('<img src=x onerror=alert(1)>.mp3', 'x'),
    zip('folder.zip', { 'a/zipped.html': html('Attack by zip') }),
  );
  await expectHarmless(page);
  await page.goto('/site');
  await expect(page.getByRole('table', { name: 'Pages' })).toContainText('a title');
  await expectHarmless(page);
  await openPosts(page);
  await expectHarmless(page);
  for (const title of [
    /Attack by HTML/,
    /a title/,
    /attack$/,
    /Attack by docx/,
    /Attack by feed/,
    /Attack by zip/,
  ]) {
    await walk(page, title);
    await readExport(page);
  }
});

test('restored from a backup that was sealed by an attacker', async ({ page }) => {
  const backup = await alteredBackup(await savedBackup(page), (data) => {
    const rows = data as Record<
      string,
      {
        postId: string;
        draft: { blocks: Record<string, unknown>[] };
        fields: { title: string; image: string };
        name: string;
      }[]
    >;
    const body = rows['bodies'].find(({ postId }) => postId.includes('panniers'))!;
    body.draft.blocks = ATTACKS.map((attack, at) => ({
      id: `k${at}`,
      kind: 'kept',
      path: [],
      text: '',
      marks: [],
      html: attack,
      embeds: [],
    }));
    body.draft.blocks.push(
      {
        id: 'link',
        kind: 'paragraph',
        path: [],
        text: 'Restored words',
        marks: [{ type: 'link', start: 0, end: 8, href: 'javascript:alert(1)' }],
      },
      {
        id: 'image',
        kind: 'image',
        path: [],
        text: 'Caption',
        marks: [],
        image: { src: 'data:text/html,<script>alert(1)</script>', alt: 'x', link: 'javascript:alert(1)' },
      },
    );
    for (const post of rows['posts']) post.fields.title = `${post.fields.title} ${TITLE}`;
    rows['sites'][0].name = TITLE;
  });
  await restore(page, backup, 'replace');
  await expectHarmless(page);
  await openPosts(page);
  await expectHarmless(page);
  await walk(page, /Waterproof panniers/);
  await goTo(page, 'Write');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toContainText('Restored words');
  await readExport(page);
});
