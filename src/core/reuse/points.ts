import { tellingStems } from '../language/index.ts';
import { gistOf, standsAlone } from '../writing/index.ts';
import { type PostSentence, sectionHeadings } from './post-sentences.ts';

/** A sentence that leans on nothing, or the first of its paragraph with a subject of its own. */
const mayStand =
  (title: string) =>
  (text: string): boolean =>
    !OF_WHAT.test(text) && (standsAlone(text) || standsAlone(namedAgain(text, title)));

/** Speaks of what an earlier sentence named. */
const OF_WHAT = /\b(?:of|between|among|without) (?:them|these|those)\b|\bin this way\b/i;

/** "This bike tour packing list" names what it speaks of, where the title does: it leans on nothing. */
function namedAgain(text: string, title: string): string {
  const named = /^(?:This|These|The following) ((?:[\p{L}-]+ ){1,5})/u.exec(text);
  if (!named) return text;
  const subject = tellingStems(title);
  const said = [...tellingStems(named[1])].filter((each) => subject.has(each));
  return said.length >= 2 ? text.replace(/^\S+( following)?/, 'Our') : text;
}

/**
 * The sentences that say most of a post, the best first, none twice in other words; such as lean on what came before ("It does")
 * only where nothing else is left.
 *
 * @returns indices into the sentences
 */
export function pointsOf(sentences: readonly PostSentence[], title: string, most: number): number[] {
  const subject = { title, headings: sectionHeadings(sentences) };
  const found = gistOf(sentences, subject, most, mayStand(title));
  if (found.length >= most) return found;
  const more = gistOf(
    sentences,
    subject,
    most,
    (text) => /^["“‘(]?[\p{Lu}\d].*[.!]["”’)]?$/su.test(text) && text.split(' ').length >= 4,
  );
  return [...found, ...more.filter((at) => !found.includes(at))].slice(0, most);
}

/** So many points, spread over the post: of each section its best before any second, in the order of the text. */
export function spreadPoints(sentences: readonly PostSentence[], title: string, most: number): number[] {
  const ranked = pointsOf(sentences, title, sentences.length);
  const firsts: number[] = [];
  const seen = new Set<number>();
  for (const at of ranked) {
    if (seen.has(sentences[at].section)) continue;
    seen.add(sentences[at].section);
    firsts.push(at);
  }
  const chosen = [...firsts, ...ranked.filter((at) => !firsts.includes(at))].slice(0, most);
  return chosen.sort((a, b) => a - b);
}
