import {
  areVariants,
  Gap,
  inflectionCandidates,
  isAuxiliary,
  isDeterminer,
  isFunctionWord,
  isJoining,
  normalForm,
  plainWords,
  type Tokens,
  tokenize,
  type Vocabulary,
} from '../../language/index.ts';

/** Some words of a text, and what is to stand there. */
export interface Change {
  start: number;
  end: number;
  text: string;
}

/** A phrase taken apart around the noun that it is about: "running | shoes | for flat feet". */
export interface NamedPhrase {
  before: string;
  head: string;
  after: string;
}

/**
 * The noun that an English phrase is about: its last word, or the last one before a preposition. Null where it is one word
 * or a whole question ("how to pitch a tent"), which cannot stand where a noun stands.
 */
export function namedPhrase(phrase: string): NamedPhrase | null {
  const words = phrase.trim().split(/\s+/);
  if (words.length < 2 || !/^[\p{L}\p{N}]/u.test(phrase.trim())) return null;
  const forms = words.map((word) => plainWords(word)[0] ?? '');
  let to = forms.findIndex((form, at) => at > 0 && isFunctionWord(form));
  if (to < 0) to = words.length;
  if (isFunctionWord(forms[0])) return null;
  // "buy to let mortgage": what follows a preposition is no afterthought when the phrase ends in the noun of its beginning.
  if (to < words.length && !isJoining(forms[to])) return null;
  if (to < words.length && forms[to] === 'to') return compound(words);
  return {
    before: words.slice(0, to - 1).join(' '),
    head: words[to - 1],
    after: words.slice(to).join(' '),
  };
}

const compound = (words: string[]): NamedPhrase => ({
  before: words.slice(0, -1).join(' '),
  head: words.at(-1)!,
  after: '',
});

/** Words before which "an" stands, and those that only look like it. */
const VOWEL = /^(?:[aeiou]|hour|honest|honou?r|heir|8|11\b|18\b)/i;
const NO_VOWEL = /^(?:one|once|eu|uni(?!n)|use|usu|ut[ei]|ubi)/i;
export const articleFor = (word: string): 'a' | 'an' =>
  VOWEL.test(word) && !NO_VOWEL.test(word) ? 'an' : 'a';

const capitalised = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * Where the noun that a phrase is about stands alone in a text, so that the whole phrase can stand there: after an article, a
 * possessive, a preposition or at the start of a sentence, and before none that it could belong to. In order of the text.
 */
export function placesToName(
  text: string,
  phrase: string,
  vocabulary: Vocabulary,
  tokens?: Tokens,
): Change[] {
  const named = namedPhrase(phrase);
  if (!named) return [];
  const read = tokens ?? tokenize(text, vocabulary);
  const form = (at: number) => vocabulary.form(read.ids[at]);
  const head = normalForm(plainWords(named.head).at(-1) ?? '');
  if (head === '') return [];
  const candidates = inflectionCandidates(head);
  const own = new Set(plainWords(phrase).map(normalForm));
  const changes: Change[] = [];
  for (let at = 0; at < read.length; at++) {
    const here = normalForm(form(at));
    if (here !== head && !areVariants(head, candidates, here, inflectionCandidates(here))) continue;
    // "-ing" and "-ed" forms of the noun are verbs here.
    if (here !== head && !/s$|^(?:men|women|children|people|feet|teeth|mice|geese)$/.test(here)) continue;
    const first = at === 0 || read.sentences[at - 1] !== read.sentences[at];
    const last = at === read.length - 1 || read.sentences[at + 1] !== read.sentences[at];
    if (!first && read.gaps[at] !== Gap.Space && read.gaps[at] !== Gap.Clause) continue;
    if (!last && (read.gaps[at + 1] === Gap.Hyphen || read.gaps[at + 1] === Gap.Mark)) continue;
    const opens = first || read.gaps[at] === Gap.Clause;
    // Alone at the start only a plural stands ("Tents need air"); "Tent the meat" is an order.
    if (opens && here === head && !first) continue;
    if (opens && !/s$/.test(here)) continue;
    if (!opens && !mayPrecede(form(at - 1))) continue;
    if (!last && read.gaps[at + 1] === Gap.Space && !mayFollow(form(at + 1))) continue;
    // What stands there says some of the phrase already.
    let known = false;
    for (let near = Math.max(0, at - 3); near <= Math.min(read.length - 1, at + 4); near++)
      known ||= near !== at && own.has(normalForm(form(near))) && !isFunctionWord(form(near));
    if (known) continue;
    changes.push(insertion(text, named, read.starts[at], read.ends[at], first));
  }
  return changes;
}

function insertion(
  text: string,
  { before, after }: NamedPhrase,
  start: number,
  end: number,
  first: boolean,
): Change {
  let head = text.slice(start, end);
  let lead = before;
  if (lead !== '' && first && /^\p{Lu}/u.test(head)) {
    head = head.charAt(0).toLowerCase() + head.slice(1);
    lead = capitalised(lead);
  }
  const words = [lead, head, after].filter(Boolean).join(' ');
  const article = /(?:^|\s)(an?) $/i.exec(text.slice(Math.max(0, start - 4), start));
  if (!article) return { start, end, text: words };
  const right = articleFor(words);
  const own = /^A/.test(article[1]) ? capitalised(right) : right;
  return { start: start - 1 - article[1].length, end, text: `${own} ${words}` };
}

const POSSESSIVE = /['’]s?$/;
const BEFORE = new Set(
  'all both many most few several two three four five six seven eight nine ten good new old best right'.split(
    ' ',
  ),
);
const mayPrecede = (form: string): boolean =>
  (isDeterminer(form) && form !== 'another') ||
  BEFORE.has(form) ||
  POSSESSIVE.test(form) ||
  (isFunctionWord(form) &&
    !/^(?:to|is|are|was|were|be|been|being|am|i|you|he|she|it|we|they|do|does|did|will|would|can|could|shall|should|may|might|must|have|has|had|not|there|up|down|out|off)$/.test(
      form,
    ));
// "A series of patches" is no series alone.
const mayFollow = (form: string): boolean => form !== 'of' && (isFunctionWord(form) || isAuxiliary(form));

/**
 * A use of a phrase said by its noun alone ("your two-person tent" is "your tent"), article and capital put right; null where
 * the phrase is no noun with something around it, or another order than written.
 */
export function saidShorter(text: string, phrase: string, start: number, end: number): Change | null {
  const named = namedPhrase(phrase);
  const words = text.slice(start, end).split(/\s+/);
  if (!named || words.length !== phrase.trim().split(/\s+/).length) return null;
  const at = named.before === '' ? 0 : named.before.split(/\s+/).length;
  let head = words[at];
  if (/^\p{Lu}/u.test(words[0]) && /^\p{Ll}/u.test(head)) head = capitalised(head);
  const article = /(?:^|\s)(an?) $/i.exec(text.slice(Math.max(0, start - 4), start));
  if (!article) return { start, end, text: head };
  const right = articleFor(head);
  return {
    start: start - 1 - article[1].length,
    end,
    text: `${/^A/.test(article[1]) ? capitalised(right) : right} ${head}`,
  };
}
