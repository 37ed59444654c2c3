/**
 * Review: a post before another pair of eyes.
 *
 * `review-page` writes the one file that a reviewer opens; `review` reads the answer that comes back, which is untrusted, and
 * keeps what was said; `find-quote` finds the words that a comment is about in a text that changed since.
 */
export { type FoundQuote, findQuote, type Quote } from './find-quote.ts';
export {
  NoAnswer,
  openComments,
  type Review,
  type ReviewAnswer,
  type ReviewComment,
  readAnswer,
  type Verdict,
  withAnswer,
} from './review.ts';
export { type ReviewFile, reviewPage } from './review-page.ts';
