import { isStopWord, languageRules, normalForm, plainWords } from '../../language/index.ts';
import { slugOf } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure } from '../judging.ts';

const LATIN = /^[\p{Script=Latin}\p{N}\p{P}\p{S}\p{Z}\p{M}]*$/u;

/** Whether a word of a slug names nothing. Slugs have no accents: small words of other languages are looked up without. */
function isSmall(word: string, { english, language }: DraftFacts): boolean {
  return english ? isStopWord(word) : smallWordsInSlugs(language).has(word);
}

const small = new Map<string, ReadonlySet<string>>();

function smallWordsInSlugs(language: string): ReadonlySet<string> {
  const rules = languageRules(language);
  if (!rules) return NONE;
  let words = small.get(rules.code);
  if (!words) {
    words = new Set([...rules.functionWords].map(slugOf));
    small.set(rules.code, words);
  }
  return words;
}

const NONE: ReadonlySet<string> = new Set();

function faultsOf(facts: DraftFacts): string[] {
  const { slug } = facts.fields;
  const own = new Set(plainWords(facts.keyword).map(normalForm));
  const words = slug.split(/[-_]+/).filter(Boolean);
  const beside = words.filter((word) => !own.has(normalForm(word)));
  const faults: string[] = [];
  if (beside.length > facts.settings.limits.slugWords)
    faults.push(`${beside.length} words beside the keyword's`);
  const stops = beside.filter((word) => isSmall(word.toLowerCase(), facts));
  if (stops.length) faults.push(`small words (${stops.join(', ')})`);
  if (/(?:^|\D)(?:19|20)\d\d(?:-\d\d)?(?:\D|$)/.test(slug)) faults.push('a date');
  else if (/\d{4,}|[0-9a-f]{8,}/i.test(slug.replace(/[a-z-]*[g-z][a-z]*/gi, ''))) faults.push('an id');
  if (slug.includes('_')) faults.push('underscores');
  if (slug !== slug.toLowerCase()) faults.push('capitals');
  // biome-ignore lint/suspicious/noControlCharactersInRegex: ASCII as a range
  if (/[^\x00-\x7f]/.test(slug) && LATIN.test(`${facts.fields.title} ${slug}`))
    faults.push('letters with accents');
  return faults;
}

export const slugShape = criterion({
  id: 'slug-shape',
  group: 'listing',
  title: 'Slug form',
  place: 'slug',
  weight: 2,
  needs: ['words'],
  target: (limits) =>
    `up to ${limits.slugWords} words beside the keyword's; no small words, dates, ids, underscores or capitals`,
  measure(facts) {
    if (facts.fields.slug === '') return measure(0, null, 'Give the post a slug.');
    const faults = faultsOf(facts);
    return measure(
      Math.max(0, 1 - 0.34 * faults.length),
      facts.fields.slug,
      `The slug has ${faults.join(' and ')}.`,
    );
  },
  fixes(facts) {
    const { slug } = facts.fields;
    const value = slugOf(facts.keyword || facts.fields.title);
    if (value === '' || value === slug || (slug !== '' && faultsOf(facts).length === 0)) return [];
    return [{ label: `Use "${value}"`, edits: [{ kind: 'set-field', field: 'slug', value }] }];
  },
});
