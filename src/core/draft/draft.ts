/** What a run of text carries besides its characters. Offsets are UTF-16 code units of the block's text. */
export interface Mark {
  type: 'bold' | 'italic' | 'underline' | 'strike' | 'code' | 'superscript' | 'subscript' | 'link';
  start: number;
  end: number;
  /** Links only: the address as written. */
  href?: string;
  /** Links only. */
  title?: string;
  /** Links only: search is told not to follow it. */
  nofollow?: boolean;
  /** Links only: it opens a window of its own. */
  newWindow?: boolean;
}

/** A mark whose attributes are all alike: two that touch are one. */
export const isSameLink = (a: Omit<Mark, 'start' | 'end'>, b: Omit<Mark, 'start' | 'end'>): boolean =>
  a.href === b.href &&
  a.title === b.title &&
  Boolean(a.nofollow) === Boolean(b.nofollow) &&
  Boolean(a.newWindow) === Boolean(b.newWindow);

/**
 * What a block stands in, outermost first. `key` is the id of the first block inside, so that blocks with equal
 * type, depth and key share one container.
 */
export type Container =
  | { type: 'list'; key: string; ordered: boolean; start?: number }
  | { type: 'item'; key: string }
  | { type: 'quote'; key: string }
  | { type: 'table'; key: string }
  | { type: 'row'; key: string }
  | { type: 'cell'; key: string; header: boolean; colspan?: number; rowspan?: number };

export const PICTURE_SIDES = ['left', 'right', 'wide'] as const;
export type PictureSide = (typeof PICTURE_SIDES)[number];
export const PICTURES_ACROSS = [2, 3] as const;
export type PicturesAcross = (typeof PICTURES_ACROSS)[number];

/** A picture as the draft shows it; the file itself lies elsewhere under the same address. */
export interface Picture {
  src: string;
  /** Null: no alternative text was given. Empty: marked as decorative. */
  alt: string | null;
  /** With the text around it; `wide`: wider than the text. */
  side?: PictureSide;
  /** So many in a row: pictures that follow one another and say the same share rows of equal height. */
  across?: PicturesAcross;
  /** Pixels as shown. */
  width?: number;
  link?: string;
  enlarge?: boolean;
}

export const EMBED_KINDS = ['video', 'audio', 'map', 'post', 'page'] as const;
/** What an embed shows; `post`: a post of a network; `page`: anything else that stands in a frame. */
export type EmbedKind = (typeof EMBED_KINDS)[number];

/** Something that plays or shows elsewhere, named by its address; its title is the block's text. */
export interface Embed {
  href: string;
  kind: EmbedKind;
  /** A picture of its own, by its address. */
  picture?: string;
  /** Where what is said in it can be read. */
  transcript?: string;
}

export const STEP_LOOKS = ['button', 'words'] as const;
/** How a paragraph that leads to the next step looks to readers. */
export type StepLook = (typeof STEP_LOOKS)[number];

export type BlockKind = 'paragraph' | 'heading' | 'code' | 'divider' | 'image' | 'embed' | 'more' | 'kept';

/**
 * One block of text with its place. An image's text is its caption, an embed's its title; `more` is the place up to which lists
 * show a post; markup that is kept as it is has no text.
 */
export interface Block {
  id: string;
  kind: BlockKind;
  /** Headings only, 1 to 6. */
  level?: number;
  path: Container[];
  /** Line breaks inside a block are `\n`. */
  text: string;
  marks: Mark[];
  image?: Picture;
  embed?: Embed;
  /** Paragraphs only: it leads to the next step that the post wants of its readers. */
  step?: StepLook;
  /** Code blocks only. */
  language?: string;
  /** Kept markup only: sanitised HTML. */
  html?: string;
  /** Kept markup only: addresses that it loads from. */
  embeds?: string[];
}

/** The body of a post, as stored. */
export interface Draft {
  version: 1;
  blocks: Block[];
}

export const emptyDraft = (): Draft => ({ version: 1, blocks: [] });

/** Gives out ids; passed in, so that the core stays without chance. */
export type NextId = () => string;

/** Ids `b1`, `b2`, ... for readers that need no more. */
export function countingIds(prefix = 'b'): NextId {
  let next = 0;
  return () => {
    next += 1;
    return `${prefix}${next}`;
  };
}

/** True for blocks whose text a reader reads as words of the body. */
export const isRead = (block: Block): boolean =>
  block.kind === 'paragraph' || block.kind === 'heading' || (block.kind === 'image' && block.text !== '');

/** What a reference to a footnote begins with; the id of the first block of the note's item follows. */
const TO_NOTE = '#fn-';
/** The character that stands in the text for a reference: no letter, and no part of a word. */
export const NOTE_SIGN = '†';

/** The address of a reference to the note whose item begins with a block. */
export const noteRef = (blockId: string): string => `${TO_NOTE}${blockId}`;

/** Whether an address is a reference to a footnote. */
export const isNoteRef = (href: string): boolean => href.startsWith(TO_NOTE);

/** The id of the block with which the note of a reference begins. */
export const noteOf = (href: string): string => href.slice(TO_NOTE.length);

/** The links of a block in order; neighbouring runs of one address are one link. References to footnotes are none. */
export function linksOf(block: Block): { start: number; end: number; href: string; text: string }[] {
  const links: { start: number; end: number; href: string; text: string }[] = [];
  for (const mark of block.marks) {
    if (mark.type !== 'link' || mark.href === undefined || isNoteRef(mark.href)) continue;
    links.push({
      start: mark.start,
      end: mark.end,
      href: mark.href,
      text: block.text.slice(mark.start, mark.end),
    });
  }
  return links.sort((a, b) => a.start - b.start);
}

/** A stretch of a block's text as a block of its own, with the marks that fall in it. */
export const partOf = (block: Block, start: number, end: number, id: string): Block => ({
  ...block,
  id,
  text: block.text.slice(start, end),
  marks: block.marks
    .filter((mark) => mark.end > start && mark.start < end)
    .map((mark) => ({
      ...mark,
      start: Math.max(mark.start, start) - start,
      end: Math.min(mark.end, end) - start,
    })),
});

const MARK_ORDER: Mark['type'][] = [
  'link',
  'bold',
  'italic',
  'underline',
  'strike',
  'superscript',
  'subscript',
  'code',
];

/**
 * Marks in canonical form: inside the text, none empty, touching ones of a kind joined, in a fixed order.
 * White space at the edges is let go, as no format can carry it safely.
 */
export function tidyMarks(marks: Mark[], text: string): Mark[] {
  const out: Mark[] = [];
  for (const type of MARK_ORDER) {
    const same = marks
      .filter((mark) => mark.type === type)
      .map((mark) => ({ ...mark, start: Math.max(0, mark.start), end: Math.min(text.length, mark.end) }))
      .sort((a, b) => a.start - b.start || a.end - b.end);
    const joined: Mark[] = [];
    for (const mark of same) {
      if (mark.end <= mark.start) continue;
      const last = joined.at(-1);
      if (last && mark.start < last.end) {
        if (mark.end <= last.end) continue;
        if (isSameLink(last, mark)) last.end = mark.end;
        else joined.push({ ...mark, start: last.end });
      } else if (last && mark.start === last.end && isSameLink(last, mark)) last.end = mark.end;
      else joined.push(mark);
    }
    for (const mark of joined) {
      while (mark.start < mark.end && /\s/.test(text[mark.start])) mark.start += 1;
      while (mark.end > mark.start && /\s/.test(text[mark.end - 1])) mark.end -= 1;
      if (mark.end > mark.start) out.push(mark);
    }
  }
  return out;
}
