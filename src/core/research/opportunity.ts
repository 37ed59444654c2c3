import { phraseStems } from './phrase-stems.ts';
import { seasonAhead } from './season.ts';

/** How much each part of an opportunity weighs; they need not add up to anything. */
export interface OpportunityWeights {
  volume: number;
  ease: number;
  season: number;
  fit: number;
}

export const defaultOpportunityWeights: OpportunityWeights = { volume: 3, ease: 4, season: 1, fit: 2 };

/** Searches a month that count as full volume: for a small company's blog more is no better. */
const FULL_VOLUME = 10_000;
/** A part never falls below this: a phrase that fails at one thing is put far down, not away. */
const FLOOR = 0.02;

export interface Opportunity {
  /** 0-100. */
  value: number;
  /** Each part 0-1; null: not known, and left out of the sum. */
  parts: Record<keyof OpportunityWeights, number | null>;
}

/** The words of a site, by which a phrase is told to be its business. */
export type SiteStems = ReadonlySet<string>;

/** Stems of a site's own words: its offer, titles, keywords and headings. */
export const siteStems = (texts: readonly string[]): SiteStems => new Set(texts.flatMap(phraseStems));

const clamp = (value: number) => Math.min(1, Math.max(0, value));

/**
 * What there is to win with a phrase, 0-100: the weighted geometric mean of
 * volume `log(1 + searches) / log(1 + 10,000)`, ease `1 - difficulty / 100`, season (the best of the next three months
 * over the year's mean, 0.5 counting nothing and 1.5 all) and fit (the share of its stems that the site uses).
 * A geometric mean, as a phrase that nobody types is worth nothing however easy it is. Unknown parts take no part;
 * null where neither volume nor difficulty is known.
 */
export function opportunityOf(
  keyword: {
    phrase: string;
    volume: number | null;
    months: readonly number[] | null;
    difficulty: number | null;
  },
  site: SiteStems,
  month: number,
  weights: OpportunityWeights = defaultOpportunityWeights,
): Opportunity | null {
  if (keyword.volume === null && keyword.difficulty === null) return null;
  const season = seasonAhead(keyword.months, month);
  const stems = phraseStems(keyword.phrase);
  const parts = {
    volume: keyword.volume === null ? null : clamp(Math.log(1 + keyword.volume) / Math.log(1 + FULL_VOLUME)),
    ease: keyword.difficulty === null ? null : clamp(1 - keyword.difficulty / 100),
    season: season === null ? null : clamp(season - 0.5),
    fit:
      stems.length === 0 || site.size === 0
        ? null
        : stems.filter((stem) => site.has(stem)).length / stems.length,
  };
  let sum = 0;
  let weight = 0;
  for (const name of ['volume', 'ease', 'season', 'fit'] as const) {
    const part = parts[name];
    if (part === null || weights[name] <= 0) continue;
    sum += weights[name] * Math.log(Math.max(FLOOR, part));
    weight += weights[name];
  }
  return weight === 0 ? null : { value: 100 * Math.exp(sum / weight), parts };
}
