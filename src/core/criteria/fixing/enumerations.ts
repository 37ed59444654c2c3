import { type Block, partOf } from '../../draft/index.ts';
import { plainWords } from '../../language/index.ts';

/** An enumeration after a colon: what leads to it, its items, and what stands after it in the paragraph. */
export interface Enumeration {
  lead: string;
  items: { start: number; end: number }[];
  /** Where the rest of the paragraph begins; its length where there is none. */
  rest: number;
}

/** Items of an enumeration, and the words that each may have: between commas only a few, between semicolons more. */
const FEWEST = 3;
/** Characters within which an enumeration ends. */
const LONGEST = 800;
const MOST_WORDS = { ',': 8, ';': 16 };
/** What begins so is no item: it goes on with the sentence, or is one. */
const NO_ITEM =
  /^(?:which|who|whose|where|when|while|for (?:example|instance)|this|that|these|those|they|it|he|she|we|you|i|but|so|then|thus|hence|although|though|because|since|if|even|whether|by extension|etc|and so on|so on|such as|not|as|than|to)\b/i;
/** A clause has one of these. */
const CLAUSE =
  /\b(?:is|are|was|were|am|has|had|does|did|will|would|can|could|should|must|may|might|isn['’]t|aren['’]t|don['’]t)\b/i;

/**
 * The last enumeration of a paragraph that could be a list: a sentence that comes to a colon and then names three things or
 * more, with commas or semicolons between them and "and" or "or" before the last. Null where there is none.
 */
export function enumerationIn(text: string): Enumeration | null {
  const colon = text.lastIndexOf(': ');
  if (colon < 0) return null;
  const from = colon + 2;
  const end = /[.!?](?=\s|$)/.exec(text.slice(from, from + LONGEST));
  if (!end) return null;
  const to = from + end.index;
  const body = text.slice(from, to);
  if (/[()"“”:\n]|\s[–—-]\s/.test(body)) return null;
  const mark = body.includes(';') ? ';' : ',';
  const items: { start: number; end: number }[] = [];
  const joints =
    mark === ';' ? /;\s+(?:and\s+|or\s+)?/g : /,\s+(?:and\s+|or\s+)?|\s+(?:and|or)\s+(?=[^,]*$)/g;
  let start = from;
  for (const joint of body.matchAll(joints)) {
    items.push({ start, end: from + joint.index });
    start = from + joint.index + joint[0].length;
  }
  items.push({ start, end: to });
  const words = items.map((item) => plainWords(text.slice(item.start, item.end)).length);
  if (items.length < FEWEST || words.some((count) => count === 0 || count > MOST_WORDS[mark])) return null;
  const said = items.map((item) => text.slice(item.start, item.end).trim());
  if (said.some((item) => NO_ITEM.test(item)) || (mark === ',' && said.some((item) => CLAUSE.test(item))))
    return null;
  // The last of several is announced.
  if (!/(?:^|[\s,;])(?:and|or)\s+$/.test(text.slice(from, items.at(-1)!.start))) return null;
  // Items of one make: where one is many times as long as another, commas stand inside of one.
  if (Math.max(...words) > 4 * Math.min(...words) + 3) return null;
  let rest = to + end[0].length;
  while (rest < text.length && /\s/.test(text[rest])) rest += 1;
  return { lead: text.slice(0, colon + 1), items, rest };
}

/** A paragraph with its enumeration as a list of points. */
export function listOf(block: Block, { lead, items, rest }: Enumeration): Block[] {
  const part = (id: string, start: number, end: number, path: Block['path'], capital = false): Block => {
    const cut = { ...partOf(block, start, end, id), path };
    // Code stands as it is written.
    const isCode = block.marks.some(
      (mark) => mark.type === 'code' && mark.start <= start && mark.end > start,
    );
    return capital && !isCode ? { ...cut, text: cut.text.charAt(0).toUpperCase() + cut.text.slice(1) } : cut;
  };
  const key = `${block.id}-i1`;
  const points = items.map(({ start, end }, at) =>
    part(
      `${block.id}-i${at + 1}`,
      start,
      end,
      [...block.path, { type: 'list', key, ordered: false }, { type: 'item', key: `${block.id}-i${at + 1}` }],
      true,
    ),
  );
  const tail =
    rest < block.text.length ? [part(`${block.id}-rest`, rest, block.text.length, block.path)] : [];
  return [part(block.id, 0, lead.length, block.path), ...points, ...tail];
}
