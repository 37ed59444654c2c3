import type { Criterion, Fix } from '../criterion.ts';
import { type DraftFacts, isJudgeable } from '../draft-facts.ts';
import { count, measure, placeIn } from '../judging.ts';

const bare = (text: string) => text.replace(/\s+/g, ' ').trim();

function claims({ readings, fields }: DraftFacts) {
  const own = new Set(fields.ownFigures.map(bare));
  return readings.flatMap(({ block, claims }, index) =>
    claims.map((claim) => {
      const quote = block.text.slice(claim.start, claim.end);
      return { ...claim, block, index, quote, sourced: claim.linked || own.has(bare(quote)) };
    }),
  );
}

export const claimsSourced: Criterion = {
  id: 'claims-sourced',
  group: 'reading',
  title: 'Figures with a source',
  place: 'text',
  applies: (facts) =>
    facts.english && isJudgeable(facts) && facts.readings.some((reading) => reading.claims.length > 0),
  target: () => 'figures have a link in their sentence or the next, or are your own',
  measure(facts) {
    const all = claims(facts);
    const open = all.filter((claim) => !claim.sourced);
    return measure(
      (all.length - open.length) / all.length,
      `${all.length - open.length} of ${all.length}`,
      `${count(open.length, 'figure')} ${open.length === 1 ? 'has' : 'have'} no source: "${open[0]?.quote.slice(0, 60)}${(open[0]?.quote.length ?? 0) > 60 ? '…' : ''}". Link one, or say that it is your own.`,
      open.map(({ block, index, start, end }) => placeIn(block, index, start, end)),
    );
  },
  fixes: (facts) =>
    claims(facts)
      .filter((claim) => !claim.sourced)
      .map(
        ({ quote }): Fix => ({
          label: 'It is our own count',
          edits: [{ kind: 'add-own-figure', quote: bare(quote) }],
        }),
      ),
};
