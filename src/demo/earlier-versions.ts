import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Draft, PostFields } from '../core/draft/index.ts';
import type { PostRow, VersionRow } from '../web/data/post-rows.ts';
import type { Turn } from './search-past.ts';

interface Earlier {
  post: string;
  /** UTC instant at which the post went out as it stands. */
  sent: string;
  /** What was otherwise before. */
  before: {
    metaTitle?: string;
    metaDescription?: string;
    withoutLastSections?: number;
    withoutLinks?: boolean;
  };
}

/** What befell posts of the scenario in search, and the changes of them that readers saw. */
export const readPast = (folder: string): { turns: Turn[]; versions: Earlier[] } =>
  JSON.parse(readFileSync(join(folder, 'earlier-versions.json'), 'utf8'));

/** A draft without its last sections. */
function withoutSections(draft: Draft, count: number): Draft {
  const heads = draft.blocks.flatMap(({ kind, level }, at) =>
    kind === 'heading' && level === 2 ? [at] : [],
  );
  const end = count > 0 ? heads.at(-count) : undefined;
  return end === undefined ? draft : { ...draft, blocks: draft.blocks.slice(0, end) };
}

const withoutLinks = (draft: Draft): Draft => ({
  ...draft,
  blocks: draft.blocks.map((block) => ({
    ...block,
    marks: block.marks.filter(({ type }) => type !== 'link'),
  })),
});

/** Posts as they were sent out: when they were published, and when they were changed since. */
export function earlierVersions(
  posts: readonly { row: PostRow; draft: Draft }[],
  versions: readonly Earlier[],
): VersionRow[] {
  return versions.flatMap(({ post, sent, before }): VersionRow[] => {
    const found = posts.find(({ row }) => row.id === `demo-${post}`);
    if (!found) throw new Error(`earlier-versions.json: there is no post "${post}".`);
    const { row, draft } = found;
    const { metaTitle, metaDescription } = { ...row.fields, ...before };
    const fields: PostFields = { ...row.fields, metaTitle, metaDescription, updated: row.fields.date };
    const shorter = withoutSections(draft, before.withoutLastSections ?? 0);
    const version = (at: string, name: string, of: { fields: PostFields; draft: Draft }): VersionRow => ({
      id: `demo-version-${post}-${name}`,
      siteId: row.siteId,
      postId: row.id,
      at,
      reason: 'published',
      name: '',
      ...of,
      outline: [],
      score: null,
    });
    return [
      version(row.fields.date, 'first', {
        fields,
        draft: before.withoutLinks ? withoutLinks(shorter) : shorter,
      }),
      version(sent, 'now', { fields: row.fields, draft }),
    ];
  });
}
