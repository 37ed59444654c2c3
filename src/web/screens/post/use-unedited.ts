import { useLiveQuery } from 'dexie-react-hooks';
import { type Draft, readMarkdown } from '../../../core/draft/index.ts';
import { type Outline, ownNote, placeholderHeadings } from '../../../core/outline/index.ts';
import { uneditedBlocks } from '../../../core/writing/index.ts';
import { generationsOf } from '../../data/briefs.ts';
import type { PostSession } from '../../state/post-session.ts';
import { useAppSelector } from '../../state/store.ts';

const NONE: string[] = [];

/** Blocks that stand as they came back for a brief; looked at anew with each save. */
export function useUnedited(session: PostSession): string[] {
  const savedAt = useAppSelector((state) => state.openPost.savedAt);
  return (
    useLiveQuery(async () => {
      const texts = (await generationsOf(session.siteId, session.id)).filter(
        ({ recipe }) => recipe === 'brief',
      );
      if (texts.length === 0) return NONE;
      return uneditedBlocks(
        session.body,
        texts.map(({ output }) => readMarkdown(output).draft),
      );
    }, [session, savedAt]) ?? NONE
  );
}

/** Headings that wait for their text, each with what the outline notes for it. */
export function waitingNotes(draft: Draft, outline: Outline): Map<string, string> {
  const waiting = placeholderHeadings(draft, outline);
  return new Map(outline.flatMap(({ id, note }) => (waiting.has(id) ? [[id, ownNote(note)]] : [])));
}
