import { partOfSpeech, type WordBases, wordCount } from '../language/index.ts';
import { isExpositoryWord } from '../meaning/index.ts';
import { kindThreshold, type Relevance } from './relevance.ts';
import type { PageReading } from './study-page.ts';

/** A page that may be no help, and why. */
export interface LeaveOut {
  address: string;
  reason: string;
}

const SHORT = 150;
/** A page that names the query less than this only touches it. */
const TOUCHES = 0.15;
const NAMED = 4;
const PRICE = /[$£€]\s?\d(?![\w{[]*[}\])])|\b\d+\.\d\d\b/g;

/** A page that speaks more unlike the others than this may mean another thing by the same words. */
const UNLIKE = 0.75;
const OWN_USES = 2;
const OWN_RATE = 0.004;
/** Words met so often are no thing. */
const COMMON = 5000;

/** Words that tie what the query names to another thing: "panniers for your motorcycle". */
const TIES = new Set('for on in with of at to by your my our his her their a an the all every'.split(' '));

/**
 * Whether a word of a title says of what kind the query's thing is there: it stands just before a word of the query
 * ("motorcycle panniers") or is tied to one behind it. What follows it at once is a thing of its own ("Backup Manager").
 */
function tellsKind(title: readonly string[], at: number, asked: ReadonlySet<string>): boolean {
  if (at > 0 && asked.has(title[at - 1])) return false;
  if (asked.has(title[at + 1])) return true;
  let before = at - 1;
  while (before >= 0 && TIES.has(title[before])) before -= 1;
  return before >= 0 && before < at - 1 && asked.has(title[before]);
}

/**
 * A common noun that says in a page's title of what kind the query's thing is, that the page uses again and again and at
 * most one other page knows: another thing under the same words.
 */
function anotherThing(
  readings: readonly PageReading[],
  page: number,
  query: string,
  bases: WordBases,
): string | null {
  const asked = new Set(bases.keyOf(query).split(' '));
  const { page: own, figures } = readings[page];
  const title = bases.keyOf(own.document.fields.title).split(' ');
  for (const [at, word] of title.entries()) {
    if (asked.has(word) || !tellsKind(title, at, asked)) continue;
    // What no dictionary knows is the name of a product: a page may name itself.
    if (!/^[nm]$/.test(partOfSpeech(word) ?? '') || isExpositoryWord(word)) continue;
    if (wordCount(word) > COMMON) continue;
    const base = bases.numberOf(word);
    const uses = readings.map(({ stream }) => stream.reduce((sum, each) => sum + (each === base ? 1 : 0), 0));
    if (
      uses[page] >= Math.max(OWN_USES, figures.words * OWN_RATE) &&
      uses.filter((count) => count > 0).length <= 2
    )
      return word;
  }
  return null;
}

/** Words that a page uses more than once and hardly any other page knows, most used first. */
function ownWords(readings: readonly PageReading[], page: number, bases: WordBases): string[] {
  const others = new Map<number, number>();
  readings.forEach(({ stream }, at) => {
    if (at !== page) for (const base of new Set(stream)) others.set(base, (others.get(base) ?? 0) + 1);
  });
  const { stream, blocks, blockAt, tokenAt, page: own } = readings[page];
  const most = Math.floor(readings.length / 8);
  const title = new Set(bases.keyOf(own.document.fields.title).split(' '));
  const uses = new Map<number, { count: number; first: number }>();
  stream.forEach((base, first) => {
    if (base < 0 || !bases.isEdge(base) || (others.get(base) ?? 0) > most) return;
    if (isExpositoryWord(bases.text(base))) return;
    const known = uses.get(base);
    if (known) known.count += 1;
    else uses.set(base, { count: 1, first });
  });
  const weight = ([base, { count }]: [number, { count: number; first: number }]) =>
    count * (title.has(bases.text(base)) ? 3 : 1);
  return [...uses]
    .filter(([, { count }]) => count > 1)
    .sort((left, right) => weight(right) - weight(left) || left[1].first - right[1].first)
    .slice(0, NAMED)
    .map(([, { first }]) => {
      const { block, tokens } = blocks[blockAt[first]];
      const at = tokenAt[first];
      return block.text.slice(tokens.starts[at], tokens.ends[at]).toLowerCase();
    });
}

/**
 * Pages that are suggested to be left out, each with its reason: a forum, a shop's list, too little text, or far from the
 * subject that the pages of the set have in common. For distance at most a third of the pages, none where all are near.
 */
export function leaveOutOf(
  readings: readonly PageReading[],
  relevances: readonly Relevance[],
  query: string,
  bases: WordBases,
): LeaveOut[] {
  const threshold = kindThreshold(relevances.map(({ value }) => value));
  return readings.flatMap(({ page, figures, blocks }, at): LeaveOut[] => {
    const because = (reason: string) => [{ address: page.address, reason }];
    if (figures.words < SHORT) return because(`Only ${figures.words} words: hardly an article.`);
    if (page.kind === 'forum')
      return because('A forum thread: people answer each other, nobody sets out the subject.');
    const prices = blocks.reduce((sum, { block }) => sum + (block.text.match(PRICE)?.length ?? 0), 0);
    if (page.kind === 'shop' && (prices >= 4 || prices > figures.words / 80))
      return because(`A shop's page: ${prices} prices stand in it.`);
    const other =
      readings.length > 3 && relevances[at].likeness < UNLIKE
        ? anotherThing(readings, at, query, bases)
        : null;
    if (other !== null)
      return because(
        `Perhaps another thing under the same words: it speaks of ${other}, hardly any other page does.`,
      );
    if (relevances[at].value >= threshold || relevances[at].titled) return [];
    const own = ownWords(readings, at, bases);
    const speaks = own.length > 0 ? ` It speaks of ${own.join(', ')}, as hardly any other page does.` : '';
    return because(
      relevances[at].names < TOUCHES
        ? `It only touches the subject.${speaks}`
        : `Perhaps another subject under the same words.${speaks}`,
    );
  });
}
