import { directionOf, isWay } from './direction.ts';
import type { Phrase } from './phrase.ts';
import { isFunctionWord } from './stop-words.ts';
import { Gap, type Tokens } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';
import {
  isConjunction,
  isDeterminer,
  isJoining,
  isLikelyVerb,
  isNegation,
  isPlacing,
  isPronoun,
  mayTakeArticle,
} from './word-classes.ts';

/** What a word of the text stands for: slots `from` to `to` of a phrase, at the tokens `first` to `last`. */
export interface Occurrence {
  first: number;
  last: number;
  from: number;
  to: number;
  /** 0 the same form, 1 closed up or opened, 2 inflected. */
  quality: number;
}

/** Words beside those of the phrase that may stand between two of its words. */
export const WIDEST_GAP = 2;

/** The sentence in which a phrase is looked for. */
export interface Sentence {
  text: string;
  tokens: Tokens;
  vocabulary: Vocabulary;
}

/** The phrase's own function words between two neighbouring slots. */
export const ownWords = (phrase: Phrase, left: number): string[] =>
  phrase.forms.slice(phrase.slots[left].token + 1, phrase.slots[left + 1].token);

const COLON = /:\s|[()[\]–—]|\s-+\s/;
const STOP = /[,;\n.!?…。、，．]/;

/**
 * Whether `right` may follow `left` as the next word of a phrase with what stands between them: `near` with nothing or
 * words of grammar, `split` with other words or a colon or dash; null where the two are no parts of one phrase:
 * a negation, a verb, a comma, a word that begins a new part of the sentence.
 */
export function hopBetween(
  phrase: Phrase,
  { text, tokens, vocabulary }: Sentence,
  left: Occurrence,
  right: Occurrence,
): 'near' | 'split' | null {
  const own = ownWords(phrase, left.to);
  const ownJoins = own.some((form) => isJoining(form) || directionOf(form) !== 'none');
  const ownGoes = own.length > 0 && isWay(own[own.length - 1]);
  let kind: 'near' | 'split' = 'near';
  let content = 0;
  let joining: string | null = null;
  let conjunction = false;
  let extra = 0;
  let article = false;
  for (let at = left.last + 1; at <= right.first; at++) {
    if (tokens.gaps[at] === Gap.Clause) {
      const marks = text.slice(tokens.ends[at - 1], tokens.starts[at]);
      // "cheap, light shoes": a comma between words that describe; "we run, shoes off" and "merging, old branches" are two
      // clauses, and "user:group" is notation.
      const listed =
        marks.trim() === ',' && at < right.first && content === 0 && !isGerund(left, tokens, vocabulary);
      if (marks === ':') return null;
      if (STOP.test(marks) && !listed && !isOwnGap(phrase, left.to)) return null;
      if (listed || COLON.test(marks)) kind = 'split';
    }
    if (at === right.first) break;
    const form = vocabulary.form(tokens.ids[at]);
    if (own.includes(form)) continue;
    extra += 1;
    if (extra > WIDEST_GAP) return null;
    if (isNegation(form)) return null;
    if (isDeterminer(form)) {
      if (content > 0 || conjunction) return null;
      if (joining !== null && !ownJoins && !mayTakeArticle(joining)) return null;
      article ||= own.length === 0;
    } else if (isJoining(form) || directionOf(form) !== 'none') {
      if (content > 0 || joining !== null) return null;
      // "word about pdf" for "word to pdf"
      if (ownGoes && directionOf(form) === 'none') return null;
      joining = form;
    } else if (form === 'and' || form === 'or') {
      if (content > 0) return null;
      conjunction = true;
    } else if (isPronoun(form) || isConjunction(form) || isPlacing(form) || isLikelyVerb(form)) return null;
    else if (isFunctionWord(form)) {
      // "over", "there", "during": between words of one phrase only where the phrase has such a word itself.
      if (own.length === 0) return null;
    } else {
      content += 1;
      kind = 'split';
    }
  }
  // "bike and ferry tours" is about bike tours, "coffee and grinders" about no coffee grinder.
  if (conjunction && content === 0) return null;
  // "directories to inherit permissions" says what they do.
  if (joining === 'to' && content > 0 && !ownJoins) return null;
  if (joining !== null && !ownJoins && !isQuery(text, tokens, vocabulary, joining, left, right)) return null;
  // "butter the chicken skin" is no butter chicken; in "rent a touring bike" the noun that follows is the phrase's own.
  const ends = right.to === phrase.slots.length - 1;
  return article && content === 0 && ends && goesOn({ text, tokens, vocabulary }, right.last) ? null : kind;
}

const ADVERBS = new Set(
  (
    'online today tomorrow tonight now again fast well soon yourself yourselves myself first twice once right better best early ' +
    'late too later ago away back home together alone abroad free safely'
  ).split(' '),
);

/** Whether another noun follows at once, which the last word of a find only describes: "butter the chicken skin". */
export function goesOn({ tokens, vocabulary }: Sentence, last: number): boolean {
  const next = last + 1;
  if (next >= tokens.length || tokens.sentences[next] !== tokens.sentences[last]) return false;
  if (tokens.gaps[next] !== Gap.Space) return false;
  const own = vocabulary.form(tokens.ids[last]);
  const form = vocabulary.form(tokens.ids[next]);
  if (/[^s]s$/.test(own) || isFunctionWord(form) || isDeterminer(form) || isNegation(form)) return false;
  return !ADVERBS.has(form) && !/(?:ly|ing|ed)$/.test(form) && !/^\d/.test(form) && !isLikelyVerb(form);
}

const isGerund = ({ last }: Occurrence, tokens: Tokens, vocabulary: Vocabulary): boolean =>
  /ing$/.test(vocabulary.form(tokens.ids[last]));

const isOwnGap = (phrase: Phrase, left: number): boolean =>
  phrase.gaps[phrase.slots[left + 1].token] === Gap.Clause;

/**
 * Whether two words that a searcher wrote side by side stand for the two with the preposition: "hotels london" for
 * "hotels in London", but "cooking oil" not for "cooking in oil".
 */
function isQuery(
  text: string,
  tokens: Tokens,
  vocabulary: Vocabulary,
  joining: string,
  left: Occurrence,
  right: Occurrence,
): boolean {
  if (joining === 'with' || joining === 'against' || joining === 'about') return false;
  const before = vocabulary.form(tokens.ids[left.last]);
  if (/[^s]s$/.test(before)) return true;
  if (mayTakeArticle(joining) && joining !== 'to') return !/ing$/.test(before);
  const initial = text[tokens.starts[right.first]];
  const ahead = text[tokens.starts[left.last]];
  // A name in running text; a title in which every word has its capital says nothing.
  return initial !== initial.toLowerCase() && (left.last === 0 || ahead === ahead.toLowerCase());
}
