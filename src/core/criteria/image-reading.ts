import type { Evidence } from './criterion.ts';
import type { ImageFact } from './draft-facts.ts';
import { wholeBlock } from './judging.ts';

/** Places of pictures in the text; the featured picture has none. */
export const imagePlaces = (images: readonly ImageFact[]): Evidence[] =>
  images.flatMap(({ block, index }) => (block && index !== null ? [wholeBlock(block, index)] : []));

/** A picture's file name without folders, query and ending, decoded. Empty for picture data. */
export function imageName(src: string): string {
  if (/^(?:data|blob):/i.test(src)) return '';
  const last =
    src
      .replace(/[?#].*$/, '')
      .split('/')
      .at(-1) ?? '';
  let name = last;
  try {
    name = decodeURIComponent(last);
  } catch {
    // A stray per cent sign: the name as written will do.
  }
  return name.replace(/\.[a-z0-9]{2,5}$/i, '');
}

/** How a note names a picture. */
export const nameOf = ({ src, index }: ImageFact): string =>
  index === null ? 'The featured picture' : `"${imageName(src) || 'A picture'}"`;
