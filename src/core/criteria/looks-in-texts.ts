import { MATCH_KINDS, MATCH_VALUES, type Match, type MatchKind } from '../language/index.ts';
import type { BlockReader } from './block-reader.ts';

export interface Found {
  kind: MatchKind | null;
  /** 0 where not found. */
  value: number;
  match: Match | null;
}

/** Looks for keywords in texts that are no block: a title, a description, an alternative text. */
export interface LooksInTexts {
  /** Best match of the primary keyword. */
  keywordIn(text: string): Found;
  /** Best match value of the keyword or a supporting one. */
  targetValueIn(text: string): number;
}

/** Texts of which it is remembered what stands in them. */
const MOST = 2000;

/** Looks by a reader's keywords; such texts stay from report to report, and each is read once. */
export function looksInTexts(reader: BlockReader): LooksInTexts {
  const known = new Map<string, Match[]>();
  const matchesIn = (text: string): Match[] => {
    let matches = known.get(text);
    if (!matches) {
      if (known.size >= MOST) known.clear();
      matches = reader.matchText(text);
      known.set(text, matches);
    }
    return matches;
  };
  return {
    keywordIn(text) {
      let best: Match | null = null;
      for (const match of matchesIn(text)) {
        if (match.phrase !== 0) continue;
        if (!best || MATCH_KINDS.indexOf(match.kind) < MATCH_KINDS.indexOf(best.kind)) best = match;
      }
      return best
        ? { kind: best.kind, value: MATCH_VALUES[best.kind], match: best }
        : { kind: null, value: 0, match: null };
    },
    targetValueIn: (text) =>
      matchesIn(text).reduce((best, { kind }) => Math.max(best, MATCH_VALUES[kind]), 0),
  };
}
