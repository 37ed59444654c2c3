/** How long one message may be, and how a link in it counts. */
export interface MessageLimit {
  /** Characters. */
  most: number;
  /** Characters that any link counts as; null: as many as it has. */
  link: number | null;
}

/** Limits by name, as networks of messages commonly have them; any other is typed. */
export const MESSAGE_LIMITS: readonly { name: string; most: number; link: number | null }[] = [
  { name: 'Short message', most: 280, link: 23 },
  { name: 'Message', most: 300, link: null },
  { name: 'Longer message', most: 500, link: 23 },
  { name: 'Professional network', most: 3000, link: null },
];

const LINK = /https?:\/\/\S+/g;

/** Characters of a message as a network counts them: each code point is one, and a link as many as the limit says. */
export function messageLength(text: string, { link }: Pick<MessageLimit, 'link'>): number {
  const length = (part: string) => [...part].length;
  if (link === null) return length(text);
  const links = text.match(LINK) ?? [];
  return length(text) + links.reduce((sum, one) => sum + link - length(one), 0);
}

/** Places at which a text may be cut, the better ones first. */
const CUTS: readonly RegExp[] = [/[.!?]["”’)]?(?=\s)/g, /[;:](?=\s)|\s[–—](?=\s)/g, /,(?=\s)/g, /(?=\s)/g];

/**
 * A text that fits into so many characters: as it is, else cut behind a sentence, a clause or a word and closed with an ellipsis.
 * Empty where not even a word fits.
 */
export function fitted(text: string, room: number): string {
  const characters = [...text];
  if (characters.length <= room) return text;
  const short = characters.slice(0, Math.max(0, room - 1)).join('');
  for (const [rank, cut] of CUTS.entries()) {
    const places = [...text.slice(0, short.length + 1).matchAll(cut)].map(
      ({ 0: mark, index }) => index + mark.length,
    );
    const at = places.filter((place) => place <= short.length).at(-1) ?? 0;
    // A cut at a sentence or a clause that throws most of it away is worse than one at a word.
    if (at === 0 || (rank < CUTS.length - 1 && at < short.length / 3)) continue;
    const kept = short.slice(0, at).trimEnd();
    return rank === 0 ? kept : `${kept.replace(/[,;:–—]\s*$/, '').trimEnd()}…`;
  }
  return '';
}
