import type { Quote } from './find-quote.ts';

/** A comment of a reviewer on some words of a post, or on all of it. */
export interface ReviewComment {
  id: string;
  reviewer: string;
  /** UTC instant. */
  at: string;
  /** The words that it is about; null: the post as a whole. */
  quote: Quote | null;
  text: string;
  /** Other words for those; null: none are proposed. */
  proposal: string | null;
  state: 'open' | 'done';
  replies: { by: string; at: string; text: string }[];
}

/** What a reviewer thinks of a post as a whole. */
export interface Verdict {
  reviewer: string;
  at: string;
  says: 'approved' | 'changes';
}

/** What reviewers said of a post. */
export interface Review {
  comments: ReviewComment[];
  verdicts: Verdict[];
}

/** An answer as a reviewer's file brings it. */
export interface ReviewAnswer extends Review {
  /** The post that it is about. */
  postId: string;
}

/** A file is no answer of a reviewer; the message is a sentence. */
export class NoAnswer extends Error {}

/** Bounds of what an answer may bring: it comes from anywhere. */
const MOST_BYTES = 2_000_000;
const MOST_COMMENTS = 1000;
const MOST_TEXT = 5000;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const textIn = (value: unknown, most = MOST_TEXT): string =>
  // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
  typeof value === 'string' ? value.replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '').slice(0, most) : '';
const listIn = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined ? [] : [value];
const instantIn = (value: unknown): string => {
  const at = typeof value === 'string' ? Date.parse(value) : Number.NaN;
  return Number.isNaN(at) ? '' : new Date(at).toISOString();
};

/** Where the words of an annotation stand: its quote selector, with the place of its position selector. */
function quoteIn(target: unknown): Quote | null {
  if (!isRecord(target)) return null;
  const selectors = listIn(target['selector']).filter(isRecord);
  const quote = selectors.find((one) => one['type'] === 'TextQuoteSelector');
  const position = selectors.find((one) => one['type'] === 'TextPositionSelector');
  const exact = textIn(quote?.['exact']);
  if (exact.trim() === '') return null;
  const start = position?.['start'];
  return {
    exact,
    prefix: textIn(quote?.['prefix'], 200),
    suffix: textIn(quote?.['suffix'], 200),
    start: typeof start === 'number' && Number.isFinite(start) && start >= 0 ? start : 0,
  };
}

/** Text of an annotation by what it is for: `commenting`, `editing` (other words), `assessing` (the verdict). */
function bodyFor(bodies: readonly unknown[], purpose: string): string | null {
  const found = bodies.filter(isRecord).find((one) => one['purpose'] === purpose);
  return found ? textIn(found['value']) : null;
}

/**
 * Reads the file that a reviewer saved: an annotation page of the Web Annotation data model (W3C Recommendation of 23 February
 * 2017). It is untrusted: only texts of bounded length come in, as texts. Throws {@link NoAnswer}.
 */
export function readAnswer(file: string): ReviewAnswer {
  if (file.length > MOST_BYTES) throw new NoAnswer('is too large to be the answer of a reviewer.');
  let page: unknown;
  try {
    page = JSON.parse(file);
  } catch {
    throw new NoAnswer('is no answer of a reviewer: it cannot be read.');
  }
  if (!isRecord(page) || page['type'] !== 'AnnotationPage' || !Array.isArray(page['items']))
    throw new NoAnswer('is no answer of a reviewer: it holds no annotations.');
  const about = isRecord(page['partOf']) ? textIn(page['partOf']['id'], 200) : '';
  const postId = /^urn:dune-sparrow:post:(.+)$/.exec(about)?.[1] ?? '';
  if (postId === '') throw new NoAnswer('does not say which post it is about.');
  const comments: ReviewComment[] = [];
  const verdicts: Verdict[] = [];
  for (const [index, item] of page['items'].slice(0, MOST_COMMENTS).entries()) {
    if (!isRecord(item)) continue;
    const creator = item['creator'];
    const reviewer = textIn(isRecord(creator) ? creator['name'] : creator, 100).trim() || 'Somebody';
    const at = instantIn(item['created']);
    const bodies = listIn(item['body']);
    const verdict = bodyFor(bodies, 'assessing');
    if (verdict === 'approved' || verdict === 'changes') verdicts.push({ reviewer, at, says: verdict });
    const text = bodyFor(bodies, 'commenting') ?? '';
    const quote = quoteIn(item['target']);
    const proposal = quote ? bodyFor(bodies, 'editing') : null;
    if (text.trim() === '' && proposal === null) continue;
    const id = textIn(item['id'], 100) || `${reviewer} ${at} ${index}`;
    comments.push({ id, reviewer, at, quote, text: text.trim(), proposal, state: 'open', replies: [] });
  }
  return { postId, comments, verdicts };
}

/** What is known of a review with an answer: a comment that came before stays as it is, a later verdict replaces a reviewer's earlier. */
export function withAnswer(review: Review, answer: Review): Review {
  const known = new Set(review.comments.map(({ id }) => id));
  const comments = [...review.comments];
  for (const comment of answer.comments) {
    if (known.has(comment.id)) continue;
    known.add(comment.id);
    comments.push(comment);
  }
  const verdicts = [...review.verdicts];
  for (const verdict of answer.verdicts) {
    const before = verdicts.findIndex(({ reviewer }) => reviewer === verdict.reviewer);
    if (before < 0) verdicts.push(verdict);
    else if (verdict.at >= verdicts[before].at) verdicts[before] = verdict;
  }
  return { comments, verdicts };
}

export const openComments = ({ comments }: Pick<Review, 'comments'>): ReviewComment[] =>
  comments.filter(({ state }) => state === 'open');
