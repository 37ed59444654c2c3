import { wordsIn } from '../../../../core/draft/index.ts';
import { counted, listInWords } from '../../../ui/figures.ts';

/** What readers see of a page before they scroll. */
export interface AboveFold {
  title: boolean;
  pictures: number;
  headings: number;
  words: number;
}

/**
 * What stands within the first pixels of a page as it is laid out: a heading or a picture counts when half of it does, the words
 * of a paragraph by the share of its height.
 */
export function aboveFold(page: Document, height: number): AboveFold {
  const found: AboveFold = { title: false, pictures: 0, headings: 0, words: 0 };
  for (const element of page.querySelectorAll('h1, h2, h3, h4, img, .elsewhere, p, li, td, th')) {
    const { top, bottom } = element.getBoundingClientRect();
    const offset = page.defaultView?.scrollY ?? 0;
    const share = bottom > top ? Math.min(1, Math.max(0, (height - top - offset) / (bottom - top))) : 0;
    if (element.matches('h1')) found.title ||= share >= 0.5;
    else if (element.matches('h2, h3, h4')) found.headings += share >= 0.5 ? 1 : 0;
    else if (element.matches('img, .elsewhere')) found.pictures += share >= 0.5 ? 1 : 0;
    else if (!element.querySelector('p, li'))
      found.words += Math.round(share * wordsIn(element.textContent ?? ''));
  }
  return found;
}

export function foldInWords({ title, pictures, headings, words }: AboveFold): string {
  const parts = [
    ...(title ? ['the title'] : []),
    ...(pictures > 0 ? [counted(pictures, 'picture')] : []),
    ...(headings > 0 ? [counted(headings, 'heading')] : []),
    ...(words > 0 ? [counted(words, 'word')] : []),
  ];
  return parts.length === 0 ? 'nothing' : listInWords(parts);
}
