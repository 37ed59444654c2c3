import { matchingOf, normalForm, plainWords } from '../../language/index.ts';
import { slugOf } from '../../listing/index.ts';
import type { BlockReader } from '../block-reader.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure, NO_KEYWORD } from '../judging.ts';

interface Coverage {
  wanted: string[];
  held: string[];
}

const known = new WeakMap<BlockReader, { slug: string; coverage: Coverage }>();

/** The keyword's content words and those of them that the slug holds. A reader knows one keyword: its slug seldom changes. */
export function slugCoverage(facts: DraftFacts): Coverage {
  const { slug } = facts.fields;
  let found = known.get(facts.reader);
  if (found?.slug !== slug) {
    found = { slug, coverage: coverageOf(facts) };
    known.set(facts.reader, found);
  }
  return found.coverage;
}

function coverageOf({ fields, keyword, language, reader }: DraftFacts): Coverage {
  const { vocabulary } = reader;
  const matching = matchingOf(language);
  const all = plainWords(keyword);
  const content = matching.code === '' ? all : all.filter((word) => !matching.isFunction(word));
  const wanted = content.length ? content : all;
  const formOf = (word: string) => {
    const id = vocabulary.idOf(word);
    return {
      normal: normalForm(matching.normal(vocabulary, id)),
      candidates: matching.candidates(vocabulary, id),
    };
  };
  const inSlug = fields.slug
    .split(/[-_\s]+/)
    .filter(Boolean)
    .map(formOf);
  const slugWords = inSlug.map(({ normal }) => normal);
  const held = wanted.filter((word) => {
    const own = formOf(word);
    const found = inSlug.some(
      (other) =>
        other.normal === own.normal ||
        matching.areVariants(own.normal, own.candidates, other.normal, other.candidates),
    );
    // Transliterating is dear, and only words with letters beyond ASCII can gain by it.
    return found || (/[^a-z0-9'’]/.test(word) && slugWords.includes(normalForm(slugOf(word))));
  });
  // A keyword in a script without spaces may stand in the slug as a piece of a longer run.
  if (held.length < wanted.length && fields.slug.toLowerCase().includes(keyword.toLowerCase()))
    return { wanted, held: wanted };
  return { wanted, held };
}

export const slugKeyword = criterion({
  id: 'slug-keyword',
  group: 'listing',
  title: 'Keyword in the slug',
  place: 'slug',
  weight: 1,
  needs: [],
  target: () => "all of the keyword's content words",
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { wanted, held } = slugCoverage(facts);
    if (wanted.length === 0) return measure(0, null, 'The keyword holds no word.');
    const missing = wanted.filter((word) => !held.includes(word));
    return measure(
      held.length / wanted.length,
      `${held.length} of ${wanted.length} words`,
      `The slug lacks ${missing.map((word) => `"${word}"`).join(', ')}.`,
    );
  },
  fixes(facts) {
    const value = slugOf(facts.keyword);
    if (value === '' || facts.fields.slug === value) return [];
    const { wanted, held } = slugCoverage(facts);
    return held.length === wanted.length
      ? []
      : [{ label: `Use "${value}"`, edits: [{ kind: 'set-field', field: 'slug', value }] }];
  },
});
