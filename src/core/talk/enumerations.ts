const WORDS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
/** The last one, whichever it is. */
const LAST = 99;

/** The number with which a sentence begins to count; null where it does not. */
function countedAs(forms: readonly string[]): number | null {
  const text = forms
    .slice(0, 7)
    .join(' ')
    .replace(/^(?:so|and|then|now|okay|well) /, '')
    .replace(/^(?:and|then) /, '');
  const numbered = /^(?:number|step|rule|tip) (\p{L}+|\d+)\b/u.exec(text);
  if (numbered) {
    const at = NUMBERS.indexOf(numbered[1]);
    return at >= 0 ? at + 1 : /^\d+$/.test(numbered[1]) ? Number(numbered[1]) : null;
  }
  const ordinal =
    /^(?:the )?(first(?:ly| of all)?|second(?:ly)?|third(?:ly)?|fourth|fifth|sixth|seventh|eighth|ninth|tenth)\b(?! (?:time|day|night|half|week|year|hand)\b)/.exec(
      text,
    );
  if (ordinal) return WORDS.findIndex((word) => ordinal[1].startsWith(word)) + 1;
  if (/^(?:finally|lastly|last of all|the last (?:one|thing)|and last)\b/.test(text)) return LAST;
  const one = /^(one|two|three|four|five) (?:is|you|we|check|make|take|put|the|never|always|don't)\b/.exec(
    text,
  );
  return one ? NUMBERS.indexOf(one[1]) + 1 : null;
}

/** Sentences of one item; longer stretches are no items of a list. */
const LONGEST_ITEM = 6;

/**
 * For each sentence of a section the number of the item it belongs to, where the speaker counts at least from one to two; null
 * for the others. An item holds the sentences up to the next number; the last one ends with its second sentence.
 *
 * @param sentences folded words of each sentence
 */
export function countedItems(sentences: readonly (readonly string[])[]): (number | null)[] {
  const out: (number | null)[] = sentences.map(() => null);
  const counted = sentences.map(countedAs);
  for (let at = 0; at < sentences.length; at++) {
    if (counted[at] !== 1) continue;
    const starts = [at];
    let want = 2;
    for (
      let next = at + 1;
      next < sentences.length && next - starts[starts.length - 1] <= LONGEST_ITEM;
      next++
    ) {
      const number = counted[next];
      if (number === want) {
        starts.push(next);
        want += 1;
      } else if (number === LAST && starts.length >= 2) {
        starts.push(next);
        break;
      } else if (number === 1) break;
    }
    if (starts.length < 2) continue;
    starts.forEach((from, item) => {
      // Nothing says where the last one ends: what is said in one breath after it belongs to it.
      const to = starts[item + 1] ?? Math.min(sentences.length, from + (starts.length > 1 ? 2 : 1));
      for (let here = from; here < to; here++) out[here] = item + 1;
    });
    at = starts[starts.length - 1];
  }
  return out;
}
