import { phraseKey } from './keyword.ts';
import { phraseStems } from './phrase-stems.ts';

/** Phrases that somebody means to be found for: a list, or a post's target. */
export interface Holder {
  id: string;
  name: string;
  /** The primary keyword; empty: none. */
  primary: string;
  /** All phrases, the primary among them. */
  phrases: readonly string[];
}

/** A phrase that another holds too. */
export interface SharedPhrase {
  phrase: string;
  /** As the other has it. */
  other: string;
  /** `exact`: the same words; `stems`: the same word stems. */
  how: 'exact' | 'stems';
}

/** `natural`: some overlap is; `mentioned`: worth a look; `clash`: the two would compete. */
export type OverlapDegree = 'none' | 'natural' | 'mentioned' | 'clash';

export interface Overlap {
  holder: Holder;
  shared: SharedPhrase[];
  /** Phrases shared over those of the smaller of the two (which counts as four where it has fewer), 0-1. */
  share: number;
  /** Whether the primary keywords are one target. */
  samePrimary: boolean;
  degree: OverlapDegree;
}

/** Of two phrases one shared says little. */
const FEWEST = 4;
/** From here on an overlap is mentioned, and called a clash. */
export const MENTIONED_FROM = 0.1;
export const CLASH_FROM = 0.5;

const stemKey = (phrase: string) => phraseStems(phrase).sort().join(' ');

/** A holder's phrases by their keys; a site compares each with every other. */
interface Reading {
  phrases: string[];
  byKey: Map<string, string>;
  byStems: Map<string, string>;
}

const readings = new WeakMap<Holder, Reading>();

function readingOf(holder: Holder): Reading {
  let reading = readings.get(holder);
  if (!reading) {
    const byKey = new Map(holder.phrases.map((phrase) => [phraseKey(phrase), phrase]));
    const phrases = [...byKey.values()];
    reading = { phrases, byKey, byStems: new Map(phrases.map((phrase) => [stemKey(phrase), phrase])) };
    readings.set(holder, reading);
  }
  return reading;
}

/** What two holders share. */
export function overlapOf(own: Holder, other: Holder): Overlap {
  const { phrases: mine } = readingOf(own);
  const { phrases: theirs, byKey, byStems } = readingOf(other);
  const shared = mine.flatMap((phrase): SharedPhrase[] => {
    const exact = byKey.get(phraseKey(phrase));
    if (exact !== undefined) return [{ phrase, other: exact, how: 'exact' }];
    const alike = byStems.get(stemKey(phrase));
    return alike === undefined ? [] : [{ phrase, other: alike, how: 'stems' }];
  });
  const smaller = Math.min(mine.length, theirs.length);
  // Two phrases of one that answer one of the other are one in common, from either side.
  const common = Math.min(shared.length, new Set(shared.map((each) => each.other)).size);
  const share = smaller === 0 ? 0 : common / Math.max(FEWEST, smaller);
  const samePrimary =
    own.primary !== '' && other.primary !== '' && stemKey(own.primary) === stemKey(other.primary);
  const degree: OverlapDegree =
    samePrimary || share >= CLASH_FROM
      ? 'clash'
      : share >= MENTIONED_FROM
        ? 'mentioned'
        : shared.length > 0
          ? 'natural'
          : 'none';
  return { holder: other, shared, share, samePrimary, degree };
}

/** Overlaps of one holder with others, the gravest first; those with nothing in common are left out. */
export function overlapsOf(own: Holder, others: readonly Holder[]): Overlap[] {
  return others
    .filter(({ id }) => id !== own.id)
    .map((other) => overlapOf(own, other))
    .filter(({ degree }) => degree !== 'none')
    .sort(
      (a, b) =>
        Number(b.samePrimary) - Number(a.samePrimary) ||
        b.share - a.share ||
        (a.holder.name < b.holder.name ? -1 : 1),
    );
}
