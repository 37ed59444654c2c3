import type { DraftEdit } from '../criteria/index.ts';
import type { PostDocument, PostFields } from '../draft/index.ts';

/** What is looked for, as in the text itself. */
export interface TextQuery {
  search: string;
  caseSensitive: boolean;
  wholeWord: boolean;
}

/** A part of a post beside its text in which words were found. */
export interface FoundPart {
  /** A field of the post, or a picture's alternative text or caption with the block it belongs to. */
  part:
    | 'title'
    | 'metaTitle'
    | 'metaDescription'
    | 'excerpt'
    | 'imageAlt'
    | 'shareTitle'
    | 'shareDescription'
    | 'alt'
    | 'caption'
    | 'embed';
  /** Null: no picture in the text. */
  blockId: string | null;
  text: string;
  /** Offsets of each place, in order. */
  places: { start: number; end: number }[];
}

const FIELDS = [
  'title',
  'metaTitle',
  'metaDescription',
  'excerpt',
  'imageAlt',
  'shareTitle',
  'shareDescription',
] as const satisfies readonly (keyof PostFields)[];

const isLetter = (text: string, at: number): boolean => /[\p{L}\p{N}_]/u.test(text.charAt(at));

function placesIn(text: string, { search, caseSensitive, wholeWord }: TextQuery): FoundPart['places'] {
  const places: FoundPart['places'] = [];
  // Letters whose small form is longer would move every offset behind them.
  const fold = (words: string) => (caseSensitive ? words : [...words].map(small).join(''));
  const [within, wanted] = [fold(text), fold(search)];
  if (wanted === '') return places;
  for (let at = within.indexOf(wanted); at !== -1; at = within.indexOf(wanted, at + wanted.length)) {
    const end = at + wanted.length;
    if (!wholeWord || !(isLetter(within, at - 1) || isLetter(within, end))) places.push({ start: at, end });
  }
  return places;
}

const small = (letter: string): string => {
  const lower = letter.toLowerCase();
  return lower.length === letter.length ? lower : letter;
};

/** Where words stand in a post beside its text: title, listing, excerpt, shares, alternative texts, captions, titles of embeds. */
export function findInParts({ fields, draft }: PostDocument, query: TextQuery): FoundPart[] {
  const found: FoundPart[] = [];
  const look = (part: FoundPart['part'], blockId: string | null, text: string) => {
    const places = placesIn(text, query);
    if (places.length > 0) found.push({ part, blockId, text, places });
  };
  for (const field of FIELDS) look(field, null, fields[field] ?? '');
  for (const { id, image, embed, text } of draft.blocks) {
    if (embed) look('embed', id, text);
    if (!image) continue;
    look('alt', id, image.alt ?? '');
    look('caption', id, text);
  }
  return found;
}

/** The edits that put other words in the place of all that were found. */
export function replaceInParts(parts: readonly FoundPart[], replacement: string): DraftEdit[] {
  return parts.flatMap(({ part, blockId, text, places }): DraftEdit[] => {
    let out = '';
    let at = 0;
    for (const { start, end } of places) {
      out += text.slice(at, start) + replacement;
      at = end;
    }
    out += text.slice(at);
    if (blockId === null) return [{ kind: 'set-field', field: part as keyof PostFields, value: out }];
    if (part === 'alt') return [{ kind: 'set-picture', blockId, picture: { alt: out } }];
    return [{ kind: 'replace-text', blockId, start: 0, end: text.length, quote: text, text: out }];
  });
}
