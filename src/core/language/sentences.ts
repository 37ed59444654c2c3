const ABBREVIATIONS = new Set(
  (
    'mr mrs ms dr prof st sr jr vs etc e.g i.e eg ie cf al fig figs no nos vol vols ch pp ca approx dept est inc ltd co corp ' +
    'jan feb mar apr jun jul aug sep sept oct nov dec mon tue wed thu fri sat sun a.m p.m am pm u.s u.k bzw usw z.b d.h'
  ).split(' '),
);

const CLOSERS = /["'”’»)\]]/;
const END_MARKS = /[.!?…。！？؟۔।]/g;

/**
 * The offsets at which a new sentence begins (0 is left out).
 * A sentence ends at an end mark, followed by closing quotes, then white space, then no lower-case letter;
 * abbreviations, initials, decimals and file names do not end one. A line end always does.
 */
export function sentenceBreaks(text: string): number[] {
  const breaks: number[] = [];
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1)) breaks.push(at + 1);
  END_MARKS.lastIndex = 0;
  for (let hit = END_MARKS.exec(text); hit; hit = END_MARKS.exec(text)) {
    const mark = hit[0];
    let at = hit.index + 1;
    if (mark === '。' || mark === '！' || mark === '？') {
      while (at < text.length && /[」』）。！？]/.test(text[at])) at += 1;
      if (at < text.length) breaks.push(at);
      END_MARKS.lastIndex = Math.max(at, hit.index + 1);
      continue;
    }
    while (at < text.length && /[.!?…]/.test(text[at])) at += 1;
    const run = at - hit.index;
    while (at < text.length && CLOSERS.test(text[at])) at += 1;
    END_MARKS.lastIndex = at;
    if (at >= text.length || !/\s/.test(text[at])) continue;
    let next = at;
    while (next < text.length && /\s/.test(text[next])) next += 1;
    if (next >= text.length) continue;
    let lead = next;
    while (lead < text.length && /["'“‘«(¿¡[]/.test(text[lead])) lead += 1;
    const first = text[lead] ?? '';
    if (first !== first.toUpperCase() && first === first.toLowerCase()) continue;
    if (mark === '.' && run === 1 && isAbbreviation(text, hit.index, first)) continue;
    breaks.push(next);
  }
  return breaks.sort((a, b) => a - b);
}

function isAbbreviation(text: string, mark: number, next: string): boolean {
  let from = mark;
  while (from > 0 && /[\p{L}.]/u.test(text[from - 1])) from -= 1;
  const word = text.slice(from, mark);
  if (word === '') return false;
  const low = word.toLowerCase();
  // An initial ("J. Marsh"), but not the pronoun that closes a sentence.
  if (word.length === 1 && word === word.toUpperCase() && word !== low && word !== 'I') return true;
  if (!ABBREVIATIONS.has(low)) return false;
  // "no. 4" is a number; "No. Then" is an answer. Times of day and "etc." may close a sentence.
  if (low === 'no' || low === 'nos') return /\d/.test(next);
  if (/^(etc|a\.m|p\.m|am|pm|inc|ltd|co|corp|al)$/.test(low)) return !/\p{Lu}/u.test(next);
  if (/^(jan|feb|mar|apr|jun|jul|aug|sep|sept|oct|nov|dec|mon|tue|wed|thu|fri|sat|sun)$/.test(low))
    return /\d/.test(next) || low !== 'sun';
  return true;
}
