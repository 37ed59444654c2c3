import { applyEdits, type DraftEdit } from '../../criteria/index.ts';
import {
  type Block,
  type Draft,
  footnotesOf,
  isNoteRef,
  linksOf,
  type NextId,
  noteOf,
  noteRef,
  type PostDocument,
  type PostFields,
} from '../../draft/index.ts';
import { comparablePath, linkKind } from '../../listing/index.ts';
import { movedLinkEdits } from '../linking/index.ts';
import type { JoinedSection } from './join-advice.ts';
import { postSections } from './post-sections.ts';

/** A post that is joined with another, with the path at which it stands; null: it has none yet. */
export interface JoinedSide extends PostDocument {
  path: string | null;
}

/** Blocks with ids that none of the post has into which they come; containers and references to footnotes go with them. */
function withFreeIds(blocks: readonly Block[], taken: ReadonlySet<string>, nextId: NextId): Block[] {
  const names = new Map<string, string>();
  for (const { id } of blocks) names.set(id, taken.has(id) ? nextId() : id);
  const nameOf = (id: string) => names.get(id) ?? id;
  return blocks.map((block) => ({
    ...block,
    id: nameOf(block.id),
    path: block.path.map((part) => ({ ...part, key: nameOf(part.key) })),
    marks: block.marks.map((mark) =>
      mark.href !== undefined && isNoteRef(mark.href)
        ? { ...mark, href: noteRef(nameOf(noteOf(mark.href))) }
        : mark,
    ),
  }));
}

/** Takes the links off that lead to the post itself; one to a place in it leads there still. */
function withoutOwnLinks(post: PostDocument, path: string, host: string | null): PostDocument {
  const edits = post.draft.blocks.flatMap((block) =>
    linksOf(block).flatMap(({ start, end, href, text }): DraftEdit[] => {
      if (linkKind(href, host) !== 'internal' || href.startsWith('#')) return [];
      if (comparablePath(href, path) !== path) return [];
      const place = href.indexOf('#');
      const own = place < 0 || place === href.length - 1 ? null : href.slice(place);
      return [{ kind: 'set-link', blockId: block.id, start, end, quote: text, href: own }];
    }),
  );
  return applyEdits(post, edits);
}

const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** One list after the other, each entry once however it is written. */
const both = (one: readonly string[], other: readonly string[], but = ''): string[] => {
  const all = [...one];
  for (const entry of other)
    if (entry.trim() !== '' && !isSame(entry, but) && !all.some((known) => isSame(known, entry)))
      all.push(entry);
  return all;
};

/** What the joined post has of both besides its text: whatever tells readers or search of it stays the keeper's. */
const joinedFields = (keeper: PostFields, other: PostFields): PostFields => ({
  ...keeper,
  supporting: both(keeper.supporting, [other.keyword, ...other.supporting], keeper.keyword),
  tags: both(keeper.tags, other.tags),
  questions: both(keeper.questions, other.questions),
  points: both(keeper.points, other.points),
  ownFigures: both(keeper.ownFigures, other.ownFigures),
});

/**
 * Two posts as one: the sections that were picked in their order, with the footnotes that they refer to. Links that led to the one that
 * gives way or to the joined post itself are taken off, those that were read from where the other stood are written from the root.
 * Its target becomes a supporting keyword; tags, questions and own figures are those of both.
 *
 * @param host the site's own, as an address; null: only relative addresses are its own
 */
export function joinedPost(
  keeper: JoinedSide,
  other: JoinedSide,
  picked: readonly JoinedSection[],
  host: string | null,
  nextId: NextId,
): PostDocument {
  const moves =
    keeper.path !== null && other.path !== null
      ? new Map([[comparablePath(other.path) ?? other.path, keeper.path]])
      : new Map<string, string>();
  const followed = (side: JoinedSide): Draft =>
    applyEdits(side, movedLinkEdits(side.draft.blocks, { moves, base: side.path, host })).draft;
  const own = followed(keeper);
  const taken = new Set(own.blocks.map(({ id }) => id));
  const given = followed(other);
  const sections = {
    keeper: new Map(postSections(own).map((section) => [section.id, section.blocks])),
    other: new Map(postSections(given).map((section) => [section.id, section.blocks])),
  };
  const notes = (draft: Draft) => {
    const { lists } = footnotesOf(draft);
    return draft.blocks.filter(({ path }) => lists.has(path[0]?.key ?? ''));
  };
  const ownNotes = notes(own);
  const coming = [
    ...picked.flatMap(({ from, id }) => (from === 'other' ? (sections.other.get(id) ?? []) : [])),
    ...notes(given),
  ];
  const renamed = withFreeIds(coming, taken, nextId);
  const byId = new Map(coming.map(({ id }, at) => [id, renamed[at]]));
  const text = picked.flatMap(({ from, id }) =>
    from === 'keeper'
      ? (sections.keeper.get(id) ?? [])
      : (sections.other.get(id) ?? []).map((block) => byId.get(block.id)!),
  );
  const givenNotes = notes(given).map(({ id }) => byId.get(id)!);
  const blocks = [...text, ...notesOf(text, ownNotes, givenNotes)];
  const post = { fields: joinedFields(keeper.fields, other.fields), draft: { ...own, blocks } };
  const path = keeper.path === null ? null : comparablePath(keeper.path);
  return path === null ? post : withoutOwnLinks(post, path, host);
}

/** The footnotes to which a text refers, those of both posts in one list. */
function notesOf(text: readonly Block[], own: readonly Block[], given: readonly Block[]): Block[] {
  const referred = new Set(
    text.flatMap(({ marks }) => marks.flatMap(({ href }) => (href && isNoteRef(href) ? noteOf(href) : []))),
  );
  const kept = [...own, ...given].filter(({ path }) =>
    referred.has(path.find(({ type }) => type === 'item')?.key ?? ''),
  );
  const [first] = kept;
  // A list is known by its first block.
  return kept.map((block) => ({
    ...block,
    path: block.path.map((part, depth) => (depth === 0 ? { ...first.path[0], key: first.id } : part)),
  }));
}
