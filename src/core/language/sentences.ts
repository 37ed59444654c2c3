const ABBREVIATIONS = new Set(
  (
    'mr mrs ms dr prof st sr jr vs etc e.g i.e eg ie cf al fig figs no nos vol vols ch pp ca approx dept est inc ltd co corp ' +
    'jan feb mar apr jun jul aug sep sept oct nov dec mon tue wed thu fri sat sun a.m p.m am pm u.s u.k bzw usw z.b d.h'
  ).split(' '),
);

const LONGEST_ABBREVIATION = 8;

// A reference to a footnote stands behind the mark too.
const CLOSERS = /["'”’»)\]†]/;
const END_MARKS = new Set(Array.from('.!?…。！？؟۔।', (mark) => mark.charCodeAt(0)));

/** Where the next mark stands that may end a sentence, from a place on; the text's length where none does. */
function endMarkFrom(text: string, from: number): number {
  for (let at = from; at < text.length; at++) {
    const code = text.charCodeAt(at);
    // Letters of Latin scripts and spaces, nearly all of most texts, are passed at once.
    if (code === 0x2e || code === 0x21 || code === 0x3f || (code > 0x600 && END_MARKS.has(code))) return at;
  }
  return text.length;
}

/**
 * The offsets at which a new sentence begins (0 is left out).
 * A sentence ends at an end mark, followed by closing quotes, then white space, then no lower-case letter;
 * abbreviations, initials, decimals and file names do not end one. A line end always does.
 *
 * @param rules of a language beside English; null: English, and what is common
 */
export function sentenceBreaks(text: string, rules: SentenceRules | null = null): number[] {
  const breaks: number[] = [];
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1)) breaks.push(at + 1);
  const lines = breaks.length;
  let at = 0;
  for (let hit = endMarkFrom(text, 0); hit < text.length; hit = endMarkFrom(text, at)) {
    const mark = text[hit];
    at = hit + 1;
    if (mark === '。' || mark === '！' || mark === '？') {
      while (at < text.length && /[」』）。！？]/.test(text[at])) at += 1;
      if (at < text.length) breaks.push(at);
      continue;
    }
    while (at < text.length && /[.!?…]/.test(text[at])) at += 1;
    const run = at - hit;
    while (at < text.length && CLOSERS.test(text[at])) at += 1;
    if (at >= text.length || !/\s/.test(text[at])) continue;
    let next = at;
    while (next < text.length && /\s/.test(text[next])) next += 1;
    if (next >= text.length) continue;
    let lead = next;
    while (lead < text.length && /["'“‘«(¿¡[]/.test(text[lead])) lead += 1;
    const first = text[lead] ?? '';
    if (first !== first.toUpperCase() && first === first.toLowerCase()) continue;
    if (
      mark === '.' &&
      run === 1 &&
      (rules ? isShortIn(rules, text, hit, lead) : isAbbreviation(text, hit, lead))
    )
      continue;
    breaks.push(next);
  }
  return lines === 0 ? breaks : breaks.sort((a, b) => a - b);
}

/** What sentences of a language depend on; of `LanguageRules`. */
export interface SentenceRules {
  abbreviations: ReadonlySet<string>;
  ordinalAfter?: RegExp;
}

/** Short forms with which a sentence may well end. */
const CLOSING = new Set([
  'etc',
  'usw',
  'enz',
  'osv',
  'o.s.v',
  'ecc',
  'jh',
  'min',
  'max',
  'tel',
  'a.m',
  'p.m',
]);
/** What stands before a point, as far as it is looked at. */
const WORDS_BEFORE = 24;

/** Whether a point belongs to a short form, an initial or an ordinal of a language. */
function isShortIn(
  { abbreviations, ordinalAfter }: SentenceRules,
  text: string,
  mark: number,
  lead: number,
): boolean {
  const before = text.slice(Math.max(0, mark - WORDS_BEFORE), mark);
  if (/\d$/.test(before)) return ordinalAfter?.test(before) ?? false;
  const word = /[\p{L}.]+$/u.exec(before)?.[0].toLowerCase() ?? '';
  // "z. B.": a letter and its point, and another.
  const ahead = text.slice(lead, lead + 2);
  if (word.length === 1 && (/^\p{L}\.$/u.test(ahead) || /\p{Lu}$/u.test(before))) return true;
  if (/(?:^|\s)\p{L}\. \p{L}$/u.test(before)) return true;
  if (!abbreviations.has(word)) return false;
  return !CLOSING.has(word) || !/\p{Lu}/u.test(text[lead] ?? '');
}

/** Words that open a sentence and are no names: after "Plan B." and "on Sat." they begin a new one. */
const OPENING =
  /^(?:The|An?|This|That|These|Those|There|Here|It|We|You|I|He|She|They|If|When|Then|So|But|And|Or|For|In|On|At|By|From|With|After|Before|As|My|Our|Your|His|Her|Their|Its|Now|No|Not|What|How|Why|Who|Which|Where|Is|Are|Was|Do|Does|Did|Can|Will|Would|Should|Use|Let|To|Of|Most|Some|All|Each|Both|Many|One|Two|Take|Make|Do)\b/;

/** What stands from the sentence's next word on, as far as it is looked at. */
const WORD_AHEAD = 12;

function isAbbreviation(text: string, mark: number, lead: number): boolean {
  const next = text[lead] ?? '';
  let from = mark;
  while (from > 0 && mark - from <= LONGEST_ABBREVIATION && /[\p{L}.]/u.test(text[from - 1])) from -= 1;
  const word = text.slice(from, mark);
  if (word === '' || word.length > LONGEST_ABBREVIATION) return false;
  const low = word.toLowerCase();
  // An initial ("J. Marsh"), but neither the pronoun nor the letter that closes a sentence ("Plan B. We").
  if (word.length === 1 && word === word.toUpperCase() && word !== low && word !== 'I')
    return !OPENING.test(text.slice(lead, lead + WORD_AHEAD));
  if (!ABBREVIATIONS.has(low)) return false;
  // A figure's or a volume's number follows; "a ripe fig. The" ends.
  if (/^(?:figs?|vols?|ch|pp|ca|approx|est)$/.test(low)) return /\d/.test(next);
  // Titles and streets have their capital.
  if (/^(?:mr|mrs|ms|dr|prof|st|sr|jr|dept)$/.test(low) && word === low) return false;
  // "no. 4" is a number; "No. Then" is an answer. Times of day and "etc." may close a sentence.
  if (low === 'no' || low === 'nos') return /\d/.test(next);
  if (/^(etc|a\.m|p\.m|am|pm|inc|ltd|co|corp|al)$/.test(low)) return !/\p{Lu}/u.test(next);
  if (/^(jan|feb|mar|apr|jun|jul|aug|sep|sept|oct|nov|dec|mon|tue|wed|thu|fri|sat|sun)$/.test(low))
    return /\d/.test(next);
  return true;
}
