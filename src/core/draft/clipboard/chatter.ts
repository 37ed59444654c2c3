import type { Block } from '../draft.ts';

const OPENING =
  /^(?:sure|certainly|of course|absolutely|great(?: question| choice)?|happy to help|no problem|got it|okay|here(?:['’]s| is| are|['’]re)|below (?:is|are))\b[^\n]{0,240}[:!.]$/i;
const CLOSING =
  /^(?:let me know|would you like|feel free|i hope (?:this|that)|hope this|do you want me|want me to|if you(?:['’]d| would) like,? i|shall i|is there anything)\b[^\n]{0,400}$/i;
/** What is said to whoever asked, beside the words that may open a post as well. */
const TO_THE_ASKER =
  /\b(?:you asked|your (?:request|post|article|blog|draft|outline|prompt)|you requested|i['’]ve|i have|i can|draft|outline|version|rewritten|requested)\b/i;

/** The ids of first and last lines by which a chat speaks to whoever asked it, not to readers. */
export function chatterIn(blocks: readonly Block[]): string[] {
  const [first] = blocks;
  const last = blocks.at(-1);
  const isLine = (block: Block | undefined): block is Block =>
    block !== undefined && block.kind === 'paragraph' && block.path.length === 0;
  const found: string[] = [];
  if (isLine(first) && blocks.length > 1 && OPENING.test(first.text)) {
    const sure = !/^(?:here|below|great|okay)/i.test(first.text);
    if (sure || first.text.endsWith(':') || TO_THE_ASKER.test(first.text)) found.push(first.id);
  }
  if (isLine(last) && blocks.length > 1 && last !== first && CLOSING.test(last.text)) found.push(last.id);
  return found;
}
