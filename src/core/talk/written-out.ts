import { sentenceBreaks } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import { asks, type SpokenSentence } from './spoken-sentences.ts';
import type { SpokenWord } from './spoken-words.ts';

/** Names that every talk may hold; those that are also other words are not among them. */
const NAMES = new Map(
  'Monday Tuesday Wednesday Thursday Friday Saturday Sunday January February April June July August September October November December English Scottish Welsh Irish British French German Dutch European American Christmas Easter'
    .split(' ')
    .map((name) => [name.toLowerCase(), name]),
);
const FIRST_PERSON = /^i(?:'(?:m|ve|d|ll))?$/;

/** How names are written that a talk holds in small letters, by their folded form. */
export type KnownNames = ReadonlyMap<string, string>;

const LETTERS = /(?<![\p{L}\p{N}'’-])\p{L}[\p{L}\p{M}]+/gu;

/** Names out of texts that write them with capitals: words met twice inside sentences, and never small. */
export function knownNames(texts: Iterable<string>): Map<string, string> {
  const capital = new Map<string, { name: string; uses: number }>();
  const small = new Set<string>();
  for (const text of texts) {
    const breaks = [0, ...sentenceBreaks(text)];
    let sentence = 0;
    let fresh = true;
    for (const { 0: word, index } of text.matchAll(LETTERS)) {
      while (sentence < breaks.length && breaks[sentence] <= index) {
        sentence += 1;
        fresh = true;
      }
      const form = word.toLowerCase();
      if (/^\p{Ll}/u.test(word)) small.add(form);
      else if (
        !fresh &&
        /^\p{Lu}\p{Ll}/u.test(word) &&
        !/[:–—]\s*$/.test(text.slice(Math.max(0, index - 3), index))
      ) {
        const known = capital.get(form);
        if (known) known.uses += 1;
        else capital.set(form, { name: word, uses: 1 });
      }
      fresh = false;
    }
  }
  return new Map(
    [...capital].flatMap(([form, { name, uses }]) =>
      uses >= 2 && !small.has(form) ? [[form, name] as const] : [],
    ),
  );
}

/** Whether a transcript is written in capitals alone, as captions for the hard of hearing often are. */
const inCapitals = (words: readonly SpokenWord[]): boolean => {
  const letters = words.map(({ text }) => text).join('');
  return letters.length > 40 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
};

/** Marks that stay behind a word within a sentence; stops go to its end. */
const innerMarks = (after: string): string =>
  after
    .replace(/[.!?…]+(?=["”’)\]]*$)/, '')
    .replace(/^[-–—]+$/, (dash) => (dash === '-' ? '' : ' –'))
    .replace(/^,[,–—-]*$/, ',');

/** A sentence's beginning, for a clause that waits for another: its comma stays. */
const SUBORDINATE = anyOf(
  'if when because while after before as although though once unless since until where whenever whether',
);

/** Writes sentences of spoken words out: capitals, stops, no mark of what was left out. */
export class WrittenOut {
  private readonly capitals: boolean;
  constructor(
    private readonly words: readonly SpokenWord[],
    private readonly names: KnownNames,
  ) {
    this.capitals = inCapitals(words);
  }

  /** A word as it stands within a sentence. */
  word(index: number): string {
    const { text, form } = this.words[index];
    const shown = this.capitals ? form : text;
    if (FIRST_PERSON.test(form)) return `I${shown.slice(1)}`;
    const bare = form.replace(/'s$/, '');
    const name = NAMES.get(bare) ?? this.names.get(bare);
    if (name && (shown === form || this.capitals)) return name + shown.slice(bare.length);
    return shown;
  }

  /** Runs of words as they were said, in order; nothing is added but capitals and stops. */
  sentence(sentence: SpokenSentence): string {
    const { words } = this;
    const forms = sentence.map((index) => words[index].form);
    let text = '';
    sentence.forEach((index, at) => {
      const next = sentence[at + 1];
      let shown = this.word(index);
      if (at === 0) {
        // A capital that only stood at the head of what was left out is lost otherwise.
        shown = shown.charAt(0).toUpperCase() + shown.slice(1);
      } else if (index - sentence[at - 1] > 1 && this.wasHead(index))
        shown = shown.charAt(0).toLowerCase() + shown.slice(1);
      const glues = words[index].glued && next === index + 1;
      let marks = innerMarks(words[index].after);
      if (next !== undefined && next - index > 1 && /^,$/.test(marks) && !SUBORDINATE.test(forms[0]))
        marks = '';
      if (next === undefined) marks = marks.replace(/^[,;:]|\s–$/, '');
      text +=
        words[index].before +
        shown +
        (glues ? words[index].after : marks) +
        (next === undefined || glues ? '' : ' ');
    });
    return text + this.stop(sentence, forms);
  }

  /** A run of words as a heading: a capital at its beginning, a mark at its end only where it asks. */
  phrase(run: SpokenSentence, isQuestion: boolean): string {
    const text = run
      .map((index, at) => {
        const last = at === run.length - 1;
        const glues = this.words[index].glued && !last;
        const marks = last ? '' : innerMarks(this.words[index].after).replace(/["”’)\]]+$/, '');
        return this.word(index) + (glues ? this.words[index].after : marks + (last ? '' : ' '));
      })
      .join('');
    return `${text.charAt(0).toUpperCase()}${text.slice(1)}${isQuestion ? '?' : ''}`;
  }

  /** A word that begins a sentence only because the transcript said so. */
  private wasHead(index: number): boolean {
    const { text, form } = this.words[index];
    return (
      /^\p{Lu}\p{Ll}/u.test(text) &&
      !this.names.has(form) &&
      !NAMES.has(form) &&
      index > 0 &&
      /[.!?…]/.test(this.words[index - 1].after)
    );
  }

  /** The mark at a sentence's end: the transcript's own, else by whether it asks. */
  private stop(sentence: SpokenSentence, forms: readonly string[]): string {
    const { words } = this;
    const last = sentence[sentence.length - 1];
    // It may stand behind what was left out: "it works, right?"
    for (let at = last; at < words.length && at <= last + LOOKED_AHEAD; at++) {
      if (at > last && words[at].turn) break;
      const mark = /[.!?…。！？]+(?=["”’)\]]*$)/.exec(words[at].after)?.[0];
      if (!mark) continue;
      const trails = mark === '…' || /^\.{2,}$/.test(mark);
      return trails || (at > last && mark === '?' && !asks(forms)) ? '.' : mark;
    }
    return asks(forms) ? '?' : '.';
  }
}

/** Words left out behind a sentence among which its mark is looked for. */
const LOOKED_AHEAD = 4;
