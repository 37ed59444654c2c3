import type { WordBases } from '../language/index.ts';
import type { PageReading } from './study-page.ts';

/** A page that may be no help, and why. */
export interface LeaveOut {
  address: string;
  reason: string;
}

const SHORT = 150;
/** Below this a page only touches the query. */
const TOUCHES = 0.1;
/** So many words that no other page knows make another subject, where one of them stands in the title. */
const OWN_WORDS = 2;
const NAMED = 4;
const PRICE = /[$£€]\s?\d|\b\d+\.\d\d\b/g;

/** Words that a page uses more than once and no other page knows, most used first, each with its base form. */
function ownWords(
  readings: readonly PageReading[],
  page: number,
  bases: WordBases,
): { word: string; base: string }[] {
  const others = new Set<number>();
  readings.forEach(({ stream }, at) => {
    if (at !== page) for (const base of stream) others.add(base);
  });
  const { stream, blocks, blockAt, tokenAt } = readings[page];
  const uses = new Map<number, { count: number; first: number }>();
  stream.forEach((base, first) => {
    if (base < 0 || !bases.isEdge(base) || others.has(base)) return;
    const known = uses.get(base);
    if (known) known.count += 1;
    else uses.set(base, { count: 1, first });
  });
  return [...uses]
    .filter(([, { count }]) => count > 1)
    .sort(([, left], [, right]) => right.count - left.count || left.first - right.first)
    .map(([base, { first }]) => {
      const { block, tokens } = blocks[blockAt[first]];
      const at = tokenAt[first];
      return {
        word: block.text.slice(tokens.starts[at], tokens.ends[at]).toLowerCase(),
        base: bases.text(base),
      };
    });
}

/** Words of another subject: a page uses several that no other knows, one of them in its title. Empty: it has none. */
function anotherSubject(readings: readonly PageReading[], page: number, bases: WordBases): string[] {
  const own = ownWords(readings, page, bases);
  const title = new Set(bases.keyOf(readings[page].page.document.fields.title).split(' '));
  const named = own.filter(({ base }) => title.has(base));
  if (named.length === 0 || own.length < OWN_WORDS) return [];
  return [...new Set([...named, ...own])].slice(0, NAMED).map(({ word }) => word);
}

/** Pages that are suggested to be left out, each with its reason: a forum, a shop's list, too little text, another subject. */
export function leaveOutOf(readings: readonly PageReading[], bases: WordBases): LeaveOut[] {
  return readings.flatMap(({ page, figures, blocks }, at): LeaveOut[] => {
    const because = (reason: string) => [{ address: page.address, reason }];
    if (figures.words < SHORT) return because(`Only ${figures.words} words: hardly an article.`);
    if (page.kind === 'forum')
      return because('A forum thread: people answer each other, nobody sets out the subject.');
    const prices = blocks.reduce((sum, { block }) => sum + (block.text.match(PRICE)?.length ?? 0), 0);
    if (page.kind === 'shop' && (prices >= 4 || prices > figures.words / 80))
      return because(`A shop's page: ${prices} prices stand in it.`);
    const other = readings.length > 3 ? anotherSubject(readings, at, bases) : [];
    if (other.length > 0)
      return because(`Perhaps another meaning: it speaks of ${other.join(', ')}, which no other page does.`);
    if (page.squareness !== null && page.squareness < TOUCHES)
      return because('It only touches the subject: neither title nor headings nor opening name it.');
    return [];
  });
}
