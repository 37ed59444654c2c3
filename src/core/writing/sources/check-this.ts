import { fold, isFunctionWord, sentenceBreaks, stem } from '../../language/index.ts';

/** Something in a text that stands in none of its sources. */
export interface Unsupported {
  kind: 'figure' | 'name' | 'quote';
  start: number;
  end: number;
  quote: string;
}

const UNITS: readonly string[] =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS: readonly string[] = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const SCALES: readonly [string, number][] = [
  ['hundred', 100],
  ['thousand', 1000],
  ['million', 1_000_000],
  ['dozen', 12],
];
/** Shares that are said in words: told only with what they are of. */
const SHARES =
  /\b(?:half|a third|two thirds|a quarter|three quarters|one in (?:two|three|four|five|six|eight|ten)|(?:two|three|four|five) (?:in|out of) (?:three|four|five|ten)) of\b|\b(?:twice|thrice) as\b/giu;

const NUMBER_WORD = `(?:${[...UNITS.slice(1), ...TENS].join('|')})`;
/** Where a number may begin: not within a word or another number, but behind the dash of a range. */
const BEGINS = '(?:(?<![\\p{L}\\p{N}.,/-])|(?<=(?<![\\d.,/-])\\d{1,6}[-–])(?!\\d+[-–]\\d))';
/** A number in digits with its marks, or in words. */
const NUMBER = new RegExp(
  `${BEGINS}(?:[£$€¥]\\s?)?\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|${BEGINS}(?:[£$€¥]\\s?)?\\d{1,12}(?:\\.\\d+)?|\\b${NUMBER_WORD}(?:[- ]${NUMBER_WORD})?(?: (?:hundred|thousand|million|dozen))?\\b`,
  'giu',
);

/** The value of a number as it is written; null where it is none. */
export function numberValue(written: string): number | null {
  const bare = written
    .toLowerCase()
    .replace(/[£$€¥\s]/gu, (mark) => (mark === ' ' ? ' ' : ''))
    .trim();
  if (/^\d/.test(bare)) return Number(bare.replaceAll(',', ''));
  let sum = 0;
  for (const word of bare.split(/[- ]+/)) {
    const unit = UNITS.indexOf(word);
    const ten = TENS.indexOf(word);
    const scale = SCALES.find(([name]) => name === word);
    if (unit >= 0) sum += unit;
    else if (ten >= 0) sum += 20 + 10 * ten;
    else if (scale) sum *= scale[1];
    else return null;
  }
  return sum;
}

/** What a number counts, so that "40 litres" is not found in "40 riders". */
function unitAfter(text: string, end: number): string {
  // The first of a range counts what the second does.
  const after = text.slice(end, end + 40).replace(/^[-–]\d[\d.,]*/, '');
  if (/^\s?(?:%|per ?cent\b)/i.test(after)) return '%';
  const word = /^[\s-]{0,2}(\p{L}+)/u.exec(after)?.[1]?.toLowerCase() ?? '';
  return word === '' || isFunctionWord(word) ? '' : (SHORT_UNITS.get(word) ?? stem(word));
}
const SHORT_UNITS: ReadonlyMap<string, string> = new Map(
  (
    [
      ['km', 'kilometre'],
      ['kilometers', 'kilometre'],
      ['kg', 'kilogram'],
      ['kilo', 'kilogram'],
      ['kilos', 'kilogram'],
      ['kilogrammes', 'kilogram'],
      ['g', 'gram'],
      ['grams', 'gram'],
      ['l', 'litre'],
      ['liter', 'litre'],
      ['liters', 'litre'],
      ['litres', 'litre'],
      ['mm', 'millimetre'],
      ['cm', 'centimetre'],
      ['m', 'metre'],
      ['meters', 'metre'],
      ['min', 'minut'],
      ['mins', 'minut'],
      ['hrs', 'hour'],
    ] as const
  ).map(([short, long]) => [short, stem(long)]),
);

interface Figure {
  start: number;
  end: number;
  key: string;
  /** A small number in words is a way of speaking, no figure. */
  isSmall: boolean;
}

/** Few things behind one of these were just told of. */
const JUST_TOLD = /\b(?:those|these)\s$/i;
const FEW = 12;
/** What follows is the name of a place in a text. */
const SEE = /(?:^|[(.;]\s*)see (?:also )?$/i;

/** A number behind one of these says where something stands. */
const REFERENCE = /\b(?:sections?|examples?|figures?|tables?|chapters?|appendix|steps?|pages?)\s$/i;

function figuresIn(text: string): Figure[] {
  const found: Figure[] = [];
  for (const hit of text.matchAll(NUMBER)) {
    const value = numberValue(hit[0]);
    const before = text.slice(Math.max(0, hit.index - 12), hit.index);
    if (value === null || REFERENCE.test(before) || (value <= FEW && JUST_TOLD.test(before))) continue;
    const end = hit.index + hit[0].length;
    const unit = /[£$€¥]/.test(hit[0]) ? hit[0].trim()[0] : unitAfter(text, end);
    const inWords = !/\d/.test(hit[0]);
    found.push({
      start: hit.index,
      end,
      key: `${value} ${unit}`,
      isSmall: inWords && value <= 12 && unit !== '%' && unit !== 'time',
    });
  }
  for (const hit of text.matchAll(SHARES))
    found.push({ start: hit.index, end: hit.index + hit[0].length, key: fold(hit[0]), isSmall: false });
  return found;
}

/** Days, months, and what is written with a capital and names nobody. */
const NO_NAME =
  /^(?:I|I['’]\w+|(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)days?|January|February|March|April|May|June|July|August|September|October|November|December|English|British|American|European|Christmas|Easter|OK|TV|FAQ|PDF|GPS|USB|UK|US|EU|[KMGT]?(?:Hz|bps|Wh?|Pa))$/;
const NAME_WORD = "\\p{Lu}[\\p{L}\\p{M}\\p{N}'’-]*\\p{Ll}[\\p{L}\\p{M}\\p{N}'’-]*";
const CAPITALISED = new RegExp(
  `(?<![\\p{L}\\p{N}_])${NAME_WORD}(?:(?:\\s(?:of|the|and|&|de|von|van)){0,2}\\s${NAME_WORD})*`,
  'gu',
);
/** What only says of a name that something is like it. */
const LIKE_IT = /-(?:like|based|related|style|wide|only|free|ready|compatible|specific)$/;
/** What may be two names. */
const JOINED = /\s(?:and|&)\s(?:the\s)?/gu;

/** Where sentences begin: a capital says nothing there. */
function sentenceStarts(text: string): Set<number> {
  const starts = new Set<number>();
  for (const at of [0, ...sentenceBreaks(text)])
    starts.add(at + /^[\s"“'‘(*_#>-]*/u.exec(text.slice(at))![0].length);
  // After a colon a sentence may begin too.
  for (const hit of text.matchAll(/[:;–—]\s+["“]?/gu)) starts.add(hit.index + hit[0].length);
  return starts;
}

interface Name {
  start: number;
  end: number;
  name: string;
  /** The first word may have its capital from the sentence that it begins. */
  opens: boolean;
}

function namesIn(text: string): Name[] {
  const starts = sentenceStarts(text);
  return [...text.matchAll(CAPITALISED)].flatMap((hit) => {
    let start = hit.index;
    let name = hit[0].replace(/['’]s$/, '').replace(LIKE_IT, '');
    const end = start + name.length;
    let opens = starts.has(start);
    if (opens) {
      // The first word of a sentence has its capital anyway; what follows it may be a name.
      const rest = /^\S+\s+(?=\p{Lu})/u.exec(name);
      const [first] = name.split(/\s+/);
      if (!rest || first === 'See') return [];
      if (isFunctionWord(first.toLowerCase()) || /ing$|ly$/.test(first)) {
        start += rest[0].length;
        name = name.slice(rest[0].length);
        opens = false;
      }
    }
    const isReference =
      (REFERENCE.test(`${name} `) && /^\s\d/.test(text.slice(end, end + 2))) ||
      SEE.test(text.slice(Math.max(0, start - 12), start));
    // "DVD-ROMs" and its like name a kind of thing.
    const isKind = /^\p{Lu}{2,}[-\p{Lu}\d]*s?$/u.test(name);
    return NO_NAME.test(name) || isReference || isKind ? [] : [{ start, end, name, opens }];
  });
}

/** The parts of a name that a source does not have: of two that "and" joins perhaps one. */
function unknownParts({ start, end, name, opens }: Name, isKnown: (name: string) => boolean): Name[] {
  if (isKnown(name)) return [];
  const rest = opens ? name.replace(/^\S+\s+/, '') : name;
  if (isKnown(rest)) return [];
  const parts = name.split(JOINED);
  if (parts.length === 1) return [{ start, end, name, opens }];
  let from = 0;
  return parts.flatMap((part, at) => {
    const here = name.indexOf(part, from);
    from = here + part.length;
    const own = { start: start + here, end: start + from, name: part, opens: opens && at === 0 };
    return unknownParts(own, isKnown);
  });
}

const QUOTED = /“([^“”]{12,600})”|(?<![\p{L}\p{N}])"(?=\S)([^"]{12,600})(?<=\S)"(?![\p{L}\p{N}])/gu;
/** Words from which something in quotation marks is what somebody said. */
const LEAST_QUOTED = 4;

/** A text as its words alone, with a blank between them: quotations are looked for in it whatever their marks. */
const plain = (text: string): string => ` ${(fold(text).match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')} `;

/** What a text may stand on: the pages of a study, the site, the brief. */
export class SourceTexts {
  private readonly figures = new Set<string>();
  private readonly words: string[] = [];

  constructor(texts: Iterable<string> = []) {
    for (const text of texts) this.add(text);
  }

  add(text: string): void {
    for (const { key } of figuresIn(text)) this.figures.add(key);
    this.words.push(plain(text));
  }

  private holds(text: string): boolean {
    const wanted = plain(text);
    return wanted.trim() === '' || this.words.some((words) => words.includes(wanted));
  }

  /**
   * Figures, names and quotations of a text that stand in none of the sources, in its order. A figure is one with what it counts:
   * "40 litres" is not found in "40 riders". Numbers up to twelve in words are a way of speaking.
   */
  unsupported(text: string): Unsupported[] {
    const found: Unsupported[] = [];
    const add = (kind: Unsupported['kind'], start: number, end: number) =>
      found.push({ kind, start, end, quote: text.slice(start, end) });
    for (const hit of text.matchAll(QUOTED)) {
      const said = hit[1] ?? hit[2];
      const words = said.match(/\p{L}{2,}|\p{N}+|\b[aAI]\b/gu)?.length ?? 0;
      const isPlace = SEE.test(text.slice(Math.max(0, hit.index - 12), hit.index));
      if (words >= LEAST_QUOTED && !isPlace && !this.holds(said))
        add('quote', hit.index, hit.index + hit[0].length);
    }
    const within = (start: number) =>
      found.some((one) => one.kind === 'quote' && start >= one.start && start < one.end);
    for (const { start, end, key, isSmall } of figuresIn(text))
      if (!isSmall && !this.figures.has(key) && !within(start)) add('figure', start, end);
    for (const name of namesIn(text))
      for (const { start, end } of unknownParts(name, (words) => this.holds(words)))
        if (!within(start)) add('name', start, end);
    return found.sort((a, b) => a.start - b.start || a.end - b.end);
  }
}
