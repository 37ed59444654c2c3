import type { FoundPage, Keyword } from './keyword.ts';

/** Ranks that a reader sees first. */
const RANKS = 10;
/** How much of a publisher's standing counts where a page hardly speaks of the phrase. */
const BESIDE = 0.35;

const weightOf = (rank: number) => 1 / (1 + 0.15 * (rank - 1));
const WEIGHTS = Array.from({ length: RANKS }, (_, at) => weightOf(at + 1));
const ALL = WEIGHTS.reduce((sum, weight) => sum + weight, 0);

/** How hard one page is to pass, 0-100. */
const holdOf = ({ standing, squareness }: FoundPage) => standing * (BESIDE + (1 - BESIDE) * squareness);

/** What a market's pages are like at each of the ten first ranks. */
export interface DifficultyPrior {
  /** How hard a page at the rank is to pass, 0-100: the mean over the phrases whose pages are known. */
  means: readonly number[];
  /** How far a single page lies from that on average (standard deviation). */
  spread: number;
}

/** Where nothing is known of a market: the middle, and that it may be anything. */
export const NO_PRIOR: DifficultyPrior = { means: new Array<number>(RANKS).fill(50), spread: 25 };
/** Pages that stand for what is not known yet: a market of a few pages tells little. */
const DOUBT = 5;

/** What a market is like, from the phrases of which pages are known. */
export function difficultyPrior(keywords: Iterable<Pick<Keyword, 'found'>>): DifficultyPrior {
  const sums = new Float64Array(RANKS);
  const counts = new Float64Array(RANKS);
  let all = 0;
  let squares = 0;
  let pages = 0;
  for (const { found } of keywords)
    for (let at = 0; at < Math.min(RANKS, found?.length ?? 0); at++) {
      const hold = holdOf(found![at]);
      sums[at] += hold;
      counts[at] += 1;
      all += hold;
      squares += hold * hold;
      pages += 1;
    }
  if (pages === 0) return NO_PRIOR;
  const mean = (all + DOUBT * 50) / (pages + DOUBT);
  const variance = (squares + DOUBT * (50 ** 2 + NO_PRIOR.spread ** 2)) / (pages + DOUBT) - mean * mean;
  return {
    means: Array.from(sums, (sum, at) => (sum + DOUBT * mean) / (counts[at] + DOUBT)),
    spread: Math.sqrt(Math.max(0, variance)),
  };
}

/** A page's part in a difficulty. */
export interface DifficultyShare {
  rank: number;
  page: FoundPage;
  /** Points of the difficulty that come from this page. */
  points: number;
}

export interface Difficulty {
  /** 0-100. */
  value: number;
  /** `given`: a file said so. `pages`: computed from the pages found. */
  from: 'given' | 'pages';
  /** The pages known of the ten first. Empty where it is given. */
  shares: DifficultyShare[];
  /** Points for the ranks of which no page is known, as the market is like there; with the shares they add up to the value. */
  assumed: number;
  /** So far the value may lie off either way (one standard deviation); 0 where all ten pages are known, or it is given. */
  give: number;
}

/**
 * How hard it is to be found among the ten first pages, 0-100: the sum over ranks 1-10 of
 * `weight(rank) x standing x (0.35 + 0.65 x squareness)` over the sum of the weights, with
 * `weight(rank) = 1 / (1 + 0.15 (rank - 1))`. A rank of which no page is known counts as it is in the market on average
 * (`prior`), and the difficulty is as uncertain as pages of the market differ there. Null: no pages were looked up, or
 * none is known.
 *
 * @example
 * difficultyOf({ givenDifficulty: null, found: [page] }, difficultyPrior(keywords))
 * // { value: 41, from: 'pages', shares: [...], assumed: 36, give: 6 }
 */
export function difficultyOf(
  { givenDifficulty, found }: Pick<Keyword, 'givenDifficulty' | 'found'>,
  { means, spread }: DifficultyPrior = NO_PRIOR,
): Difficulty | null {
  if (givenDifficulty !== null)
    return { value: givenDifficulty, from: 'given', shares: [], assumed: 0, give: 0 };
  if (found === null || found.length === 0) return null;
  const shares = found.slice(0, RANKS).map((page, at) => ({
    rank: at + 1,
    page,
    points: (WEIGHTS[at] * holdOf(page)) / ALL,
  }));
  let assumed = 0;
  let squares = 0;
  for (let at = shares.length; at < RANKS; at++) {
    assumed += (WEIGHTS[at] * means[at]) / ALL;
    squares += (WEIGHTS[at] / ALL) ** 2;
  }
  const value = shares.reduce((sum, { points }) => sum + points, assumed);
  return { value, from: 'pages', shares, assumed, give: spread * Math.sqrt(squares) };
}
