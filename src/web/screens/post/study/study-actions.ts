import { toast } from 'sonner';
import { writeStudyFile } from '../../../../core/formats/index.ts';
import type { Asked } from '../../../../core/study/index.ts';
import { addStudy, changeStudy, removeStudy } from '../../../data/studies.ts';
import type { StudyRow } from '../../../data/study-rows.ts';
import { offerUndo } from '../../../state/undo.ts';
import { download } from '../../../ui/download.ts';
import { counted } from '../../../ui/figures.ts';

/** Takes pages of a study in, or leaves them out, with a way back. */
export async function takePages(
  studyId: string,
  addresses: readonly string[],
  taken: boolean,
): Promise<void> {
  const set = (left: boolean) => (now: StudyRow) => ({
    pages: now.pages.map((page) => (addresses.includes(page.address) ? { ...page, left } : page)),
  });
  await changeStudy(studyId, set(!taken));
  if (!taken)
    offerUndo(
      `${counted(addresses.length, 'page')} left out.`,
      async () => {
        await changeStudy(studyId, set(false));
      },
      8000,
    );
}

/** Takes questions of the writer's own into a study; those that are there already are not there twice. */
export async function addQuestions(studyId: string, asked: readonly Asked[]): Promise<void> {
  let fresh: readonly Asked[] = [];
  await changeStudy(studyId, (row) => {
    const known = new Set(row.asked.map(({ text }) => text.toLowerCase()));
    fresh = asked.filter(({ text }) => !known.has(text.toLowerCase()));
    return { asked: [...row.asked, ...fresh] };
  });
  toast(fresh.length > 0 ? `${counted(fresh.length, 'question')} added.` : 'They are in the study already.');
}

/** Takes a study out, with a way back. */
export async function takeStudyOut(studyId: string): Promise<void> {
  const back = await removeStudy(studyId);
  offerUndo('The study was taken out.', () => back(), 10_000);
}

/** Gives one of the posts that share a study a copy for itself. */
export async function copyForPost(row: StudyRow, postId: string): Promise<void> {
  await addStudy({ ...row, id: crypto.randomUUID(), revision: 1, posts: [postId] }, []);
  toast('This post has a copy of the study for itself now.');
}

/** Saves what a study found as a file that `score` and `outline` read; nothing before it has found anything. */
export function saveStudy({ query, region, made, pages, facts }: StudyRow): void {
  if (!facts) return;
  download(
    `study-${query.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}.json`,
    writeStudyFile({
      query,
      region,
      made,
      pages: pages.map(({ address, publisher, rank, title, left, problem }) => ({
        address,
        publisher,
        rank,
        title,
        taken: !left && !problem,
      })),
      facts,
    }),
    'application/json',
  );
}
