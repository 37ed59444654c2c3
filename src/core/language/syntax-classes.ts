import { baseForm } from './inflections.ts';
import { normalForm } from './normal.ts';
import { partOfSpeech } from './word-frequency.ts';

/** Words of grammar, each a class of its own: where they stand tells sentences from lists of words. */
const GRAMMAR = (
  'a an the and or but nor so of in on at by for from to into onto with within about over under between through during before after ' +
  'as than that this these those is are was were be been being am do does did has have had having will would can could shall should ' +
  'may might must it its i you he she we they me him us them my your his our their who whom whose which what when where why how if ' +
  'then there here up down out off while because until upon per not no without all any some each every both more most much many ' +
  'such other another only also very too just even still yet again once one two first own same now never always often'
).split(' ');

/** Classes of all other words, behind those of grammar. */
const OPEN = ['n', 'p', 'v', 'z', 'd', 'g', 'a', 'r', 'm', 'q', 'number', 'unknown', 'unknown-s'] as const;

/** The class before a sentence's first word and after its last. */
export const BOUNDARY = 0;
const grammar = new Map(GRAMMAR.map((word, at) => [word, at + 1]));
const open = new Map<string, number>(OPEN.map((name, at) => [name, GRAMMAR.length + 1 + at]));
export const SYNTAX_CLASSES = GRAMMAR.length + 1 + OPEN.length;

/** Whether a word begins with a digit, or is of digits and the marks within them alone. */
function isFigure(form: string): boolean {
  const first = form.charCodeAt(0);
  return first <= 57 && (first >= 48 || /^[\d.,]+$/.test(form));
}

function openClassOf(form: string): (typeof OPEN)[number] {
  if (isFigure(form)) return 'number';
  const part = partOfSpeech(form);
  if (part !== undefined && part !== 'o') return part as 'n' | 'v' | 'm' | 'a' | 'r';
  if (form.length > 4) {
    if (form.endsWith('ly')) return 'r';
    if (form.endsWith('ing')) return 'g';
    if (form.endsWith('ed')) return 'd';
  }
  const base = baseForm(normalForm(form));
  if (base !== form) {
    const of = partOfSpeech(base);
    if (form.endsWith('s')) return of === 'n' ? 'p' : of === 'v' ? 'z' : of === 'm' ? 'q' : 'p';
    if (of === 'v' || of === 'm') return 'd';
    if (of === 'n') return 'p';
  }
  if (/(?:ous|ful|ive|able|ible|al|ic|ish|less)$/.test(form)) return 'a';
  if (/(?:tion|ment|ness|ity|ance|ence|ship|ism|ist|er|or)$/.test(form)) return 'n';
  return /[^s]s$/.test(form) ? 'unknown-s' : 'unknown';
}

/** The class of a word (folded) by which it is told where it may stand in a sentence: 1 to {@link SYNTAX_CLASSES} - 1. */
export const syntaxClassOf = (form: string): number => grammar.get(form) ?? open.get(openClassOf(form))!;
