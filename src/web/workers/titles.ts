import { DraftReadings } from '../../core/criteria/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';
import { cutOfTitle, effectiveMetaTitle, pixelWidth, TITLE_SIZE } from '../../core/listing/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import { indexedPost } from '../../core/site/index.ts';
import { type LikeTitle, mostAlike, type TitleShapes, titleShapes } from '../../core/writing/index.ts';
import { sceneOf } from '../data/scene.ts';
import { studyOfPost } from '../data/studies.ts';
import { surroundings } from './draft-surroundings.ts';

/** One title judged as the title of a post, and as its meta title. */
export interface JudgedTitle {
  text: string;
  /** Pixels in the results, with the site's pattern. */
  width: number;
  characters: number;
  /** What the results would cut of it. */
  cut: 'title' | 'pattern' | null;
  /** How the keyword stands in it, as the criterion says. */
  keyword: string;
  /** What the score would be with it as title, and as meta title. */
  asTitle: number;
  asMetaTitle: number;
  /** The most alike of the site's other posts, and of the pages studied. */
  onSite: LikeTitle | null;
  inStudy: LikeTitle | null;
}

/** Titles side by side. */
export interface TitlesView {
  /** What the score is now. */
  score: number;
  titles: JudgedTitle[];
  /** The shapes of the titles of the pages studied; null: there is no study. */
  shapes: TitleShapes | null;
}

export const titles = {
  /** Judges titles for a post within its site and its study. */
  async titlesOf(
    siteId: string,
    postId: string,
    document: PostDocument,
    texts: readonly string[],
  ): Promise<TitlesView> {
    const [{ vocabulary, data, posts, site }, study] = await Promise.all([
      surroundings(siteId, postId, document),
      studyOfPost(siteId, postId),
    ]);
    const scene = sceneOf(data);
    const readings = new DraftReadings(vocabulary);
    const scoreWith = (fields: Partial<PostDocument['fields']>) => {
      const changed = { ...document, fields: { ...document.fields, ...fields } };
      return scorePost(changed, indexedPost(postId, changed), scene, readings).report;
    };
    const others = posts.filter(({ id }) => id !== postId).map(({ fields }) => fields.title);
    const studied = (study?.pages ?? [])
      .filter(({ left, problem, title }) => !left && !problem && title)
      .map(({ title }) => title);
    const most = scene.site.profile?.limits.metaTitlePixels[2] ?? 580;
    const judged = texts.map((text): JudgedTitle => {
      const shown = effectiveMetaTitle(text, text, site.titlePattern, site.name);
      const asMetaTitle = scoreWith({ metaTitle: text });
      const keyword = asMetaTitle.criteria.find(({ id }) => id === 'meta-title-keyword');
      return {
        text,
        width: pixelWidth(shown, TITLE_SIZE),
        characters: [...text].length,
        cut: cutOfTitle(shown, text, TITLE_SIZE, most),
        keyword: String(keyword?.measured ?? ''),
        asTitle: scoreWith({ title: text }).score,
        asMetaTitle: asMetaTitle.score,
        onSite: mostAlike(text, others),
        inStudy: mostAlike(text, studied),
      };
    });
    return { score: scoreWith({}).score, titles: judged, shapes: titleShapes(studied) };
  },
};

export type Titles = typeof titles;
