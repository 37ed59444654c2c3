import { detectLanguage } from '../language/index.ts';
import type { Block } from './draft.ts';

/** Characters from which a language is told. */
const LOOKED_AT = 4000;

/** The opening of a draft, by which its language is told where nobody declares it. */
export function openingText(blocks: readonly Block[]): string {
  let text = '';
  for (const block of blocks) {
    if (text.length > LOOKED_AT) break;
    text += `${block.text}\n`;
  }
  return text;
}

/** The language of a draft that declares none, as a tag such as `en`. */
export const draftLanguage = (blocks: readonly Block[]): string => detectLanguage(openingText(blocks));
