import {
  hasCompounds,
  isPartOf,
  type Matching,
  matchingOf,
  plainWords,
  type Tokens,
  type Vocabulary,
} from '../../language/index.ts';
import type { BlockReading } from '../block-reader.ts';
import { sentenceSpans } from '../block-sentences.ts';
import { criterion, type Evidence } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure, NO_KEYWORD, placeIn, wholeBlock } from '../judging.ts';
import type { AnswerForm, AnswerWords } from '../wordings/index.ts';

/** Part of the text within which a reader looks for the answer. */
const EARLY = 1 / 3;
/** What an answer further down earns. */
const LATE = 0.5;
/** Characters within which a sentence has named what it is about. */
const SUBJECT = 110;
/** Sentences in which a verb orders, from which a passage is a way of doing something. */
const ORDERS = 2;

/** What a note says is missing. */
const MISSING: Record<AnswerForm, string> = {
  definition: 'a sentence that says what it is',
  steps: 'steps: a list, or what to do first',
  number: 'a number',
  price: 'what it costs',
  comparison: 'a list, a table or a sentence that compares',
  statement: 'a sentence that makes a statement about it',
};

function formOf(keyword: string, { forms }: AnswerWords): AnswerForm {
  const words = plainWords(keyword).join(' ');
  return forms.find(([pattern]) => pattern.test(words))?.[1] ?? 'statement';
}

interface Passage {
  place: Evidence;
  /** Words of the body before it. */
  before: number;
}

/** What a block answers: all of it, or sentences of it in order. */
type InBlock = 'whole' | { start: number; end: number }[];
const known = new WeakMap<BlockReading, InBlock>();

/** The first passage that answers the keyword in its form; null where there is none. */
function answerIn(
  { readings, keyword, titleBlock, reader, language }: DraftFacts,
  form: AnswerForm,
  words: AnswerWords,
): Passage | null {
  let names: KeywordNames | null = null;
  let before = 0;
  let orders = 0;
  for (let index = 0; index < readings.length; index++) {
    if (index === titleBlock) continue;
    const reading = readings[index];
    // A reading belongs to one keyword: what it answers is looked up once.
    let found = known.get(reading);
    if (!found) {
      names ??= new KeywordNames(keyword, language, reader.vocabulary);
      found = answersIn(reading, form, names, words);
      known.set(reading, found);
    }
    if (found === 'whole') return { place: wholeBlock(reading.block, index), before };
    orders += found.length;
    const [first] = found;
    if (first && (form !== 'steps' || orders >= ORDERS))
      return { place: placeIn(reading.block, index, first.start, first.end), before };
    before += reading.words;
  }
  return null;
}

/** A stem without its mark. */
const bare = (form: string) => form.replace('~', '');

/** Words of a keyword that are told apart: one bit each. */
const MOST_WORDS = 31;

/** Which words of the keyword the words of a text are, each looked up once. */
class KeywordNames {
  private readonly wanted: { word: string; forms: string[] }[];
  private readonly matching: Matching;
  /** By the number of a word: a bit for each of the keyword's that it is. */
  private readonly bits = new Map<number, number>();

  constructor(
    keyword: string,
    language: string,
    private readonly vocabulary: Vocabulary,
  ) {
    this.matching = matchingOf(language);
    this.wanted = plainWords(keyword)
      .filter((word) => !this.matching.isFunction(word))
      .slice(0, MOST_WORDS)
      .map((word) => this.read(vocabulary.idOf(word)));
  }

  private read(id: number): { word: string; forms: string[] } {
    return {
      word: this.matching.normal(this.vocabulary, id),
      forms: this.matching.candidates(this.vocabulary, id),
    };
  }

  private bitsOf(id: number): number {
    let bits = this.bits.get(id);
    if (bits === undefined) {
      bits = 0;
      const other = this.read(id);
      const compounds = hasCompounds(this.matching.code);
      this.wanted.forEach(({ word, forms }, at) => {
        const isIt =
          other.word === word ||
          this.matching.areVariants(word, forms, other.word, other.forms) ||
          (compounds && forms.some((form) => other.forms.some((each) => isPartOf(bare(form), bare(each)))));
        if (isIt) bits! |= 1 << at;
      });
      this.bits.set(id, bits);
    }
    return bits;
  }

  /** Whether the words of a sentence that begin before `end` name so large a part of the keyword's, at least one. */
  name({ tokens, first, last }: SentenceWords, end: number, least: number): boolean {
    let found = 0;
    for (let at = first; at < last && tokens.starts[at] < end; at++) found |= this.bitsOf(tokens.ids[at]);
    let held = 0;
    for (; found !== 0; found &= found - 1) held += 1;
    return held >= Math.max(1, Math.ceil(this.wanted.length * least));
  }
}

/** The words of a sentence among those of its block: from the first up to, but without, the last. */
interface SentenceWords {
  tokens: Tokens;
  first: number;
  last: number;
}

/** A sentence of a block, with its words. */
interface Said extends SentenceWords {
  start: number;
  end: number;
  text: string;
}

function* sentencesOf({ block, tokens }: BlockReading): Generator<Said> {
  let first = 0;
  for (const { start, end } of sentenceSpans(block.text, tokens)) {
    let last = first;
    while (last < tokens.length && tokens.sentences[last] === tokens.sentences[first]) last += 1;
    yield { tokens, first, last, start, end, text: block.text.slice(start, end) };
    first = last;
  }
}

function answersIn(
  reading: BlockReading,
  form: AnswerForm,
  names: KeywordNames,
  words: AnswerWords,
): InBlock {
  const { block, tokens, prose, container, level } = reading;
  const listed = /^(?:list|table)/.test(container);
  if (listed && form === 'comparison') return 'whole';
  // A table holds no steps, and one word in a list is a way to another page.
  if (container.startsWith('list') && form === 'steps' && tokens.words > 1) return 'whole';
  if (listed && (form === 'price' ? words.price : form === 'number' ? /\d/ : /^$/).test(block.text))
    return 'whole';
  // What a reader is to do next is no answer.
  if (level > 0 || !prose || block.step !== undefined) return [];
  const found: { start: number; end: number }[] = [];
  for (const said of sentencesOf(reading)) {
    if (!isAnswer(said, form, names, words)) continue;
    found.push({ start: said.start, end: said.end });
    // Of steps alone it matters how many there are.
    if (form !== 'steps') break;
  }
  return found;
}

function isAnswer(said: Said, form: AnswerForm, names: KeywordNames, words: AnswerWords): boolean {
  const { text } = said;
  // A question is no answer.
  if (/\?["'”’)]*$/.test(text)) return false;
  if (form === 'steps') return words.isOrder(text);
  if (form === 'price') return words.price.test(text);
  if (form === 'number') return names.name(said, said.end, 0.34) && words.number.test(text);
  if (form === 'comparison') return words.comparing.test(text);
  return states(said, names, words);
}

/** Whether a sentence states something of what is named: what a statement is about stands before its verb. */
function states(said: Said, names: KeywordNames, { showing, linking, isVerb }: AnswerWords): boolean {
  // Most sentences name too little of it anywhere: nothing else need be looked for in them.
  if (!names.name(said, said.start + SUBJECT, 0.5)) return false;
  const opening = said.text.slice(0, SUBJECT);
  if (showing.test(opening)) return true;
  const isOfIt = (verb: number | undefined) => verb !== undefined && names.name(said, said.start + verb, 0.5);
  // Where the verb stands second, what is spoken of may follow a first one: "Beim Packen ist die Tasche ...".
  if (isVerb === null) return isOfIt([...opening.matchAll(linking)].at(-1)?.index);
  if (isOfIt(linking.exec(opening)?.index)) return true;
  // "carries", "went": any other verb that is hardly ever a noun.
  return isOfIt(
    [...opening.matchAll(/[\p{L}'’]+/gu)].find(
      ({ 0: word, index }) => index > 0 && isVerb(word.toLowerCase()),
    )?.index,
  );
}

export const answer = criterion({
  id: 'answer',
  group: 'substance',
  title: 'An answer early on',
  place: 'text',
  weight: 4,
  needs: ['words', 'wording'],
  target: () => 'what the keyword asks is answered within the first third, in the form it asks for',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { answers } = facts.wording!;
    const form = formOf(facts.keyword, answers);
    const found = answerIn(facts, form, answers);
    if (!found)
      return measure(
        0,
        'none',
        `Nothing here answers "${facts.keyword}" in the form it asks for: ${MISSING[form]}.`,
      );
    if (found.before <= facts.words * EARLY) return measure(1, found.place.quote.slice(0, 80), '');
    return measure(
      LATE,
      found.place.quote.slice(0, 80),
      `What answers "${facts.keyword}" stands late: ${MISSING[form]} within the first third would reach readers sooner.`,
      [found.place],
    );
  },
});
