import { CORPUS_WORDS, stemCount, type WordBases } from '../language/index.ts';
import { isExpository, kinOf } from '../meaning/index.ts';
import type { PageReading } from './study-page.ts';

/** How near a page is to the subject of its set. */
export interface Relevance {
  /** 0-1, 1 for the nearest page of the set. */
  value: number;
  /** How far it names the query, 0-1. */
  names: number;
  /** Whether its words are those of the pages that name the query, 0-1. */
  likeness: number;
  /** Its title says the whole of a query of several words. */
  titled: boolean;
}

/** What naming the query and speaking like those that name it are worth. */
const NAMES = 0.4;
const LIKENESS = 0.6;
/** What the places are worth in which a word of the query stands. */
const BY_RATE = 0.6;
const IN_TITLE = 0.4;
const IN_HEADINGS = 0.2;
/** A word of the query counts in full where it is used as often as on this share of the set's pages. */
const FULL_AT = 0.6;
/** And never for fewer uses than so many of a thousand words. */
const FEWEST = 0.002;
/** Pages that name the query so far show what the subject's words are; so many at least. */
const SEED = 0.5;
const FEWEST_SEEDS = 3;
/** Words by which the subject is known. */
const PROFILE = 60;
/** Words of the subject that questions are held against. */
const SUBJECT = 150;
/** How much the words of the other pages count against a word (J. Rocchio, 1971, with a single round of feedback). */
const AGAINST = 0.7;
/** The whole phrase is worth so much of naming it, where a fourth of the pages use it; full at this share of them. */
const PHRASE = 0.35;
const PHRASE_FULL_AT = 0.75;
/**
 * A query of so many words names a narrow subject: pages of its field use its words all over, and the title tells which
 * of them are about it. So much of naming it hangs on the title.
 */
const LONG_QUERY = 3;
const BY_TITLE = 0.6;
const SURELY = 0.9;
/** Fewer uses of it are mentions. */
const MENTIONS = 4;
/** Between these shares of the pages the rates of a word are compared. */
const EVEN_LOW = 0.3;
const EVEN_HIGH = 0.85;
/** Words of explanation in a query ("list") tell less than others. */
const EXPOSITORY_TOLD = 0.6;
/** Words that all pages of a set use alike tell little, yet something. */
const LEAST_TOLD = 0.1;

type Weights = Map<number, number>;

const sumOf = (values: Iterable<number>): number => {
  let sum = 0;
  for (const value of values) sum += value;
  return sum;
};

/** Uses of each stem on a page. */
function countsOf({ sections }: PageReading): Weights {
  const counts: Weights = new Map();
  for (const { stems } of sections)
    for (const [stem, count] of stems) counts.set(stem, (counts.get(stem) ?? 0) + count);
  return counts;
}

/** A word of a query, how often each page uses it, and how much it tells one page of the set from another. */
interface QueryWord {
  stem: number;
  rates: number[];
  /** The rate that counts in full. */
  full: number;
  /** 0-1: words that all pages use alike tell little. */
  told: number;
}

function queryWords(
  readings: readonly PageReading[],
  counts: readonly Weights[],
  query: string,
  bases: WordBases,
): QueryWord[] {
  return [...new Set(bases.stemsOf(query))].map((stem) => {
    const rates = readings.map(({ figures }, at) => (counts[at].get(stem) ?? 0) / Math.max(1, figures.words));
    const sorted = [...rates].sort((a, b) => a - b);
    const at = (share: number) => sorted[Math.floor((sorted.length - 1) * share)] ?? 0;
    const full = Math.max(FEWEST, at(FULL_AT));
    const evenness = Math.min(1, at(EVEN_LOW) / Math.max(FEWEST, at(EVEN_HIGH)));
    const told =
      (isExpository(bases.stemText(stem)) ? EXPOSITORY_TOLD : 1) * Math.max(LEAST_TOLD, (1 - evenness) ** 2);
    return { stem, rates, full, told };
  });
}

/**
 * How far each page names the query: by how often it uses its words, in its title and in its headings, words that all use
 * alike telling less; and, where some pages use the whole phrase, by how often.
 */
function naming(readings: readonly PageReading[], words: readonly QueryWord[], bases: WordBases): number[] {
  const all = sumOf(words.map(({ told }) => told)) || 1;
  const byPhrase = readings.map(({ figures }) => figures.keywordRate).sort((a, b) => a - b);
  const fullPhrase = byPhrase[Math.floor((byPhrase.length - 1) * PHRASE_FULL_AT)] ?? 0;
  const ofPhrase = fullPhrase > 0 ? PHRASE : 0;
  const long = words.length >= LONG_QUERY;
  return readings.map(({ page, sections, figures }, at) => {
    const title = new Set(bases.stemsOf(page.document.fields.title));
    const headings = new Set(sections.flatMap(({ headingStems }) => headingStems));
    const named =
      sumOf(
        words.map(
          ({ stem, rates, full, told }) =>
            told *
            Math.min(
              1,
              BY_RATE * Math.min(1, rates[at] / full) +
                (title.has(stem) ? IN_TITLE : 0) +
                (headings.has(stem) ? IN_HEADINGS : 0),
            ),
        ),
      ) / all;
    // A single use in a short text is a mention.
    const uses = (figures.keywordRate * figures.words) / 100;
    const phrased =
      ofPhrase > 0 ? Math.min(1, figures.keywordRate / fullPhrase) * Math.min(1, uses / MENTIONS) : 0;
    const inAll = (1 - ofPhrase) * named + ofPhrase * phrased;
    return long ? inAll * (1 - BY_TITLE + BY_TITLE * titleHolds(title, words, bases)) : inAll;
  });
}

/** How much of a query a title holds, 0-1, each word alike, kin of it in part. */
function titleHolds(title: ReadonlySet<number>, words: readonly QueryWord[], bases: WordBases): number {
  const there = new Set([...title].map((stem) => bases.stemText(stem)));
  return (
    sumOf(
      words.map(({ stem }) => {
        const own = bases.stemText(stem);
        if (there.has(own)) return 1;
        return Math.max(0, ...[...kinOf(own)].map(([other, near]) => (there.has(other) ? near : 0)));
      }),
    ) / words.length
  );
}

/** How much each word of a query tells one page of the set from another, by its stem; the one that tells most has 1. */
export function queryTells(
  readings: readonly PageReading[],
  query: string,
  bases: WordBases,
): Map<string, number> {
  const words = queryWords(readings, readings.map(countsOf), query, bases);
  const most = Math.max(...words.map(({ told }) => told), 1e-9);
  return new Map(words.map(({ stem, told }) => [bases.stemText(stem), told / most]));
}

/** Words of each page that several pages have and that tell a subject, as a vector of length 1. */
function profiles(readings: readonly PageReading[], counts: readonly Weights[], bases: WordBases): Weights[] {
  const spread: Weights = new Map();
  for (const own of counts) for (const stem of own.keys()) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  const general: Weights = new Map();
  for (const [stem, pages] of spread)
    if (pages > 1 && !isExpository(bases.stemText(stem)))
      general.set(stem, (stemCount(bases.stemText(stem)) + 20) / CORPUS_WORDS);
  return counts.map((own, at) => {
    const words = Math.max(1, readings[at].figures.words);
    const out: Weights = new Map();
    for (const [stem, count] of own) {
      const there = general.get(stem);
      if (there === undefined) continue;
      const rate = count / words;
      const weight = Math.sqrt(rate) * Math.log((rate + 1e-5) / there);
      if (weight > 0) out.set(stem, weight);
    }
    const length = Math.sqrt(sumOf([...out.values()].map((weight) => weight * weight))) || 1;
    for (const [stem, weight] of out) out.set(stem, weight / length);
    return out;
  });
}

/** A sum of vectors, each with its part. */
function mixed(parts: readonly { vector: Weights; part: number }[]): Weights {
  const out: Weights = new Map();
  for (const { vector, part } of parts)
    for (const [stem, weight] of vector) out.set(stem, (out.get(stem) ?? 0) + part * weight);
  return out;
}

/**
 * How near each page is to the subject of the set: 0.4 by how far it names the query, 0.6 by how alike its words are to
 * those of the other pages that name it (pseudo-relevance feedback: the centroid of those pages, a publisher counted
 * once, less what the rest says), over that of the nearest page.
 */
export function relevances(readings: readonly PageReading[], query: string, bases: WordBases): Relevance[] {
  if (readings.length === 0) return [];
  const counts = readings.map(countsOf);
  const words = queryWords(readings, counts, query, bases);
  const names = naming(readings, words, bases);
  const byNaming = readings.map((_, at) => at).sort((a, b) => names[b] - names[a] || a - b);
  const seeds = new Set(byNaming.filter((at, place) => names[at] >= SEED || place < FEWEST_SEEDS));
  const vectors = profiles(readings, counts, bases);
  const likeness = readings.map((_, own) => {
    const others = byNaming.filter((at) => at !== own);
    const publishers = new Map<string, number>();
    const sown = others.filter((at) => seeds.has(at));
    for (const at of sown) {
      const { publisher } = readings[at].page;
      publishers.set(publisher, (publishers.get(publisher) ?? 0) + 1);
    }
    const rest = others.filter((at) => !seeds.has(at));
    const centroid = mixed([
      ...sown.map((at) => ({
        vector: vectors[at],
        part: 1 / publishers.get(readings[at].page.publisher)! / Math.max(1, publishers.size),
      })),
      ...rest.map((at) => ({ vector: vectors[at], part: -AGAINST / rest.length })),
    ]);
    const profile = [...centroid]
      .filter(([, weight]) => weight > 0)
      .sort((a, b) => b[1] - a[1] || a[0] - b[0])
      .slice(0, PROFILE);
    const length = Math.sqrt(sumOf(profile.map(([, weight]) => weight * weight))) || 1;
    return sumOf(profile.map(([stem, weight]) => weight * (vectors[own].get(stem) ?? 0))) / length;
  });
  const most = Math.max(...likeness) || 1;
  const values = names.map((value, at) => NAMES * value + (LIKENESS * likeness[at]) / most);
  const best = Math.max(...values) || 1;
  return values.map((value, at) => ({
    value: value / best,
    names: names[at],
    likeness: likeness[at] / most,
    titled:
      words.length > 1 &&
      titleHolds(new Set(bases.stemsOf(readings[at].page.document.fields.title)), words, bases) >= SURELY,
  }));
}

/**
 * Words of the subject with how much each tells of it, 0-1: those that the near pages use and that general English does not,
 * by their stems.
 */
export function subjectOf(
  readings: readonly PageReading[],
  relevance: readonly Relevance[],
  bases: WordBases,
): Map<string, number> {
  const vectors = profiles(readings, readings.map(countsOf), bases);
  const centroid = mixed(vectors.map((vector, at) => ({ vector, part: relevance[at].value ** 2 })));
  const best = [...centroid].sort((a, b) => b[1] - a[1] || a[0] - b[0]).slice(0, SUBJECT);
  const most = best[0]?.[1] ?? 1;
  return new Map(best.map(([stem, weight]) => [bases.stemText(stem), weight / most]));
}

/** So far apart the means of two groups of pages are at least where they are of two kinds. */
const APART = 0.28;
/** No more of the pages than this share is ever suggested to go. */
const MOST_OUT = 1 / 3;

/**
 * The value below which pages are of another kind: Otsu's threshold (N. Otsu, 1979: the greatest variance between two
 * groups), at most a third of the pages below it; 0 where all pages are of one kind.
 */
export function kindThreshold(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const { length } = sorted;
  const all = sumOf(sorted);
  let below = 0;
  let best = { variance: 0, count: 0, apart: 0 };
  for (let count = 1; count < length; count++) {
    below += sorted[count - 1];
    const apart = (all - below) / (length - count) - below / count;
    const variance = count * (length - count) * apart * apart;
    if (variance > best.variance) best = { variance, count, apart };
  }
  if (best.apart < APART) return 0;
  const count = Math.min(best.count, Math.floor(length * MOST_OUT));
  return count === 0 ? 0 : sorted[count];
}
