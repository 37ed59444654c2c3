import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { imageName, imagePlaces } from '../image-reading.ts';
import { measure, NO_KEYWORD } from '../judging.ts';
import { namesSubject } from '../keyword-stems.ts';

const CAMERA =
  /^(?:img|dsc|dscn|dscf|pxl|mvi|gopr|p\d|image|photo|picture|screenshot|untitled|unnamed|scan|foto|bild)$/i;

/** True for a picture's name (without its ending) of real words joined by hyphens: no camera's counter, no hash. */
export function isTellingName(name: string, [fewest, most]: [number, number]): boolean {
  if (/[_\s%]/.test(name)) return false;
  const words = name.split('-').filter((word) => /^\p{L}[\p{L}\p{M}]+$/u.test(word));
  if (words.some((word) => CAMERA.test(word)) && words.length < 3) return false;
  if (name.split('-').some((part) => part.length >= 6 && /\d/.test(part) && /^[0-9a-f]+$/i.test(part)))
    return false;
  return words.length >= fewest && words.length <= most;
}

/** What a name is worth that names the keyword, or what it is about. */
function nameTarget(facts: DraftFacts, src: string): number {
  const name = imageName(src).replace(/[-_]+/g, ' ');
  const { value } = facts.keywordIn(name);
  return value < 1 && namesSubject(name, facts.reader) ? 1 : value;
}

export const imageNames = criterion({
  id: 'image-name',
  group: 'media',
  title: 'Picture file names',
  place: 'featured',
  weight: 1,
  needs: ['pictures'],
  target: ({ imageNameWords: [fewest, most] }) =>
    `${fewest}-${most} real words with hyphens; one with the keyword, or the words of it that can be seen`,
  measure(facts) {
    const {
      images,
      settings: { limits },
    } = facts;
    const poor = images.filter(({ src }) => !isTellingName(imageName(src), limits.imageNameWords));
    const best = facts.keyword ? Math.max(...images.map(({ src }) => nameTarget(facts, src))) : 0;
    const advice = poor.length
      ? `"${(imageName(poor[0].src) || 'picture data').slice(0, 60)}" says nothing. Name the file by what it shows.`
      : facts.keyword
        ? `Name one picture's file after "${facts.keyword}".`
        : NO_KEYWORD.advice;
    const found = measure(
      0.5 * ((images.length - poor.length) / images.length) + 0.5 * best,
      `${images.length - poor.length} of ${images.length} well named`,
      advice,
      imagePlaces(poor),
    );
    return poor.length === 0 && !facts.keyword ? { ...found, place: NO_KEYWORD.place! } : found;
  },
});
