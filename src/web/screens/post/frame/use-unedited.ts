import { useMemo } from 'react';
import { type Draft, readMarkdown } from '../../../../core/draft/index.ts';
import { ownNote, placeholderHeadings } from '../../../../core/outline/index.ts';
import { uneditedBlocks } from '../../../../core/writing/index.ts';
import { originsOf } from '../../../data/generations.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';

const NONE: string[] = [];
const NOTHING: ReadonlyMap<string, string> = new Map();

/** Texts as they were read last: only one that is still coming changes. */
const read = new Map<string, { output: string; draft: Draft }>();

function draftOf(id: string, output: string): Draft {
  const known = read.get(id);
  if (known?.output === output) return known.draft;
  const { draft } = readMarkdown(output);
  read.set(id, { output, draft });
  return draft;
}

/** Blocks that stand as they came back for a brief, or as they were generated and taken; looked at anew with each save. */
export function useUnedited(session: PostSession): string[] {
  const savedAt = useAppSelector((state) => state.openPost.savedAt);
  const rows = useLiveQuery(() => originsOf(session.siteId, session.id), [session]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each save, as what was edited counts no more
  return useMemo(
    () =>
      rows && rows.length > 0
        ? uneditedBlocks(
            session.body,
            rows.map(({ id, output, asked }) => ({
              draft: draftOf(id, output),
              blocks: asked?.blocks ?? null,
            })),
            new Set(rows.flatMap(({ read: said }) => said ?? [])),
          )
        : NONE,
    [rows, session, savedAt],
  );
}

/** Headings that wait for their text, each with what the outline notes for it; looked at anew with each save. */
export function useWaiting(session: PostSession): ReadonlyMap<string, string> {
  const { outline, savedAt } = useAppSelector((state) => state.openPost);
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each save, as what is written fills what waits
  return useMemo(() => {
    if (outline.length === 0) return NOTHING;
    const waiting = placeholderHeadings(session.body, outline);
    return new Map(outline.flatMap(({ id, note }) => (waiting.has(id) ? [[id, ownNote(note)]] : [])));
  }, [session, outline, savedAt]);
}
