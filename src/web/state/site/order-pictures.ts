import { type DraftEdit, wholeProfile } from '../../../core/criteria/index.ts';
import { pictureOrder, pictureRules, shownPictures } from '../../../core/pictures/index.ts';
import { database } from '../../data/database.ts';
import { loadPost } from '../../data/posts.ts';
import { picturesWorker } from '../../workers/pictures-client.ts';
import { changeOtherPost } from '../post/change-other-post.ts';
import { fitPicture, showInstead } from '../post/fit-pictures.ts';
import type { TakeBack } from '../undo.ts';

/** What came of making the pictures of posts lighter. */
export interface OrderedPictures {
  /** Files that are lighter now. */
  files: number;
  bytesBefore: number;
  bytesAfter: number;
  /** Why a file could not be made lighter, each a sentence. */
  problems: string[];
  backs: TakeBack[];
}

/**
 * Makes the pictures of posts as light and narrow as the house wishes, each beside its original, which is kept: the posts show the new
 * files from then on. `tell` hears how many posts are done.
 */
export async function lightenPictures(
  siteId: string,
  postIds: readonly string[],
  tell: (done: number) => void = () => {},
): Promise<OrderedPictures> {
  const site = await database().sites.get(siteId);
  if (!site) throw new Error('The site is gone.');
  const rules = pictureRules(wholeProfile(site.profile).limits, site.house.pictureFormat);
  const found: OrderedPictures = { files: 0, bytesBefore: 0, bytesAfter: 0, problems: [], backs: [] };
  for (const [at, id] of postIds.entries()) {
    const loaded = await loadPost(id);
    if (!loaded) continue;
    const { fields } = loaded.row;
    const shown = shownPictures({ fields, draft: loaded.draft });
    const files = await (await picturesWorker()).look(siteId, [...new Set(shown.map(({ src }) => src))]);
    const edits: DraftEdit[] = [];
    for (const plan of pictureOrder(shown, files, fields.keyword, rules)) {
      if (!plan.steps.includes('weight') && !plan.steps.includes('width')) continue;
      try {
        const { src, bytes } = await fitPicture(siteId, plan, rules);
        edits.push(...showInstead(plan, src));
        found.files += 1;
        found.bytesBefore += plan.file.bytes;
        found.bytesAfter += bytes;
      } catch (error) {
        found.problems.push(`${plan.name}: ${(error as Error).message}`);
      }
    }
    const back =
      edits.length > 0 ? await changeOtherPost(id, edits, 'Before its pictures were made lighter') : null;
    if (back) found.backs.push(back);
    tell(at + 1);
  }
  return found;
}
