import type { Block } from '../../draft/index.ts';

/** Somebody's words without a name to them. */
export interface BareQuote {
  /** Index of the block. */
  block: number;
  start: number;
  end: number;
  quote: string;
}

/** What a sentence says of whose words it holds. */
const SAYS_WHO =
  /\b(?:says?|said|saying|tells?|told|wrote|writes?|asks?|asked|adds?|added|explains?|explained|puts? it|put it|according to|quoted|calls?|called|replied|answers?|answered|notes|noted|argues|argued|recalls?|recalled|warns?|warned|by)\b/i;
/** A line that names who said it: "— Ada Marsh", "Ada Marsh, ferrywoman". */
const NAME_LINE = /^\s{0,3}(?:[—–-]{1,2}\s?)\p{L}/u;
const NAME_AFTER = /[.!?”"]\s{0,3}(?:[—–]|--)\s?\p{Lu}[^.!?]{1,80}$/u;
const NAME_LEADS = /\p{Lu}[^.!?]{1,120}:\s{0,3}$/u;
/** A paragraph that speaks of the quote above it. */
const SPEAKS_BACK = /^\s{0,3}(?:that|this|these|so|thus)\b/i;
const firstSentence = (text: string): string => /^[^.!?]*/.exec(text)![0];
/** A straight mark opens where a word begins, and closes where one has ended. */
const QUOTED = /“([^“”]{20,600})”|(?<![^\s([—–])"(?=\S)([^"]{20,600})(?<=\S)"(?![\p{L}\p{N}])/gu;
/** Words from which something in quotation marks is what somebody said, not a name or a word that is spoken of. */
const LEAST_WORDS = 6;

const hasLink = ({ marks }: Block, start: number, end: number): boolean =>
  marks.some((mark) => mark.type === 'link' && mark.start < end && mark.end > start);

const inQuote = ({ path }: Block): string | null => path.find(({ type }) => type === 'quote')?.key ?? null;

/** The sentences around a stretch of a text, without the stretch itself. */
function around(text: string, start: number, end: number): string {
  const before = text.slice(Math.max(0, start - 160), start);
  const after = text.slice(end, end + 160);
  return `${before.slice(before.search(/[^.!?]*$/))} ${/^[^.!?]*/.exec(after)![0]}`;
}

/**
 * Words of others that no one is named for: quotes whose last line, whose words or whose sentence before name nobody and link
 * nowhere, and sentences in quotation marks that nobody is said to have said.
 */
export function bareQuotes(blocks: readonly Block[]): BareQuote[] {
  const found: BareQuote[] = [];
  for (let from = 0; from < blocks.length; from++) {
    const block = blocks[from];
    const key = inQuote(block);
    if (key === null) {
      if (block.kind === 'paragraph') found.push(...bareSentences(block, from));
      continue;
    }
    let to = from + 1;
    while (to < blocks.length && inQuote(blocks[to]) === key) to += 1;
    const members = blocks.slice(from, to);
    const last = members[members.length - 1].text;
    const named =
      members.some((one) => hasLink(one, 0, one.text.length)) ||
      NAME_LINE.test(last.split('\n').at(-1) ?? '') ||
      NAME_AFTER.test(last) ||
      NAME_LEADS.test(blocks[from - 1]?.text ?? '') ||
      (from > 0 && SAYS_WHO.test(blocks[from - 1].text.slice(-120)) && /:\s*$/.test(blocks[from - 1].text)) ||
      // "— Ada Marsh, in a letter" under the quote, or "That is what our mechanic tells everybody".
      (blocks[to]?.kind === 'paragraph' &&
        (NAME_LINE.test(blocks[to].text) ||
          (SPEAKS_BACK.test(blocks[to].text) && SAYS_WHO.test(firstSentence(blocks[to].text)))));
    const first = members.findIndex(({ text }) => text.trim() !== '');
    if (!named && first >= 0) {
      const { text } = members[first];
      found.push({ block: from + first, start: 0, end: text.length, quote: text });
    }
    from = to - 1;
  }
  return found;
}

function bareSentences(block: Block, index: number): BareQuote[] {
  const { text } = block;
  return [...text.matchAll(QUOTED)].flatMap((hit) => {
    const start = hit.index;
    const end = start + hit[0].length;
    const said = hit[1] ?? hit[2];
    const words = said.split(/\s+/).filter(Boolean).length;
    // A title has no mark at its end.
    const isSaid = words >= LEAST_WORDS && /[.,!?…]$/.test(said.trim());
    const isNamed =
      SAYS_WHO.test(around(text, start, end)) || hasLink(block, Math.max(0, start - 80), end + 80);
    return isSaid && !isNamed ? [{ block: index, start, end, quote: hit[0] }] : [];
  });
}
