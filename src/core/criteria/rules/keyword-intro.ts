import type { MatchKind } from '../../language/index.ts';
import { MATCH_VALUES } from '../../language/index.ts';
import { criterion, type Evidence } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { namedInText } from '../fixing/named-in-text.ts';
import { kindInWords, measure, NO_KEYWORD, placeIn, wholeBlock } from '../judging.ts';

/** The best match of the keyword within the intro: the first words of the body after the title. */
export function introMatch({ readings, titleBlock, settings: { limits } }: DraftFacts): {
  value: number;
  kind: MatchKind | null;
  evidence: Evidence | null;
} {
  let before = 0;
  let best: { value: number; kind: MatchKind | null; evidence: Evidence | null } = {
    value: 0,
    kind: null,
    evidence: null,
  };
  for (const [index, { block, words, uses }] of readings.entries()) {
    if (index === titleBlock) continue;
    if (before >= limits.introWords) break;
    for (const { match, lastWord } of uses) {
      const value = MATCH_VALUES[match.kind];
      if (before + lastWord < limits.introWords && value > best.value)
        best = { value, kind: match.kind, evidence: placeIn(block, index, match.start, match.end) };
    }
    before += words;
  }
  return best;
}

export const keywordIntro = criterion({
  id: 'keyword-intro',
  group: 'keyword',
  title: 'Keyword in the introduction',
  place: 'text',
  weight: 3,
  needs: [],
  target: (limits) => `the keyword within the first ${limits.introWords} words`,
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { value, kind, evidence } = introMatch(facts);
    const first = facts.readings.findIndex((reading) => reading.paragraph);
    const places = evidence ? [evidence] : first >= 0 ? [wholeBlock(facts.blocks[first], first)] : [];
    const advice =
      value === 0
        ? `Name "${facts.keyword}" within the first ${facts.settings.limits.introWords} words.`
        : `Use "${facts.keyword}" as it is typed; the introduction has it ${kindInWords(kind)}.`;
    return measure(value, kindInWords(kind), advice, places);
  },
  fixes(facts) {
    if (!facts.keyword) return [];
    return namedInText(facts, facts.keyword, { from: 0, to: facts.settings.limits.introWords });
  },
});
