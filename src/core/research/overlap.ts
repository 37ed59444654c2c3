import { phraseKey } from './keyword.ts';
import { fieldOf, meaningKey } from './phrase-meaning.ts';
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
  /** `exact`: the same words; `stems`: the same word stems; `meaning`: other words for the same. */
  how: 'exact' | 'stems' | 'meaning';
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
  /** How they are told to be one; null: they are not. */
  primaryBy: SharedPhrase['how'] | 'results' | null;
  degree: OverlapDegree;
}

/** By what phrases are told to ask for the same, beside their words. */
export interface SameAsking {
  /** Words of the field that all phrases are about, see {@link fieldOf}. */
  field: ReadonlySet<string>;
  /** Whether the same pages are found for two primary keywords. */
  sameResults?: (a: string, b: string) => boolean;
}

/** Of the ten first pages so many are the same where two phrases are one to those who search. */
const SAME_PAGES = 6;

/**
 * Whether the same pages are found for two phrases: six of the first ten. Phrases whose pages are not known have none in common.
 *
 * @param pages first pages found, by phrase in any spelling
 */
export function sameResultsBy(
  pages: ReadonlyMap<string, Iterable<string>>,
): NonNullable<SameAsking['sameResults']> {
  const sets = new Map([...pages].map(([phrase, own]) => [phraseKey(phrase), new Set(own)]));
  return (a, b) => {
    const [one, other] = [sets.get(phraseKey(a)), sets.get(phraseKey(b))];
    if (!one || !other) return false;
    let same = 0;
    for (const page of one) if (other.has(page)) same += 1;
    return same >= SAME_PAGES;
  };
}

const BY_WORDS: SameAsking = { field: new Set() };

/** By what the phrases of holders are told to ask for the same. */
export const askingOf = (
  holders: readonly Holder[],
  sameResults?: SameAsking['sameResults'],
): SameAsking => ({
  field: fieldOf(holders.flatMap(({ phrases }) => phrases)),
  ...(sameResults ? { sameResults } : {}),
});

/** Of two phrases one shared says little. */
const FEWEST = 4;
/** From here on an overlap is mentioned, and called a clash. */
export const MENTIONED_FROM = 0.1;
export const CLASH_FROM = 0.5;

const stemKey = (phrase: string) => phraseStems(phrase).sort().join(' ');

/** A holder's phrases by their keys; a site compares each with every other. */
interface Reading {
  field: ReadonlySet<string>;
  phrases: string[];
  byKey: Map<string, string>;
  byStems: Map<string, string>;
  byMeaning: Map<string, string>;
  /** The primary keyword by its keys; null: none. */
  primary: { phrase: string; key: string; stems: string; meaning: string } | null;
}

const readings = new WeakMap<Holder, Reading>();

function readingOf(holder: Holder, field: ReadonlySet<string>): Reading {
  let reading = readings.get(holder);
  if (reading?.field !== field) {
    const byKey = new Map(holder.phrases.map((phrase) => [phraseKey(phrase), phrase]));
    const phrases = [...byKey.values()];
    const by = (keyOf: (phrase: string) => string) =>
      new Map(phrases.map((phrase) => [keyOf(phrase), phrase]));
    reading = {
      field,
      phrases,
      byKey,
      byStems: by(stemKey),
      byMeaning: by((phrase) => meaningKey(phrase, field)),
      primary: holder.primary.trim()
        ? {
            phrase: holder.primary,
            key: phraseKey(holder.primary),
            stems: stemKey(holder.primary),
            meaning: meaningKey(holder.primary, field),
          }
        : null,
    };
    readings.set(holder, reading);
  }
  return reading;
}

/** How two primary keywords ask for the same; null: they do not. */
function sameHow(
  a: Reading['primary'],
  b: Reading['primary'],
  { sameResults }: SameAsking,
): Overlap['primaryBy'] {
  if (!a || !b) return null;
  if (a.key === b.key) return 'exact';
  if (a.stems === b.stems) return 'stems';
  if (a.meaning && a.meaning === b.meaning) return 'meaning';
  return sameResults?.(a.phrase, b.phrase) ? 'results' : null;
}

/** What two holders share. */
export function overlapOf(own: Holder, other: Holder, asking: SameAsking = BY_WORDS): Overlap {
  const { phrases: mine, primary } = readingOf(own, asking.field);
  const { phrases: theirs, byKey, byStems, byMeaning, ...them } = readingOf(other, asking.field);
  const shared = mine.flatMap((phrase): SharedPhrase[] => {
    const exact = byKey.get(phraseKey(phrase));
    if (exact !== undefined) return [{ phrase, other: exact, how: 'exact' }];
    const alike = byStems.get(stemKey(phrase));
    if (alike !== undefined) return [{ phrase, other: alike, how: 'stems' }];
    const meant = byMeaning.get(meaningKey(phrase, asking.field));
    return meant === undefined ? [] : [{ phrase, other: meant, how: 'meaning' }];
  });
  const smaller = Math.min(mine.length, theirs.length);
  // Two phrases of one that answer one of the other are one in common, from either side.
  const common = Math.min(shared.length, new Set(shared.map((each) => each.other)).size);
  const share = smaller === 0 ? 0 : common / Math.max(FEWEST, smaller);
  const primaryBy = sameHow(primary, them.primary, asking);
  const samePrimary = primaryBy !== null;
  const degree: OverlapDegree =
    samePrimary || share >= CLASH_FROM
      ? 'clash'
      : share >= MENTIONED_FROM
        ? 'mentioned'
        : shared.length > 0
          ? 'natural'
          : 'none';
  return { holder: other, shared, share, samePrimary, primaryBy, degree };
}

/** Overlaps of one holder with others, the gravest first; those with nothing in common are left out. */
export function overlapsOf(own: Holder, others: readonly Holder[], asking?: SameAsking): Overlap[] {
  return others
    .filter(({ id }) => id !== own.id)
    .map((other) => overlapOf(own, other, asking))
    .filter(({ degree }) => degree !== 'none')
    .sort(
      (a, b) =>
        Number(b.samePrimary) - Number(a.samePrimary) ||
        b.share - a.share ||
        (a.holder.name < b.holder.name ? -1 : 1),
    );
}

/** Two holders that clash, as the first sees it. */
export interface HoldersClash {
  own: Holder;
  overlap: Overlap;
}

/**
 * All clashes among many holders, each pair once. Only those are compared that have a phrase in common by any of its keys, or for
 * whose primary keywords the same pages may be found.
 */
export function clashesAmong(holders: readonly Holder[], asking: SameAsking): HoldersClash[] {
  const byKey = new Map<string, number[]>();
  const pairs = new Set<number>();
  const pair = (one: number, other: number) =>
    pairs.add(Math.min(one, other) * holders.length + Math.max(one, other));
  holders.forEach((holder, at) => {
    const { byKey: keys, byStems, byMeaning } = readingOf(holder, asking.field);
    const own = new Set([
      ...[...keys.keys()].map((key) => `w ${key}`),
      ...[...byStems.keys()].map((key) => `s ${key}`),
      ...[...byMeaning.keys()].filter(Boolean).map((key) => `m ${key}`),
    ]);
    for (const key of own) {
      const list = byKey.get(key) ?? [];
      for (const other of list) pair(other, at);
      list.push(at);
      byKey.set(key, list);
    }
  });
  const { sameResults } = asking;
  if (sameResults)
    holders.forEach(({ primary }, at) => {
      for (let other = at + 1; other < holders.length; other++)
        if (primary && holders[other].primary && sameResults(primary, holders[other].primary))
          pair(at, other);
    });
  return [...pairs].flatMap((both): HoldersClash[] => {
    const own = holders[Math.floor(both / holders.length)];
    const overlap = overlapOf(own, holders[both % holders.length], asking);
    return overlap.degree === 'clash' ? [{ own, overlap }] : [];
  });
}
