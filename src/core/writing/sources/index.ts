/**
 * Sources: whose words and figures a draft holds.
 *
 * `shared-runs` finds what stands word for word in other texts, `bare-quotes` the words of others that no one is named for,
 * `check-this` what stands in none of the texts that a draft may stand on.
 */
export { type BareQuote, bareQuotes } from './bare-quotes.ts';
export { numberValue, SourceTexts, type Unsupported } from './check-this.ts';
export { OwnText, type SharedRun } from './shared-runs.ts';
