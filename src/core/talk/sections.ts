/** What the parting of a text into sections goes by. */
export interface SectionedSentence {
  /** Telling stems of the sentence, as often as they stand there. */
  stems: readonly string[];
  /** Words of the sentence, for how long a section is. */
  words: number;
  /** What speaks for a section's beginning here, in nats: a pause, a question of somebody else, "let's move on". */
  opens: number;
}

/** How much a section costs, in natural logarithms of the number of words: more gives fewer, longer ones. */
const COST = 0.8;
/** A section of fewer words than this costs more, by its share. */
const SHORT = 70;
/** What opens a talk may be short. */
const SHORT_OPENING = 25;
const TOO_SHORT = 14;
/** Longer ones would be looked at for nothing. */
const LONGEST_WORDS = 1500;

/**
 * The sentences with which sections begin, the first one always: the parting under which the words of every section are most
 * likely, where each has a vocabulary of its own (M. Utiyama and H. Isahara, "A Statistical Model for Domain-Independent Text
 * Segmentation", ACL 2001: the cost of a section of n words out of k different ones is the sum of log((n + k) / (f + 1)) over its
 * words, each used f times there; the cheapest parting is found by dynamic programming). What speaks for a beginning in the way
 * of speaking is set off against the cost.
 *
 * @returns indices in ascending order; empty for no sentences
 */
export function sectionStarts(sentences: readonly SectionedSentence[]): number[] {
  if (sentences.length === 0) return [];
  const numbers = new Map<string, number>();
  const coded = sentences.map(({ stems }) =>
    stems.map((stem) => {
      let number = numbers.get(stem);
      if (number === undefined) {
        number = numbers.size;
        numbers.set(stem, number);
      }
      return number;
    }),
  );
  const kinds = numbers.size;
  const all = coded.reduce((sum, { length }) => sum + length, 0);
  const price = COST * Math.log(Math.max(2, all));
  const logs = Float64Array.from({ length: all + 2 }, (_, at) => (at === 0 ? 0 : at * Math.log(at + 1)));
  const best = new Float64Array(sentences.length + 1).fill(Number.POSITIVE_INFINITY);
  const from = new Int32Array(sentences.length + 1);
  best[0] = 0;
  const uses = new Int32Array(kinds);
  for (let start = 0; start < sentences.length; start++) {
    uses.fill(0);
    let told = 0;
    let sum = 0;
    let words = 0;
    const base = best[start] + price - (start === 0 ? 0 : sentences[start].opens);
    for (let to = start; to < sentences.length && words < LONGEST_WORDS; to++) {
      for (const number of coded[to]) {
        sum += logs[uses[number] + 1] - logs[uses[number]];
        uses[number] += 1;
        told += 1;
      }
      words += sentences[to].words;
      const least = start === 0 ? SHORT_OPENING : SHORT;
      const short = words < least ? TOO_SHORT * (1 - words / least) : 0;
      const cost = base + told * Math.log(told + kinds || 1) - sum + short;
      if (cost < best[to + 1]) {
        best[to + 1] = cost;
        from[to + 1] = start;
      }
    }
  }
  const starts: number[] = [];
  for (let to = sentences.length; to > 0; to = from[to]) starts.push(from[to]);
  return starts.reverse();
}
