import { CORPUS_WORDS, stem, stemCount, type WordBases } from '../language/index.ts';
import { isExpository } from './expository.ts';
import { kinOf } from './kin.ts';

/** Words that carry a question or a search and not what it is about. */
const ASKING = new Set(
  (
    'need should much many often good best better way mean meaning happen get take do does can really actually ' +
    'ever difference explain explained example guide tutorial tip idea online free definition introduction ' +
    'overview review near top ultimate complete beginner wiki reddit forum thing kind sort want like know help ' +
    'people person somebody anyone everyone place look see tell say think work long far big'
  )
    .split(' ')
    .map(stem),
);

/** Small words that name nothing by themselves, numbers among them. */
const SMALL = new Set(
  (
    'every each several across inside outside within around along between during before after without again also even just still ' +
    'already always never often sometimes one two three four five six seven eight nine ten first second third last next whole own same other another'
  )
    .split(' ')
    .map(stem),
);

/** Whether a stem tells how something is asked for and not what: words of asking, of explanation, and small ones. */
export const isOrdinary = (stemText: string): boolean =>
  ASKING.has(stemText) || SMALL.has(stemText) || isExpository(stemText);

/** Two words that say one thing, with the one that stands for them. */
const IN_ONE_WORD: readonly (readonly [RegExp, string])[] = [
  [/\b(?:leave|leaves|leaving|left) out\b/gi, 'exclude'],
  [/\b(?:leave|leaves|leaving|left) (?:at home|behind)\b/gi, '$& omit'],
  [/(?:\bnot|n['’]t|\bno longer) (?:[\w-]+ )?(?:pack|bring|take|carry)\b/gi, '$& omit'],
  [/\bhow far\b(?! (?:ahead|in advance))/gi, '$& distance'],
  [/\bhow heavy\b/gi, '$& weight'],
  [/\bhow (?:big|large)\b/gi, '$& size'],
  [/\bhow (?:fast|quick)\b/gi, '$& speed'],
  [/\bset(?:s|ting)? up\b/gi, 'setup'],
  [/\blook(?:s|ing|ed)? after\b/gi, 'care'],
  [/\b(?:get|gets|getting|got|bring|bringing) (?:[\w-]+ ){0,4}?back\b/gi, '$& restore'],
  [/\b(?:turn|turns|turning|turned) (?:[\w-]+ ){1,4}?into\b/gi, '$& convert'],
  [/\bback(?:s|ing|ed)? up\b/gi, 'backup'],
  [/\brefer(?:s|ring)? back\b/gi, 'backreference'],
  [/\bget(?:s|ting)? rid of\b/gi, 'remove'],
  [/\b(?:without regard to|regardless of)\b/gi, 'ignore'],
  [/\b(?:put|puts|putting) on\b/gi, 'wear'],
  [/\b(?:pump|pumps|pumping) up\b/gi, 'inflate'],
];

/** Stems of a text, two words that say one thing in one. */
export function stemsSaid(text: string, bases: WordBases): string[] {
  let said = text;
  for (const [pattern, word] of IN_ONE_WORD) said = said.replace(pattern, word);
  return [...new Set(bases.stemsOf(said))].map((each) => bases.stemText(each));
}

/** Whether a word is one of the query's or made from it: "parse" beside "parser". */
function isOfSubject(each: string, subject: ReadonlySet<string>): boolean {
  if (subject.has(each)) return true;
  for (const other of subject) {
    const [short, long] = each.length < other.length ? [each, other] : [other, each];
    if (short.length >= 4 && long.length - short.length <= 3 && long.startsWith(short)) return true;
  }
  return false;
}

/** What a text asks for or is about: stems with their parts of the weight, which add up to 1. */
export interface Want {
  text: string;
  parts: readonly { stem: string; weight: number; ordinary: boolean; kin: ReadonlyMap<string, number> }[];
  /** Nothing is asked for beyond the query itself. */
  bare: boolean;
}

/** Words of explanation and words that everybody uses weigh little. */
const ORDINARY = 0.3;
const COMMON = 60_000;

/** How much a word tells, 0-1: rare ones more. */
function tells(stemText: string): { weight: number; ordinary: boolean } {
  const count = stemCount(stemText);
  const rarity = Math.min(1, Math.log2(CORPUS_WORDS / (count + 100)) / 16);
  const ordinary = isExpository(stemText) || SMALL.has(stemText) || count > COMMON;
  return { weight: ordinary ? ORDINARY * rarity : rarity, ordinary };
}

/**
 * What a text asks for, beside a query that everything here is about: the query's own words and those that only carry
 * a question are left out.
 */
export function wantOf(text: string, subject: ReadonlySet<string>, bases: WordBases): Want {
  const all = stemsSaid(text, bases);
  const beyond = all.filter((each) => !isOfSubject(each, subject));
  const own = beyond.filter((each) => !ASKING.has(each));
  const bare = own.length === 0;
  const wanted = bare ? (beyond.length > 0 ? beyond : all) : own;
  const weighed = wanted.map((each) => ({ stem: each, ...tells(each), kin: kinOf(each) }));
  const sum = weighed.reduce((total, { weight }) => total + weight, 0) || 1;
  return { text, bare, parts: weighed.map((part) => ({ ...part, weight: part.weight / sum })) };
}

/** So much of what is wanted a text must hold to say it. */
export const SAYS = 0.56;
/** In a passage of a text more is asked for than in a heading: words meet by chance in what is long. */
export const SAYS_IN_TEXT = SAYS + 0.1;

/**
 * How far a text says what is wanted, 0-1: the weight of the words that stand there, of those whose kin stands there a
 * part. Ordinary words alone never suffice.
 */
export function saying({ parts }: Want, has: (stem: string) => boolean): number {
  let sum = 0;
  let told = false;
  for (const { stem: each, weight, ordinary, kin } of parts) {
    let here = 0;
    if (has(each)) here = 1;
    else for (const [other, nearness] of kin) if (nearness > here && has(other)) here = nearness;
    if (here === 0) continue;
    sum += weight * here;
    if (!ordinary) told = true;
  }
  return told || parts.every(({ ordinary }) => ordinary) ? sum : 0;
}
