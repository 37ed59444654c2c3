import { readFileSync } from 'node:fs';
import { DraftReadings, readProfile, type StudyFacts } from '../core/criteria/index.ts';
import { draftLanguage } from '../core/draft/index.ts';
import type { Vocabulary } from '../core/language/index.ts';
import { scorePost } from '../core/scoring/index.ts';
import { indexedPost, SiteIndex, type SiteSettings } from '../core/site/index.ts';
import { type InputFile, type InputGroup, ordinaryFile, picturesOf, rootOf } from './input.ts';
import { type ScoreOptions, UsageError } from './options.ts';

/** The profile of a file; null where none is named. Throws {@link UsageError}. */
export function profileOf(path: string | null) {
  if (path === null) return null;
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(ordinaryFile(path), 'utf8'));
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(
      error instanceof SyntaxError ? `${path} is not valid JSON.` : `${path} cannot be read. Check the name.`,
    );
  }
  const reading = readProfile(json);
  if (reading.problem !== null) throw new UsageError(`${path}: ${reading.problem}`);
  return reading.profile;
}

/** What is wished of the scores of a group. */
type ScoreWishes = Pick<ScoreOptions, 'site' | 'titlePattern' | 'keyword' | 'supporting'>;

/** The scores of files, each within the others where they are a site. */
export function* scoreGroup(
  group: InputGroup,
  path: string,
  options: ScoreWishes,
  { profile, study }: { profile: SiteSettings['profile']; study: StudyFacts | null },
  vocabulary: Vocabulary,
): Generator<({ file: InputFile } & ReturnType<typeof scorePost>) | { problem: string }> {
  const site: SiteSettings = {
    ...group.site,
    baseAddress: options.site ?? group.site.baseAddress,
    titlePattern: options.titlePattern ?? group.site.titlePattern,
    profile: profile ?? group.site.profile,
  };
  const posts = group.files.map((file) => {
    const fields = { ...file.document.fields };
    if (options.keyword !== null) fields.keyword = options.keyword;
    if (options.supporting !== null) fields.supporting = options.supporting;
    const document = { fields, draft: file.document.draft };
    const language = site.language || draftLanguage(document.draft.blocks);
    return { file, document, post: indexedPost(file.path, document, file.filePath, language) };
  });
  const index = group.isSite
    ? new SiteIndex(
        site,
        posts.map(({ post }) => post),
      )
    : null;
  const year = new Date().getFullYear();
  const studies = new Map(study ? posts.map(({ post }) => [post.id, study]) : []);
  for (const { file, document, post } of posts) {
    const scene = { site, index, pictures: picturesOf(file, rootOf(path)), studies, year };
    // One file that cannot be judged costs itself, not the run.
    try {
      yield { file, ...scorePost(document, post, scene, new DraftReadings(vocabulary)) };
    } catch (error) {
      yield { problem: `${file.path} cannot be scored (${(error as Error).message}).` };
    }
  }
}
