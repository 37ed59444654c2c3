import { type Block, type Chapter, chapterOfLine, type Draft, type NextId } from '../draft/index.ts';
import type { FidelityAccount } from './fidelity-account.ts';
import { clock } from './transcript.ts';

/** Two chapters are at least so many seconds apart. */
const APART = 5;

/**
 * The chapters of a recording by the sections of a post made from it: each begins where the first words below its heading were
 * said. Headings whose words have no time are none; those out of the talk's order are left out.
 */
export function chaptersOf({ sections }: FidelityAccount): Chapter[] {
  const out: Chapter[] = [];
  for (const { heading, start } of sections) {
    if (heading === '' || start === null) continue;
    const last = out.at(-1);
    if (last && start < last.start + APART) continue;
    out.push({ start: Math.floor(start), name: heading });
  }
  return out;
}

/** An address that plays from a second on (Media Fragments URI 1.0, temporal dimension). */
export const atSecond = (address: string, seconds: number): string =>
  `${address.replace(/#.*$/, '')}#t=${Math.floor(seconds)}`;

/** Lines of a list with the chapters of a recording, each time a link that plays it. */
export function chapterLines(chapters: readonly Chapter[], address: string, nextId: NextId): Block[] {
  let list = '';
  return chapters.map(({ start, name }) => {
    const id = nextId();
    list ||= id;
    const time = clock(start);
    return {
      id,
      kind: 'paragraph',
      path: [
        { type: 'list', key: list, ordered: false },
        { type: 'item', key: id },
      ],
      text: `${time} ${name}`,
      marks: [{ type: 'link', start: 0, end: time.length, href: atSecond(address, start) }],
    } satisfies Block;
  });
}

/** A draft with its chapters below the recording, in place of those that stood there; as it was where there is no recording. */
export function withChapters(draft: Draft, chapters: readonly Chapter[], nextId: NextId): Draft {
  const at = draft.blocks.findIndex(
    ({ kind, embed }) => kind === 'embed' && (embed?.kind === 'video' || embed?.kind === 'audio'),
  );
  if (at === -1) return draft;
  let to = at + 1;
  while (to < draft.blocks.length && chapterOfLine(draft.blocks[to])) to += 1;
  const lines = chapters.length > 1 ? chapterLines(chapters, draft.blocks[at].embed!.href, nextId) : [];
  return { ...draft, blocks: [...draft.blocks.slice(0, at + 1), ...lines, ...draft.blocks.slice(to)] };
}
