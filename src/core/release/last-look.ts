import { type CriterionResult, gainOf, notesOf } from '../criteria/index.ts';
import type { PostDocument } from '../draft/index.ts';
import { slugOf } from '../listing/index.ts';
import { leftToFill } from './left-to-fill.ts';

/** Something that the last look finds before a post goes out. */
export interface LookItem {
  /** The same thing keeps the same id, so that what was overruled stays so; once it is more than that, it is another. */
  id: string;
  /** `must` holds publishing back until it is mended or overruled; `should` is worth mending. */
  level: 'must' | 'should';
  /** One or two sentences: what, and what to do. */
  text: string;
  /** Points that mending it brings; 0: none are known. */
  gain: number;
  /** Where it is mended. */
  at: 'write' | 'outline' | 'target' | 'release' | 'site';
  /** The field that it concerns; null: none. */
  field: 'title' | 'slug' | null;
  /** The words that it concerns; null: none. */
  place: { blockId: string; start: number; end: number; quote: string } | null;
  /** The criterion whose note says more; null: none. */
  criterion: string | null;
}

/** What the last look has to know. */
export interface LookAt {
  /** As it goes out. */
  post: PostDocument;
  criteria: readonly CriterionResult[];
  words: number;
  /** Headings from the outline that wait for their text, and so stay out. */
  waitingHeadings: readonly string[];
  /** Title of another post that stands at the same address; empty: the address is free. */
  addressTakenBy: string;
  /** Blocks that still stand as in the post that this one was begun from. */
  leftOver: { title: string; blocks: number } | null;
  /** Paragraphs that stand as they came from a text service or another writer, and were not said to be read. */
  unread: readonly string[];
  /** Points of the house's checklist that are not ticked. */
  unticked: readonly string[];
  /** Links to other sites that were found to lead nowhere. */
  goneLinks: readonly { blockId: string; start: number; end: number; quote: string }[];
  /** Comments of a reviewer that are open. */
  openComments: number;
  /** Addresses from which readers will be led on: `/journal/old` to `/journal/new`. */
  redirects: readonly { from: string; to: string }[];
  /** UTC instant of now, and the time at which it shall go out; empty: at once. */
  now: string;
  out: string;
  /** Whether readers have it already. */
  isOut: boolean;
}

/** Below it a text is a note: the floor under which the score takes nothing for a post either. */
export const LEAST_WORDS = 150;
/** Notes that are listed one by one; nobody reads more before sending. */
const MOST_NOTES = 6;

/** Criteria whose faults a reader would meet at once. */
const MUST: ReadonlySet<string> = new Set(['alt-present', 'links-live']);
/** What another item says in fewer words. */
const SAID_OTHERWISE: ReadonlySet<string> = new Set([...MUST, 'post-size']);

const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`;

/** Adds items of a level, of which only what is special has to be said. */
const adderTo =
  (found: LookItem[], level: LookItem['level']) =>
  (id: string, text: string, more: Partial<LookItem> = {}): void => {
    const usual = { gain: 0, at: 'write', field: null, place: null, criterion: null } as const;
    found.push({ id, level, text, ...usual, ...more });
  };

function musts(look: LookAt): LookItem[] {
  const { post, criteria, words } = look;
  const found: LookItem[] = [];
  const add = adderTo(found, 'must');
  if (post.fields.title.trim() === '') add('title', 'It has no title. Write one.', { field: 'title' });
  if (slugOf(post.fields.slug) === '')
    add('slug', 'It has no slug, and so no address. Write one.', { field: 'slug' });
  else if (look.addressTakenBy)
    add(
      `slug-taken ${look.addressTakenBy}`,
      `“${look.addressTakenBy}” stands at this address already. Choose another slug.`,
      { field: 'slug' },
    );
  if (words < LEAST_WORDS)
    add(
      'words',
      words === 0
        ? 'It has no text.'
        : `It has ${many(words, 'word')}: under ${LEAST_WORDS} it is a note, no post. Write more.`,
    );
  const [toFill, ...further] = leftToFill(post.draft.blocks);
  if (toFill)
    add(
      `to-fill ${[toFill, ...further].map(({ quote }) => quote).join(' ')}`.slice(0, 200),
      `“${toFill.quote}” is still to be filled in${further.length > 0 ? `, and ${many(further.length, 'place')} more` : ''}.`,
      { place: toFill },
    );
  if (look.waitingHeadings.length > 0)
    add(
      `waiting-headings ${look.waitingHeadings.join(' ')}`.slice(0, 200),
      `${many(look.waitingHeadings.length, 'heading waits', 'headings wait')} for a text and would stay out: “${look.waitingHeadings[0]}”${look.waitingHeadings.length > 1 ? ' and others' : ''}. Write them, or take them out.`,
      { at: 'outline' },
    );
  for (const note of criteria)
    if (note.advice !== null && MUST.has(note.id) && note.measured !== 'all decorative')
      add(`${note.id} ${note.measured}`, note.advice, {
        gain: gainOf(note),
        place: note.evidence[0] ?? null,
        criterion: note.id,
      });
  const [gone, ...moreGone] = look.goneLinks;
  if (gone)
    add(
      `gone-links ${look.goneLinks.map(({ quote }) => quote).join(' ')}`.slice(0, 200),
      `“${gone.quote}” links to a page that is gone${moreGone.length > 0 ? `, and ${many(moreGone.length, 'link')} more ${moreGone.length === 1 ? 'does' : 'do'}` : ''}. Link another, or take the link out.`,
      { place: gone },
    );
  if (look.openComments > 0)
    add(
      `comments ${look.openComments}`,
      `${many(look.openComments, 'comment')} of the reviewer ${look.openComments === 1 ? 'is' : 'are'} open.`,
    );
  // A post that readers have keeps the date at which it came to them.
  if (!look.isOut && look.out !== '' && Date.parse(look.out) < Date.parse(look.now) - 86_400_000)
    add(
      `past-date ${look.out.slice(0, 10)}`,
      `Its date, ${look.out.slice(0, 10)}, has passed: readers would take it for old. Set another, or take it off to publish as of now.`,
      { at: 'release' },
    );
  return found;
}

function shoulds(look: LookAt): LookItem[] {
  const { post, criteria } = look;
  const found: LookItem[] = [];
  const add = adderTo(found, 'should');
  if (look.leftOver && look.leftOver.blocks > 0)
    add(
      'left-over',
      `${many(look.leftOver.blocks, 'paragraph stands', 'paragraphs stand')} as in “${look.leftOver.title}”, from which it was begun.`,
    );
  if (look.unread.length > 0) {
    const [first] = look.unread;
    const text = post.draft.blocks.find(({ id }) => id === first)?.text ?? '';
    add(
      `unread ${look.unread.length}`,
      `${many(look.unread.length, 'paragraph stands', 'paragraphs stand')} as ${look.unread.length === 1 ? 'it was' : 'they were'} generated or came back. Read ${look.unread.length === 1 ? 'it' : 'them'}, check what ${look.unread.length === 1 ? 'it states' : 'they state'}, and say so.`,
      { place: { blockId: first, start: 0, end: text.length, quote: text.slice(0, 60) } },
    );
  }
  const notes = notesOf(criteria).filter((note) => !SAID_OTHERWISE.has(note.id) && gainOf(note) >= 0.05);
  for (const note of notes.slice(0, MOST_NOTES))
    add(note.id, note.advice ?? '', {
      gain: gainOf(note),
      place: note.evidence[0] ?? null,
      criterion: note.id,
      at: note.place === 'target' ? 'target' : 'write',
    });
  const rest = notes.slice(MOST_NOTES);
  if (rest.length > 0)
    add('more-notes', `${many(rest.length, 'smaller note')} in the margin.`, {
      gain: rest.reduce((sum, note) => sum + gainOf(note), 0),
    });
  if (post.fields.category.trim() === '')
    add('category', 'It has no category, and so stands on no list of one.', { at: 'release' });
  if (post.fields.excerpt.trim() === '')
    add('excerpt', 'It has no excerpt: lists show its opening.', { at: 'release' });
  if (look.unticked.length > 0)
    add(
      'checklist',
      `${many(look.unticked.length, 'point')} of the house checklist ${look.unticked.length === 1 ? 'is' : 'are'} open: ${look.unticked.slice(0, 3).join('; ')}${look.unticked.length > 3 ? '…' : ''}`,
      { at: 'release' },
    );
  for (const { from, to } of look.redirects)
    add(`redirect ${from}`, `Readers who come to ${from} will be led to ${to}.`, { at: 'site' });
  return found;
}

/**
 * What the last look finds, in the order in which a careful person looks: what must be mended, then what should be, the most to
 * win first.
 */
export const lastLook = (look: LookAt): LookItem[] => [...musts(look), ...shoulds(look)];

/** What still holds a post back: `must` items that nobody overruled. */
export const holdingBack = (items: readonly LookItem[], overruled: readonly { item: string }[]): LookItem[] =>
  items.filter(({ id, level }) => level === 'must' && !overruled.some(({ item }) => item === id));
