import { imageName, isTellingName } from '../criteria/index.ts';
import { isStopWord } from '../language/index.ts';
import { slugOf } from '../listing/index.ts';
import type { ShownPicture } from './shown-pictures.ts';

/** Words that a name holds at most when it is made here: the rest adds nothing. */
const MOST_WORDS = 6;

/** A file name (without ending) of the first telling words of a text; empty where it has none. */
function nameFrom(text: string): string {
  const words = [...new Set(slugOf(text).split('-').filter(Boolean))];
  const telling = words.filter((word) => !isStopWord(word));
  return (telling.length >= 2 ? telling : words).slice(0, MOST_WORDS).join('-');
}

/**
 * The name (without ending) that a picture's file should have: its own where that tells what it shows, else one out of its
 * caption, alternative text, the keyword with the heading it stands under, or the keyword. `taken` are names of other pictures: a number
 * keeps names apart.
 *
 * @example pictureName({ src: 'media/IMG_2041.jpg', caption: 'The causeway at low water', … }, 'tide tables', …) // 'causeway-low-water'
 */
export function pictureName(
  { src, alt, caption, heading }: ShownPicture,
  keyword: string,
  words: [fewest: number, most: number],
  taken: ReadonlySet<string> = new Set(),
): string {
  const own = imageName(src);
  const wished = isTellingName(own, words)
    ? own
    : ([caption, alt ?? '', heading && keyword ? `${keyword} ${heading}` : heading, keyword]
        .map(nameFrom)
        .find((name) => isTellingName(name, words)) ??
      (nameFrom(keyword) || own));
  let name = wished;
  for (let number = 2; taken.has(name); number++) name = `${wished}-${number}`;
  return name;
}
