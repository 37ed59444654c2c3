import type { FoundPage, Keyword } from './keyword.ts';

/** Ranks that a reader sees first. */
const RANKS = 10;
/** How much of a publisher's standing counts where a page hardly speaks of the phrase. */
const BESIDE = 0.35;

const weightOf = (rank: number) => 1 / (1 + 0.15 * (rank - 1));
const ALL = Array.from({ length: RANKS }, (_, at) => weightOf(at + 1)).reduce(
  (sum, weight) => sum + weight,
  0,
);

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
  /** The ten first pages; they add up to the value. Empty where it is given. */
  shares: DifficultyShare[];
}

/**
 * How hard it is to be found among the ten first pages, 0-100: the sum over ranks 1-10 of
 * `weight(rank) x standing x (0.35 + 0.65 x squareness)` over the sum of the weights, with
 * `weight(rank) = 1 / (1 + 0.15 (rank - 1))`. A rank that nobody holds counts nothing. Null: no pages were looked up.
 */
export function difficultyOf({
  givenDifficulty,
  found,
}: Pick<Keyword, 'givenDifficulty' | 'found'>): Difficulty | null {
  if (givenDifficulty !== null) return { value: givenDifficulty, from: 'given', shares: [] };
  if (found === null) return null;
  const shares = found.slice(0, RANKS).map((page, at) => ({
    rank: at + 1,
    page,
    points: (weightOf(at + 1) * page.standing * (BESIDE + (1 - BESIDE) * page.squareness)) / ALL,
  }));
  return { value: shares.reduce((sum, { points }) => sum + points, 0), from: 'pages', shares };
}
