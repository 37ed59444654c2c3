import { plainWords } from '../../language/index.ts';
import { criterion, MOST_EDITS } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { asEdit, namedInText } from '../fixing/named-in-text.ts';
import { saidShorter } from '../fixing/naming.ts';
import { count, measure, NO_KEYWORD, placeIn } from '../judging.ts';
import type { Limits } from '../limits.ts';
import { ramp } from '../ramp.ts';
import type { StudyFacts } from '../surroundings.ts';

type ReplaceText = Extract<DraftEdit, { kind: 'replace-text' }>;

/** What stuffing takes from all else at most. A little too much costs little: it grows with the square. */
const STUFFED = 0.55;

/** Words from which a phrase is so long that nobody says it as often: five once less, seven twice less. */
const LONG_PHRASE = 5;
const LONGER_PHRASE = 7;

/** Uses that are enough: what the house wishes, fewer of a long phrase, one at least. */
function usesWished({ keyword }: DraftFacts, { keywordUses }: Limits): number {
  const words = keyword ? plainWords(keyword).length : 0;
  const fewer = words >= LONGER_PHRASE ? 2 : words >= LONG_PHRASE ? 1 : 0;
  return Math.max(Math.min(1, keywordUses), keywordUses - fewer);
}

/** Uses per 100 words, up to where they are in order, and what share that earns. */
function rateOf(
  { words, useCount, settings: { limits } }: DraftFacts,
  study: StudyFacts | null,
): { rate: number; full: number; share: number } {
  const [own, none] = limits.keywordRate;
  const full = Math.max(own, study?.keywordRateUpper ?? 0);
  const rate = words === 0 ? 0 : (100 * useCount) / words;
  // Where the pages use it more, both ends move: the way down is as long as ever.
  return { rate, full, share: ramp(rate, [null, null, full, full + none - own]) };
}

/** Uses that can be said by their noun alone, those first that follow another in their paragraph. */
function shorterUses({ totals, keyword, english }: DraftFacts) {
  if (!english) return [];
  const followers: ReplaceText[] = [];
  const others: ReplaceText[] = [];
  for (const { reading } of totals.withUses.slice(1)) {
    if (!reading.prose) continue;
    for (const [at, { match }] of reading.uses.entries()) {
      const change = saidShorter(reading.block.text, keyword, match.start, match.end);
      if (change) (at > 0 ? followers : others).push(asEdit(reading.block, change) as ReplaceText);
    }
  }
  return [...followers, ...others];
}

export const keywordRate = criterion({
  id: 'keyword-rate',
  group: 'keyword',
  title: 'Uses of the keyword',
  unit: 'uses',
  place: 'text',
  weight: 3,
  needs: [],
  target: (limits, facts, { study }) =>
    `${count(usesWished(facts, limits), 'use')} or more, at most ${Math.round(10 * Math.max(limits.keywordRate[0], study?.keywordRateUpper ?? 0)) / 10} in 100 words`,
  measure(facts, { study }) {
    if (!facts.keyword) return NO_KEYWORD;
    const wished = usesWished(facts, facts.settings.limits);
    const { rate, full, share: stuffed } = rateOf(facts, study);
    const enough = Math.min(1, facts.useCount / wished);
    const uses = Math.round(facts.useCount * 10) / 10;
    if (stuffed < enough) {
      const evidence = facts.totals.withUses.flatMap(({ reading: { block, uses }, index }) =>
        uses.map(({ match }) => placeIn(block, index, match.start, match.end)),
      );
      return measure(
        stuffed,
        uses,
        `${count(uses, 'use')} in ${count(facts.words, 'word')} is ${rate.toFixed(1)} in 100. Take some out; ${Math.round(full * 10) / 10} in 100 is plenty.`,
        evidence,
      );
    }
    return measure(
      enough,
      uses,
      `Use "${facts.keyword}" ${wished === 1 ? 'once' : `${wished} times`}; so far it ${uses === 0 ? 'is not there' : uses === 1 ? 'stands once' : `stands ${uses} times`}.`,
    );
  },
  // A text that repeats its keyword everywhere is none that a reader would be shown.
  holdsBack(facts, _share, { study }) {
    if (!facts.keyword || facts.words === 0) return 1;
    const over = 1 - rateOf(facts, study).share;
    return 1 - STUFFED * over * over;
  },
  fixes(facts, { study }) {
    if (!facts.keyword) return [];
    if (facts.useCount < usesWished(facts, facts.settings.limits)) return namedInText(facts, facts.keyword);
    const { full } = rateOf(facts, study);
    const surplus = Math.ceil(facts.useCount - (full * facts.words) / 100);
    const edits = shorterUses(facts).slice(0, Math.min(MOST_EDITS, Math.max(0, surplus)));
    if (edits.length === 0) return [];
    const [first] = edits;
    return [
      {
        label: `Say "${first.text}" for it in ${count(edits.length, 'place')}`,
        // From the end, so that no place moves before its turn.
        edits: edits.sort((a, b) => b.start - a.start),
        readOver: true,
      },
    ];
  },
});
