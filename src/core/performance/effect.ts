import { tQuantile95 } from './student-t.ts';

/** A count of a page before and after, over the same number of days or counted up to it. */
export interface BeforeAfter {
  before: number;
  after: number;
  /** How much more was asked for after than before, by the season; 1: alike or not known. */
  demand: number;
}

/** What a change did, as a ratio: 1.2 is a fifth more than without it. */
export interface Effect {
  kind: 'effect';
  ratio: number;
  /** Within these it lies at 95 %. */
  low: number;
  high: number;
  /** What the other pages did meanwhile, season taken out: 0.9 is a tenth less. */
  others: number;
  controls: number;
}

/** Why nothing can be told. */
export interface TooLittle {
  kind: 'too-little';
  why: 'seldom-seen' | 'few-others';
  /** What there was: the count of the page, or the number of other pages. */
  count: number;
  /** What is wanted at least. */
  wanted: number;
}

/** Other pages that must have been seen often enough. */
export const MIN_CONTROLS = 3;

/** A page's own log ratio, season taken out, and the variance that counting alone gives it. Half is added to each count: none may be zero. */
function logChange({ before, after, demand }: BeforeAfter): { change: number; counting: number } {
  return {
    change: Math.log((after + 0.5) / (before + 0.5)) - Math.log(demand),
    counting: 1 / (after + 0.5) + 1 / (before + 0.5),
  };
}

/**
 * What a change of a page did to a count, by difference in differences on the logarithm: what the page's count became, less what those of
 * the site's other pages became meanwhile, season taken out of each. Pages differ in how they fare without any change; how much, the
 * other pages tell (random effects, by moments), and the interval is that of a prediction for one more page, widened by how
 * little was counted of the page itself. At 95 %.
 *
 * Sources: DerSimonian and Laird, Controlled Clinical Trials 7 (1986), for the spread; Higgins, Thompson and Spiegelhalter, J. R. Statist.
 * Soc. A 172 (2009), for the interval of a prediction; Conley and Taber, Review of Economics and Statistics 93 (2011), for
 * taking the spread of the untreated where one alone is treated.
 *
 * @param minCount what page and each other page must have been counted, before and after together
 */
export function effectOf(
  page: BeforeAfter,
  others: readonly BeforeAfter[],
  minCount: number,
): Effect | TooLittle {
  const own = page.before + page.after;
  if (own < minCount) return { kind: 'too-little', why: 'seldom-seen', count: own, wanted: minCount };
  const controls = others.filter(({ before, after }) => before + after >= minCount).map(logChange);
  if (controls.length < MIN_CONTROLS)
    return { kind: 'too-little', why: 'few-others', count: controls.length, wanted: MIN_CONTROLS };
  const spread = spreadOf(controls);
  const weights = controls.map(({ counting }) => 1 / (counting + spread));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const common = controls.reduce((sum, { change }, at) => sum + weights[at] * change, 0) / total;
  const { change, counting } = logChange(page);
  const reach = tQuantile95(controls.length - 1) * Math.sqrt(spread + 1 / total + counting);
  return {
    kind: 'effect',
    ratio: Math.exp(change - common),
    low: Math.exp(change - common - reach),
    high: Math.exp(change - common + reach),
    others: Math.exp(common),
    controls: controls.length,
  };
}

/** How far pages differ beyond counting: the variance between them, by moments; 0 where counting explains all of it. */
function spreadOf(controls: readonly { change: number; counting: number }[]): number {
  const weights = controls.map(({ counting }) => 1 / counting);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const squares = weights.reduce((sum, weight) => sum + weight ** 2, 0);
  const mean = controls.reduce((sum, { change }, at) => sum + weights[at] * change, 0) / total;
  const heterogeneity = controls.reduce((sum, { change }, at) => sum + weights[at] * (change - mean) ** 2, 0);
  const scale = total - squares / total;
  return scale > 0 ? Math.max(0, (heterogeneity - (controls.length - 1)) / scale) : 0;
}

/** Whether an effect is told from none: its interval does not hold 1. */
export const isClear = ({ low, high }: Effect): boolean => low > 1 || high < 1;
