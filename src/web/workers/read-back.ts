import { DraftReadings } from '../../core/criteria/index.ts';
import { type PostDocument, type Translation, translationsIn } from '../../core/draft/index.ts';
import { effectiveMetaTitle } from '../../core/listing/index.ts';
import { type ReadBackFault, readBack } from '../../core/release/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import {
  indexedPost,
  openToReaders,
  pathOfPost,
  type SiteSettings,
  translationGround,
} from '../../core/site/index.ts';
import { postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { sceneOf } from '../data/scene.ts';

/** What became of a post on its way to its readers. */
export interface ReadBackAccount {
  /** Points of the page as its readers get it. */
  score: number;
  /** The same of what was sent. */
  sent: number;
  faults: ReadBackFault[];
}

/** The pages in other languages that readers can open: a blog need not name what is not there yet. */
async function openTranslations(
  siteId: string,
  translations: readonly string[],
  site: SiteSettings,
): Promise<Translation[]> {
  const posts = await postsOf(siteId);
  const isOpen = openToReaders(posts.map(({ fields }) => fields.status));
  const { pathOf } = translationGround(site, []);
  const waiting = new Set(
    posts.filter(({ fields }) => !isOpen(fields.status)).map(({ fields }) => pathOfPost(fields, site)),
  );
  return translationsIn(translations).filter(({ address }) => {
    const path = pathOf(address);
    return path === null || !waiting.has(path);
  });
}

/**
 * Reads a page back beside the post that was sent, and scores both. Target, slug and dates are no page's to tell: those of the
 * post hold for the page too.
 */
export async function readPageBack(
  siteId: string,
  postId: string,
  page: { html: string; address: string },
  sent: PostDocument,
): Promise<ReadBackAccount> {
  const data = await readScene(siteId, postId);
  if (!data) throw new Error('The site is gone.');
  const { fields } = sent;
  const expected = {
    metaTitle: effectiveMetaTitle(fields.metaTitle, fields.title, data.site.titlePattern, data.site.name),
    canonical: fields.canonical || page.address,
    language: fields.language || data.site.language,
    translations: await openTranslations(siteId, fields.translations, data.site),
  };
  const { document, faults } = readBack(page.html, page.address, sent, expected);
  const scene = sceneOf(data);
  const scoreOf = (post: PostDocument, site = scene.site) =>
    scorePost(post, indexedPost(postId, post), { ...scene, site }, new DraftReadings()).report.score;
  const asRead: PostDocument = {
    fields: {
      ...fields,
      title: document.fields.title || fields.title,
      metaTitle: document.fields.metaTitle,
      metaDescription: document.fields.metaDescription,
    },
    // Its pictures lie under other addresses there; their files are the ones that are known here.
    draft: document.draft,
  };
  return {
    // The title on the page has the pattern in it.
    score: scoreOf(asRead, { ...scene.site, titlePattern: null }),
    sent: scoreOf(sent),
    faults,
  };
}
