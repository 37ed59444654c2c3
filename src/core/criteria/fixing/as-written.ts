import type { DraftFacts } from '../draft-facts.ts';

/** Blocks in which the capitals of a word are looked up. */
const LOOKED_AT = 60;

const known = new WeakMap<DraftFacts, Map<string, string>>();

/** A phrase with the capitals that the text gives its words: "ipv6 tunnel" is "IPv6 tunnel" where the text writes "IPv6". */
export function asWritten(phrase: string, facts: DraftFacts): string {
  let capitals = known.get(facts);
  if (!capitals) {
    capitals = capitalsIn(facts);
    known.set(facts, capitals);
  }
  return phrase.replace(/[\p{L}\p{N}]+/gu, (word) =>
    word === word.toLowerCase() ? (capitals.get(word) ?? word) : word,
  );
}

/** Words that a text writes with capitals beyond a first one, or with one inside sentences only: abbreviations and names. */
function capitalsIn({ readings }: DraftFacts): Map<string, string> {
  const capitals = new Map<string, string>();
  const plain = new Set<string>();
  for (const { prose, block } of readings.slice(0, LOOKED_AT)) {
    if (!prose) continue;
    for (const [word] of block.text.matchAll(/[\p{L}\p{N}]+/gu)) {
      const low = word.toLowerCase();
      if (word === low) plain.add(low);
      else if (/\p{Lu}/u.test(word.slice(1))) capitals.set(low, word);
    }
  }
  for (const low of plain) capitals.delete(low);
  return capitals;
}
