import { hasCompounds, isPartOf, matchingOf, plainWords, type Vocabulary } from '../../language/index.ts';
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
  let names: Names | null = null;
  let before = 0;
  let orders = 0;
  for (let index = 0; index < readings.length; index++) {
    if (index === titleBlock) continue;
    const reading = readings[index];
    // A reading belongs to one keyword: what it answers is looked up once.
    let found = known.get(reading);
    if (!found) {
      names ??= namesOf(keyword, language, reader.vocabulary);
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

/** Whether a text names so large a part of the keyword's words. */
type Names = (text: string, least: number) => boolean;

/** A stem without its mark. */
const bare = (form: string) => form.replace('~', '');

function namesOf(keyword: string, language: string, vocabulary: Vocabulary): Names {
  const matching = matchingOf(language);
  const compounds = hasCompounds(matching.code);
  const read = (word: string) => {
    const id = vocabulary.idOf(word);
    return { word: matching.normal(vocabulary, id), forms: matching.candidates(vocabulary, id) };
  };
  const wanted = plainWords(keyword)
    .filter((word) => !matching.isFunction(word))
    .map(read);
  return (text, least) => {
    const own = plainWords(text).map(read);
    const held = wanted.filter(({ word, forms }) =>
      own.some(
        (other) =>
          other.word === word ||
          matching.areVariants(word, forms, other.word, other.forms) ||
          (compounds && forms.some((form) => other.forms.some((each) => isPartOf(bare(form), bare(each))))),
      ),
    ).length;
    return held >= Math.max(1, Math.ceil(wanted.length * least));
  };
}

function answersIn(
  { block, tokens, prose, container, level }: BlockReading,
  form: AnswerForm,
  names: Names,
  words: AnswerWords,
): InBlock {
  const listed = /^(?:list|table)/.test(container);
  if (listed && form === 'comparison') return 'whole';
  // A table holds no steps, and one word in a list is a way to another page.
  if (container.startsWith('list') && form === 'steps' && tokens.words > 1) return 'whole';
  if (listed && (form === 'price' ? words.price : form === 'number' ? /\d/ : /^$/).test(block.text))
    return 'whole';
  // What a reader is to do next is no answer.
  if (level > 0 || !prose || block.step !== undefined) return [];
  return sentenceSpans(block.text, tokens).filter(({ start, end }) => {
    const said = block.text.slice(start, end);
    // A question is no answer.
    if (/\?["'”’)]*$/.test(said)) return false;
    if (form === 'steps') return words.isOrder(said);
    if (form === 'price') return words.price.test(said);
    if (form === 'number') return words.number.test(said) && names(said, 0.34);
    if (form === 'comparison') return words.comparing.test(said);
    return statesOf(said, names, words);
  });
}

/** Whether a sentence states something of what is named: what a statement is about stands before its verb. */
function statesOf(said: string, names: Names, { showing, linking, isVerb }: AnswerWords): boolean {
  const opening = said.slice(0, SUBJECT);
  if (showing.test(opening)) return names(opening, 0.5);
  const isOfIt = (verb: number | undefined) => verb !== undefined && names(said.slice(0, verb), 0.5);
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
