import type { PostDocument } from '../draft/index.ts';
import { comparablePath } from '../listing/index.ts';
import { daysBetween } from '../release/index.ts';

/** What was changed of a page that readers see. */
export type ChangeKind =
  | 'published'
  | 'meta-title'
  | 'title'
  | 'meta-description'
  | 'address'
  | 'text'
  | 'headings'
  | 'links'
  | 'pictures';

/** Something that was changed at once. */
export interface ChangePart {
  kind: ChangeKind;
  /** What came and went, in words: `120 words added`, `"Old" became "New"`. */
  words: string;
}

/** A day on which a page that is out changed. */
export interface PageChange {
  /** Day in the zone of the site. */
  day: string;
  parts: ChangePart[];
}

const wordCount = (text: string): number => text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0;
const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** How many of each there are, so that what stands twice counts twice. */
function countsOf(items: Iterable<string>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts;
}

function cameAndWent(
  before: readonly string[],
  after: readonly string[],
): { came: string[]; went: string[] } {
  const beyond = (own: readonly string[], others: Map<string, number>) =>
    own.filter((item) => {
      const left = others.get(item) ?? 0;
      others.set(item, left - 1);
      return left <= 0;
    });
  return { came: beyond(after, countsOf(before)), went: beyond(before, countsOf(after)) };
}

const wordsOf = ({ draft }: PostDocument): string[] =>
  draft.blocks.flatMap(({ text }) => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []);
const headingsOf = ({ draft }: PostDocument): string[] =>
  draft.blocks.flatMap(({ kind, text }) => (kind === 'heading' && text.trim() ? [text.trim()] : []));
const linksOf = ({ draft }: PostDocument): string[] =>
  draft.blocks.flatMap(({ marks }) =>
    marks.flatMap((mark) =>
      mark.type === 'link' && mark.href ? [comparablePath(mark.href) ?? mark.href] : [],
    ),
  );
const picturesOf = ({ draft }: PostDocument): string[] =>
  draft.blocks.flatMap(({ image }) => (image ? [image.src] : []));

const became = (before: string, after: string): string =>
  before === ''
    ? `“${after}” was written`
    : after === ''
      ? `“${before}” was taken out`
      : `“${before}” became “${after}”`;

function countsInWords(came: number, went: number, one: string): string {
  const parts = [
    ...(came > 0 ? [`${plural(came, one)} added`] : []),
    ...(went > 0 ? [`${plural(went, one)} taken out`] : []),
  ];
  return parts.join(', ');
}

/**
 * What differs for readers and for search between two states of a post, the weightiest first; empty where nothing does. Words, headings,
 * links and pictures are counted as they came and went, wherever they stand.
 */
export function changeParts(before: PostDocument, after: PostDocument): ChangePart[] {
  const parts: ChangePart[] = [];
  const [was, is] = [before.fields, after.fields];
  const field = (kind: ChangeKind, old: string, now: string) => {
    if (old.trim() !== now.trim()) parts.push({ kind, words: became(old.trim(), now.trim()) });
  };
  // What search shows is the meta title, or the title where there is none.
  field('meta-title', was.metaTitle || was.title, is.metaTitle || is.title);
  if (was.metaTitle !== '' || is.metaTitle !== '') field('title', was.title, is.title);
  field('meta-description', was.metaDescription, is.metaDescription);
  field('address', was.slug, is.slug);
  const counted: [ChangeKind, string, (of: PostDocument) => string[]][] = [
    ['text', 'word', wordsOf],
    ['headings', 'heading', headingsOf],
    ['links', 'link', linksOf],
    ['pictures', 'picture', picturesOf],
  ];
  for (const [kind, one, of] of counted) {
    const { came, went } = cameAndWent(of(before), of(after));
    if (came.length + went.length > 0)
      parts.push({ kind, words: countsInWords(came.length, went.length, one) });
  }
  return parts;
}

/** A state of a post that was sent out on a day. */
export interface SentState {
  day: string;
  document: PostDocument;
}

/**
 * The changes of a page that readers saw, in order: what was sent, each held against what was sent before it. The first is its
 * publication, on `published` where that is earlier than what is kept. Several of one day are one.
 */
export function pageChanges(sent: readonly SentState[], published: string): PageChange[] {
  const states = [...sent].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const changes: PageChange[] = [];
  const first = states.at(0);
  const began = first && (published === '' || first.day < published) ? first.day : published;
  if (began !== '')
    changes.push({
      day: began,
      parts: [{ kind: 'published', words: first ? plural(wordCount(textOf(first.document)), 'word') : '' }],
    });
  for (let at = 1; at < states.length; at++) {
    // Of what was sent several times in a day the last holds against the last of the day before.
    if (states.at(at + 1)?.day === states[at].day) continue;
    let back = at - 1;
    while (back > 0 && states[back].day === states[at].day) back -= 1;
    const parts = changeParts(states[back].document, states[at].document);
    if (parts.length > 0 && states[at].day > began) changes.push({ day: states[at].day, parts });
  }
  return changes;
}

const textOf = ({ draft }: PostDocument): string => draft.blocks.map(({ text }) => text).join(' ');

/** Whether a page changed within some days, its publication included. */
export const changedWithin = (changes: readonly PageChange[], from: string, to: string): boolean =>
  changes.some(({ day }) => daysBetween(from, day) >= 0 && daysBetween(day, to) >= 0);
