import { pixelWidth, runningWidths } from './widths.ts';

/** A line as a results page would show it. */
export interface CutLine {
  shown: string;
  /** Code unit at which the rest is cut off; null where all of it fits. */
  cut: number | null;
}

/** Cuts a line to a width in pixels, at a word's end where there is one, with an ellipsis that itself fits. */
export function cutToWidth(text: string, size: number, limit: number): CutLine {
  const running = runningWidths(text, size);
  if (running[text.length] <= limit) return { shown: text, cut: null };
  const room = limit - pixelWidth(' …', size);
  let at = 0;
  while (at < text.length && running[at + 1] <= room) at += 1;
  const space = text.lastIndexOf(' ', at);
  // Scripts without spaces, and very long words, are cut between characters.
  let cut = space > at / 2 ? space : at;
  if (cut > 0 && /[\ud800-\udbff]/.test(text[cut - 1])) cut -= 1;
  return { shown: `${text.slice(0, cut).replace(/[\s,;:–—-]+$/, '')} …`, cut };
}

/**
 * What a results page cuts off a meta title that the site's pattern was put around: words of the title itself, only what the pattern
 * adds behind it (the site's name), or nothing.
 */
export function cutOfTitle(
  metaTitle: string,
  own: string,
  size: number,
  limit: number,
): 'title' | 'pattern' | null {
  const { cut } = cutToWidth(metaTitle, size, limit);
  if (cut === null) return null;
  const at = own === '' ? -1 : metaTitle.indexOf(own);
  return at >= 0 && cut >= at + own.length ? 'pattern' : 'title';
}
