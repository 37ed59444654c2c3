/**
 * Sources: whose words and figures a draft holds.
 *
 * `shared-runs` finds what stands word for word in other texts, `bare-quotes` the words of others that no one is named for.
 */
export { type BareQuote, bareQuotes } from './bare-quotes.ts';
export { OwnText, type SharedRun } from './shared-runs.ts';
