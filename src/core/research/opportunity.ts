import type { Held, OwnPhrases } from './own-phrases.ts';
import { meaningStems, tellingStems } from './phrase-meaning.ts';
import { defaultOpportunityWeights, type OpportunityWeights } from './research-rules.ts';
import { seasonAhead } from './season.ts';

/** Searches a month that count as full volume: for a small company's blog more is no better. */
const FULL_VOLUME = 10_000;
/** A part never falls below this: a phrase that fails at one thing is put far down, not away. */
const FLOOR = 0.02;
/** What is left of an opportunity that a post of the site has taken already. */
const LEFT: Record<Held['how'], number> = { target: 0.3, answers: 0.5, supporting: 0.6 };

export interface Opportunity {
  /** 0-100. */
  value: number;
  /** Each part 0-1; null: not known, and left out of the sum. */
  parts: Record<keyof OpportunityWeights, number | null>;
  /** The post of the site that holds the phrase; null: none. */
  held: Held | null;
}

/** The subject of a site: how far each word belongs to it, 0-1, by its stem. */
export type SiteSubject = ReadonlyMap<string, number>;

/** What the word that is most of the subject is worth in a phrase's fit. */
const BY_BEST = 0.25;
/** A word that posts use belongs to the subject in full where so many of them name it, two at least. */
const FULL_POSTS = 0.05;

/**
 * The subject of a site: the words of its offer, name and categories belong to it in full (`own`), those that its posts
 * are named by (`posts`: title and keywords of each) the more the more posts there are.
 */
export function siteSubject(own: readonly string[], posts: readonly (readonly string[])[]): SiteSubject {
  const full = Math.max(2, posts.length * FULL_POSTS);
  const counts = new Map<string, number>();
  for (const texts of posts)
    for (const stem of new Set(texts.flatMap(meaningStems))) counts.set(stem, (counts.get(stem) ?? 0) + 1);
  return new Map([
    ...[...counts].map(([stem, count]): [string, number] => [stem, Math.min(1, count / full)]),
    ...own.flatMap(meaningStems).map((stem): [string, number] => [stem, 1]),
  ]);
}

/**
 * How far a phrase is of a site's subject, 0-1: a quarter by the word that is most of it, the rest by all of them. An angle of the
 * subject that no post has taken is as near as one that is written.
 */
function fitOf(stems: readonly string[], subject: SiteSubject): number | null {
  if (subject.size === 0 || stems.length === 0) return null;
  const near = stems.map((stem) => subject.get(stem) ?? 0);
  const mean = near.reduce((sum, each) => sum + each, 0) / near.length;
  return BY_BEST * Math.max(...near) + (1 - BY_BEST) * mean;
}

/** What a site is to its phrases. */
export interface PhraseSite {
  subject: SiteSubject;
  /** What its posts are for; null: it has none. */
  own: OwnPhrases | null;
}

const clamp = (value: number) => Math.min(1, Math.max(0, value));

/**
 * What there is to win with a phrase, 0-100: the weighted geometric mean of
 * volume `log(1 + searches) / log(1 + 10,000)`, ease `1 - difficulty / 100`, season (the best of the next three months
 * over the year's mean, 0.5 counting nothing and 1.5 all) and fit (how far its words are of the site's subject).
 * A geometric mean, as a phrase that nobody types is worth nothing however easy it is. Unknown parts take no part;
 * null where neither volume nor difficulty is known. A phrase that a post of the site targets, answers or has among its
 * supporting ones keeps 0.3, 0.5 or 0.6 of it: there is less to win with a second post.
 */
export function opportunityOf(
  keyword: {
    phrase: string;
    volume: number | null;
    months: readonly number[] | null;
    difficulty: number | null;
  },
  { subject, own }: PhraseSite,
  month: number,
  weights: OpportunityWeights = defaultOpportunityWeights,
): Opportunity | null {
  if (keyword.volume === null && keyword.difficulty === null) return null;
  const season = seasonAhead(keyword.months, month);
  const stems = meaningStems(keyword.phrase);
  const parts = {
    volume: keyword.volume === null ? null : clamp(Math.log(1 + keyword.volume) / Math.log(1 + FULL_VOLUME)),
    ease: keyword.difficulty === null ? null : clamp(1 - keyword.difficulty / 100),
    season: season === null ? null : clamp(season - 0.5),
    fit: fitOf(tellingStems(stems), subject),
  };
  let sum = 0;
  let weight = 0;
  for (const name of ['volume', 'ease', 'season', 'fit'] as const) {
    const part = parts[name];
    if (part === null || weights[name] <= 0) continue;
    sum += weights[name] * Math.log(Math.max(FLOOR, part));
    weight += weights[name];
  }
  if (weight === 0) return null;
  const held = own?.heldBy(stems) ?? null;
  return { value: 100 * Math.exp(sum / weight) * (held ? LEFT[held.how] : 1), parts, held };
}
