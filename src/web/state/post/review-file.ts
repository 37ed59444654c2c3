import { notesOf } from '../../../core/criteria/index.ts';
import {
  draftWithPicturesMoved,
  fieldsWithPicturesMoved,
  pictureAddresses,
} from '../../../core/draft/index.ts';
import { effectiveMetaTitle, postPath, slugOf } from '../../../core/listing/index.ts';
import { NoAnswer, readAnswer, reviewPage } from '../../../core/review/index.ts';
import { sha256Base64 } from '../../data/digest.ts';
import { pictureBlob } from '../../data/picture-store.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { keepAnswer } from '../../data/reviews.ts';
import style from '../../review-page/page.css?raw';
import script from '../../review-page/page.js?raw';
import { download } from '../../ui/download.ts';
import { store } from '../store.ts';
import type { PostSession } from './post-session.ts';

const dataAddress = (blob: Blob): Promise<string> =>
  new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(new Error('A picture of the post cannot be read.'));
    reader.readAsDataURL(blob);
  });

/** Saves the post as one file for another pair of eyes: pictures and all; with the notes of the score where that is wished. */
export async function saveReviewFile(session: PostSession, site: SiteRow, withNotes: boolean): Promise<void> {
  const { fields, draft } = session.finished;
  const places = new Map<string, string>();
  for (const src of new Set(pictureAddresses(fields, draft))) {
    const blob = await pictureBlob(session.siteId, src);
    if (blob) places.set(src, await dataAddress(blob));
  }
  const to = (src: string) => places.get(src);
  const report = store.getState().openPost.report;
  const page = reviewPage({
    postId: session.id,
    post: { fields: fieldsWithPicturesMoved(fields, to), draft: draftWithPicturesMoved(draft, to) },
    metaTitle: effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name),
    address: `${site.baseAddress.replace(/^https?:\/\//, '')}${postPath(site, fields) ?? ''}`,
    notes: withNotes && report ? notesOf(report.criteria).flatMap(({ advice }) => advice ?? []) : [],
    script,
    style,
    scriptHash: `sha256-${await sha256Base64(script)}`,
    made: new Date().toISOString(),
  });
  download(`for-review-${slugOf(fields.slug || fields.title) || 'untitled'}.html`, page, 'text/html');
}

/** Takes in the file that a reviewer saved; answers in words what came of it. Throws a sentence where it is none. */
export async function bringAnswer(file: File): Promise<string> {
  try {
    const answer = readAnswer(await file.text());
    const kept = await keepAnswer(answer);
    if (!kept) return 'The post that this answer is about is not here.';
    const [verdict] = answer.verdicts;
    const said = verdict
      ? ` ${verdict.reviewer} ${verdict.says === 'approved' ? 'lets it go out' : 'asks for changes'}.`
      : '';
    const came =
      kept.fresh === 0
        ? 'no new comments'
        : kept.fresh === 1
          ? '1 new comment'
          : `${kept.fresh} new comments`;
    return `“${kept.title}”: ${came}.${said}`;
  } catch (error) {
    if (error instanceof NoAnswer) throw new Error(`${file.name} ${error.message}`);
    throw error;
  }
}
