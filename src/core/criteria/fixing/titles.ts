import { asHeading } from '../../language/index.ts';
import { pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { asWritten } from './as-written.ts';
import { namedPhrase, placesToName } from './naming.ts';

/** A title that could stand, and whether its words were put together by rule. */
export interface TitleCandidate {
  text: string;
  readOver: boolean;
}

/** Whether most words of a title begin with a capital, as some houses write them. */
const isCapitalised = (title: string): boolean => {
  const words = title.match(/\p{L}[\p{L}'’]{3,}/gu) ?? [];
  return words.length > 2 && words.filter((word) => /^\p{Lu}/u.test(word)).length > words.length / 2;
};

const inCapitals = (text: string) =>
  text.replace(
    /(^|[\s])(\p{Ll})(?=\p{L}{3})/gu,
    (_, gap: string, letter: string) => gap + letter.toUpperCase(),
  );

/** A title with a phrase put where its noun stands alone, else led by the phrase and a colon; as the title is capitalised. */
export function titlesNaming(title: string, phrase: string, facts: DraftFacts): TitleCandidate[] {
  const own = title.trim();
  const written = asWritten(phrase, facts);
  const lead = asHeading(written);
  if (own === '') return [{ text: lead, readOver: false }];
  const capitals = isCapitalised(own);
  const places = facts.english ? placesToName(own.toLowerCase(), written, facts.reader.vocabulary) : [];
  const named = places.slice(0, 1).map(({ start, end, text }) => {
    const had = own.slice(start, end);
    const fresh = capitals ? inCapitals(text) : text;
    const begun = start === 0 || /^(?:\p{Lu}|an? \p{Lu})/u.test(had) ? asHeading(fresh) : fresh;
    return { text: own.slice(0, start) + begun + own.slice(end), readOver: true };
  });
  // Before a number of a section nothing leads.
  if (repeats(own, phrase, facts) || /^\d+(?:\.\d+)*\.\s|^\d+(?:\.\d+)+\s/.test(own)) return named;
  // German nouns keep their capital wherever they stand.
  const rest =
    facts.reader.bases.code === 'de' || /^(?:\p{Lu}{2}|I\b|\p{Ll}+\p{Lu})/u.test(own) || capitals
      ? own
      : own.charAt(0).toLowerCase() + own.slice(1);
  return [...named, { text: `${capitals ? inCapitals(lead) : lead}: ${rest}`, readOver: true }];
}

/** Whether a title holds a phrase, or so many of its words that one led by the other would say the same twice. */
function repeats(title: string, phrase: string, { reader: { bases } }: DraftFacts): boolean {
  const said = new Set(bases.stemsOf(title));
  const content = bases.stemsOf(phrase);
  const shared = content.filter((stem) => said.has(stem)).length;
  return shared > 1 || shared === content.length;
}

/** Parts of a title that could stand alone: before and after a colon, dash or bar, and without what is in brackets. */
export function shorterTitles(title: string): string[] {
  const own = title.trim();
  const bare = own.replace(/\s*[([][^()[\]]*[)\]]/g, '').trim();
  const parts = own.split(/\s+[|–—-]\s+|:\s+/);
  const commas = own.split(/,\s+/);
  const found = [bare, ...parts, commas.length > 1 ? commas.slice(0, -1).join(', ') : ''];
  return [...new Set(found.map((text) => asHeading(text.trim())))].filter(
    (text) => text !== own && text.split(/\s+/).length > 2,
  );
}

/** Pixels that the site's pattern adds to a meta title. */
export const patternPixels = ({ metaTitle, fields }: DraftFacts): number =>
  pixelWidth(metaTitle, TITLE_SIZE) - pixelWidth(fields.metaTitle.trim() || fields.title.trim(), TITLE_SIZE);

/** Whether a meta title, in the site's pattern, is shown whole. */
export function fitsListing(text: string, facts: DraftFacts): boolean {
  const limit = facts.settings.limits.metaTitlePixels[2];
  return limit === null || pixelWidth(text, TITLE_SIZE) + patternPixels(facts) <= limit;
}

/** A phrase that can lead a longer line: a noun with something around it, or one of several words. */
export const canLead = (phrase: string): boolean => namedPhrase(phrase) !== null || /\s/.test(phrase.trim());
