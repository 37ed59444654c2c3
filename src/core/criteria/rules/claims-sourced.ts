import { titleKey } from '../../listing/index.ts';
import type { BlockReading } from '../block-reader.ts';
import { criterion, type Evidence, type Fix, MOST_FIXES } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { count, measure } from '../judging.ts';
import type { ClaimWords } from '../wordings/index.ts';

const bare = (text: string) => text.replace(/\s+/g, ' ').trim();

const keyOf = (text: string) => titleKey(text).replace(/[.!?]+$/, '');
/** Characters by which a title and a sentence of the same words may differ: its mark, doubled spaces. */
const NEAR = 6;

const speaking = new WeakMap<BlockReading, boolean>();

/** Whether a block says "we"; looked up once. */
function speaksOfItself(reading: BlockReading | undefined, { ownVoice }: ClaimWords): boolean {
  if (!reading) return false;
  let speaks = speaking.get(reading);
  if (speaks === undefined) {
    speaks = ownVoice.test(reading.block.text);
    speaking.set(reading, speaks);
  }
  return speaks;
}

/** The two blocks before and behind one; those around its whole list or table, where it stands in one. */
function aroundOf(readings: DraftFacts['readings'], index: number): number[] {
  const { container } = readings[index];
  let [first, last] = [index, index];
  if (container !== '') {
    while (readings[first - 1]?.container === container) first -= 1;
    while (readings[last + 1]?.container === container) last += 1;
  }
  return [first - 2, first - 1, last + 1, last + 2];
}

/** A figure that a draft states, and what stands for it. */
export interface StatedFigure extends Evidence {
  /** A link in its sentence or the next, the writer's own count, or nothing. */
  source: 'link' | 'own' | null;
  /** Address of the link. */
  href: string | null;
}

/** The figures that a draft states about the world, in order. Its own title is none, nor is the house's own price. */
export function statedFigures({ totals, fields, readings, wording }: DraftFacts): StatedFigure[] {
  if (!wording) return [];
  const title = keyOf(fields.title);
  const own = fields.ownFigures.length ? new Set(fields.ownFigures.map(bare)) : null;
  const figures: StatedFigure[] = [];
  for (const { reading, index } of totals.withClaims)
    for (const { start, end, quote, price, sourced, href } of reading.claims) {
      // "A weekend costs £58" between paragraphs that say "we" is the house's own.
      if (price && aroundOf(readings, index).some((at) => speaksOfItself(readings[at], wording.claims)))
        continue;
      if (title !== '' && Math.abs(quote.length - title.length) < NEAR && keyOf(quote) === title) continue;
      figures.push({
        block: index,
        blockId: reading.block.id,
        start,
        end,
        quote,
        source: href !== null ? 'link' : sourced || own?.has(bare(quote)) ? 'own' : null,
        href,
      });
    }
  return figures;
}

/** How many of them there are, and the places of those without a source. */
function claims(facts: DraftFacts): { all: number; open: Evidence[] } {
  const figures = statedFigures(facts);
  return {
    all: figures.length,
    open: figures
      .filter(({ source }) => source === null)
      .map(({ block, blockId, start, end, quote }) => ({ block, blockId, start, end, quote })),
  };
}

/** The edit by which a figure is the writer's own count. */
export const ownFigure = (quote: string): DraftEdit => ({ kind: 'add-own-figure', quote: bare(quote) });

export const claimsSourced = criterion({
  id: 'claims-sourced',
  group: 'reading',
  title: 'Figures with a source',
  place: 'text',
  weight: 3,
  needs: ['words', 'wording'],
  // The one that stands there may be the title.
  applies: (facts) => facts.totals.claims > 1 || (facts.totals.claims === 1 && claims(facts).all > 0),
  target: () => 'figures have a link in their sentence or the next, or are your own',
  measure(facts) {
    const { all, open } = claims(facts);
    const first = open[0]?.quote ?? '';
    const shown = first.length > 60 ? `${first.slice(0, 60)}…` : first;
    return measure(
      all === 0 ? 1 : (all - open.length) / all,
      `${all - open.length} of ${all}`,
      `${count(open.length, 'figure')} ${open.length === 1 ? 'has' : 'have'} no source: "${shown}". Link one, or say that it is your own.`,
      open,
    );
  },
  fixes(facts) {
    const { open } = claims(facts);
    return open.slice(0, MOST_FIXES).map(({ quote }): Fix => {
      const which = open.length > 1 ? `: "${bare(quote).split(' ').slice(0, 5).join(' ')}…"` : '';
      return {
        label: `It is our own count${which}`,
        edits: [ownFigure(quote)],
      };
    });
  },
});
