import { plainWords } from '../language/index.ts';

/** A phrase as a hashtag: its words in one, each with a capital ("bike tour packing list" is `#BikeTourPackingList`); empty where it has no letter. */
export function hashtag(phrase: string): string {
  const words = plainWords(phrase).map((word) => word.replace(/['’]/g, ''));
  const tag = words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join('');
  return /\p{L}/u.test(tag) ? `#${tag}` : '';
}

/** The hashtags of a post: its keyword, its categories, its supporting keywords; none twice, at most so many. */
export function hashtagsOf(
  {
    keyword,
    categories,
    supporting,
  }: { keyword: string; categories: readonly string[]; supporting: readonly string[] },
  most = 3,
): string[] {
  const seen = new Set<string>();
  const out: string[] = [];
  for (const phrase of [keyword, ...categories, ...supporting]) {
    const tag = hashtag(phrase);
    if (tag === '' || seen.has(tag.toLowerCase()) || out.length === most) continue;
    seen.add(tag.toLowerCase());
    out.push(tag);
  }
  return out;
}
