import type { Direction } from './direction.ts';
import type { Matching } from './matching.ts';
import { Gap, tokenize } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';

/** One word of a phrase that a text must hold. */
export interface Slot {
  form: string;
  normal: string;
  candidates: string[];
  /** Its place among all words of the phrase. */
  token: number;
  /** Only the very form counts. */
  literal: boolean;
}

/** A phrase made ready for the matcher. */
export interface Phrase {
  text: string;
  slots: Slot[];
  /** Folded forms of all its words, function words included. */
  forms: string[];
  /** What stands before each word, as in {@link Gap}. */
  gaps: Uint8Array;
  /** All words must stand side by side, in order. */
  strict: boolean;
  /** Direction of the function words between slot k and slot k + 1. */
  directions: Direction[];
  reorderable: boolean;
  /** Set for scripts without spaces and for very long phrases: found by its characters in lower case. */
  literalText: string | null;
}

const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

/** Longer phrases are only found as they are written: no one searches for them with the words turned round. */
const MOST_WORDS = 24;

/** Content words of a phrase that may stand in any order. */
const MOST_TURNED = 8;

/** Whether a phrase's words can be turned round at all: a few, and each another. */
const isTurnable = (slots: readonly Slot[]): boolean =>
  slots.length > 1 &&
  slots.length <= MOST_TURNED &&
  new Set(slots.map(({ normal }) => normal)).size === slots.length;

/**
 * Reads a keyword. Its content words become slots; function words between them are optional. With fewer than two
 * content words, and in languages of which no rules are known, every word is needed and they stand side by side.
 * Null for a phrase without any word.
 */
export function compilePhrase(text: string, vocabulary: Vocabulary, matching: Matching): Phrase | null {
  const inflects = matching.code !== '';
  const trimmed = text.trim();
  const tokens = tokenize(trimmed, vocabulary);
  if (tokens.length === 0) return null;
  const forms = Array.from(tokens.ids, (id) => vocabulary.form(id));
  const content = forms.filter((form) => !matching.isFunction(form)).length;
  const isLong = forms.length > MOST_WORDS;
  const strict = !inflects || content < 2 || isLong;
  const slots: Slot[] = [];
  forms.forEach((form, token) => {
    const isFunction = matching.isFunction(form);
    if (isFunction && !strict) return;
    const id = tokens.ids[token];
    const literal = !inflects || isFunction;
    const normal = matching.normal(vocabulary, id);
    const candidates = literal ? [normal] : matching.candidates(vocabulary, id);
    slots.push({ form, normal, candidates, token, literal });
  });
  const directions: Direction[] = slots.slice(0, -1).map((slot, at) => {
    for (let token = slot.token + 1; token < slots[at + 1].token; token++) {
      const direction = matching.directionOf(forms[token]);
      if (direction !== 'none') return direction;
    }
    return 'none';
  });
  return {
    text: trimmed,
    slots,
    forms,
    gaps: tokens.gaps,
    strict,
    directions,
    reorderable: !strict && isTurnable(slots),
    literalText: isLong || UNSPACED.test(trimmed) ? trimmed.toLowerCase() : null,
  };
}

/** True where two words are written as one or with a space: what the joined kind forgives. */
export const isJoint = (gap: number): boolean => gap === Gap.Space || gap === Gap.Hyphen;
