import { asHeading, partOfSpeech } from '../../language/index.ts';
import type { DraftFacts, ImageFact } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { imageName } from '../image-reading.ts';

/** The edit that gives a picture another alternative text. */
export const altEdit = ({ block }: ImageFact, alt: string): DraftEdit =>
  block
    ? { kind: 'set-picture', blockId: block.id, picture: { alt } }
    : { kind: 'set-field', field: 'imageAlt', value: alt };

/** An alternative text out of what stands with a picture; null where neither caption nor name says anything. */
export const altFor = (image: ImageFact, facts: DraftFacts): AltDraft | null =>
  altDraft(image.block?.text ?? '', image.src, facts.settings.limits.altCharacters);

/** A text for a picture, and what it was taken from. */
export interface AltDraft {
  text: string;
  from: 'its caption' | 'its file name';
}

/**
 * An alternative text of at most `most` characters out of a picture's caption, else the words of its file's name; null where
 * neither says anything.
 *
 * @example altDraft('', 'media/causeway-at-low-water.jpg', 125)?.text // "Causeway at low water"
 */
export function altDraft(captionAsWritten: string, src: string, most: number): AltDraft | null {
  const caption = captionAsWritten.replace(/\s+/g, ' ').trim().replace(/\.$/, '');
  if (caption.split(' ').length > 1) return { text: shortened(caption, most), from: 'its caption' };
  const words = imageName(src)
    .split(/[-_\s]+/)
    .filter(Boolean);
  const said = words.filter((word) => /^\p{L}{2,}$/u.test(word));
  const strange = words.length - said.filter((word) => isWord(word.toLowerCase())).length;
  if (said.length > 1 && strange <= 1)
    return { text: asHeading(said.join(' ').toLowerCase()), from: 'its file name' };
  return null;
}

/** Whether a word, or what it is the plural of, is among the commonest. */
const isWord = (word: string): boolean =>
  partOfSpeech(word) !== undefined || partOfSpeech(word.replace(/s$/, '')) !== undefined;

/** A text up to the last word that fits. */
function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  const cut = text.lastIndexOf(' ', most);
  return text.slice(0, cut > 0 ? cut : most).replace(/[\s,;:–-]+$/, '');
}
