/**
 * Audit: a whole site judged on a day, so that it can be held against another day.
 *
 * `audit` is what is kept of each post, and the totals; `audit-change` tells what rose and fell between two; `page-kinds` tells home, shop,
 * booking and category pages from what they say of themselves, `page-check` whether such a page is fit and what would help it;
 * `audit-file` writes an audit as JSON and reads it, `audit-csv` as a table; `kept-days` says of which days audits are kept; `audited-pairs` tells
 * which pages in two languages do not name each other; `search-figures`
 * are what search shows of each page, `guessed-keyword` what a post of which only its page is known wants to be found for, `rules-key` tells weights and limits from others.
 */
export {
  type Audit,
  type AuditedPage,
  type AuditedPair,
  type AuditedPost,
  type AuditTotals,
  auditedPost,
  auditedReport,
  auditTotals,
  byPromise,
  criterionTitle,
  promiseOf,
  type SharedFault,
} from './audit.ts';
export { type AuditChange, auditChange, type ChangedPost } from './audit-change.ts';
export { auditCsv } from './audit-csv.ts';
export { readAuditFile, writeAuditFile } from './audit-file.ts';
export { auditedPairs } from './audited-pairs.ts';
export { guessedKeyword } from './guessed-keyword.ts';
export { keptDays } from './kept-days.ts';
export { checkPage, type PageCheck, type PageProposal } from './page-check.ts';
export { kindOfPage, PAGE_KINDS, type PageKind } from './page-kinds.ts';
export { rulesKey } from './rules-key.ts';
export { figuresByPath, type SearchFigures } from './search-figures.ts';
