import type { BlockReading } from '../block-reader.ts';
import { criterion, type Fix } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { asEdit } from '../fixing/named-in-text.ts';
import { count, measure, placeIn } from '../judging.ts';
import { ramp } from '../ramp.ts';
import type { StockPhrase } from '../stock-phrases.ts';

/** Stock phrases in 500 words: one is nobody's fault, three are a manner. */
const RATE: [number, number] = [0.6, 3.5];
const PER = 500;
const SHOWN = 12;
const NONE = measure(1, 0, '');

/** The first of them with their blocks: a long draft may have hundreds, and nobody reads them all. */
function firstPlaces({ totals }: DraftFacts) {
  const places: { index: number; block: BlockReading['block']; phrase: StockPhrase }[] = [];
  for (const { index, reading } of totals.withStockPhrases)
    for (const phrase of reading.stockPhrases) {
      places.push({ index, block: reading.block, phrase });
      if (places.length === SHOWN) return places;
    }
  return places;
}

/** A paragraph without a phrase that only opens its sentence. */
const withoutOpener = (block: BlockReading['block'], { start, end }: { start: number; end: number }): Fix => {
  const after = /^[\s,]*/.exec(block.text.slice(end))![0].length;
  const next = block.text.charAt(end + after);
  return {
    label: `Leave "${block.text.slice(start, end)}" out`,
    edits: [asEdit(block, { start, end: end + after + next.length, text: next.toUpperCase() })],
    readOver: true,
  };
};

export const stockPhrases = criterion({
  id: 'stock-phrases',
  group: 'substance',
  title: 'Words of its own',
  place: 'text',
  weight: 2,
  needs: ['words', 'wording'],
  target: () => 'at most one stock phrase in 500 words',
  measure(facts) {
    const all = facts.totals.stockPhrases;
    if (all === 0) return NONE;
    const found = firstPlaces(facts);
    const quoted = [
      ...new Set(found.map(({ block, phrase }) => block.text.slice(phrase.start, phrase.end).trim())),
    ];
    const more = quoted.length > 3 ? ' and others' : '';
    return measure(
      ramp((PER * all) / Math.max(PER, facts.words), [null, null, ...RATE]),
      all,
      `${count(all, 'stock phrase')}: ${quoted
        .slice(0, 3)
        .map((phrase) => `"${phrase}"`)
        .join(', ')}${more}. Say what you mean, or leave ${all === 1 ? 'it' : 'them'} out.`,
      found
        .slice(0, SHOWN)
        .map(({ index, block, phrase }) => placeIn(block, index, phrase.start, phrase.end)),
    );
  },
  fixes: (facts) =>
    firstFixes(firstPlaces(facts), ({ block, phrase }) =>
      phrase.opener ? [withoutOpener(block, phrase)] : [],
    ),
});
