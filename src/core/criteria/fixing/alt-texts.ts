import { asHeading, partOfSpeech } from '../../language/index.ts';
import type { DraftFacts, ImageFact } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { imageName } from '../image-reading.ts';

/** The edit that gives a picture another alternative text. */
export const altEdit = ({ block }: ImageFact, alt: string): DraftEdit =>
  block
    ? { kind: 'set-picture', blockId: block.id, picture: { alt } }
    : { kind: 'set-field', field: 'imageAlt', value: alt };

/** An alternative text out of what stands with a picture: its caption, else the words of its file's name; null where neither says anything. */
export function altFor(image: ImageFact, facts: DraftFacts): { text: string; from: string } | null {
  const caption = image.block?.text.replace(/\s+/g, ' ').trim().replace(/\.$/, '') ?? '';
  if (caption.split(' ').length > 1)
    return { text: shortened(caption, facts.settings.limits.altCharacters), from: 'its caption' };
  const words = imageName(image.src)
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
