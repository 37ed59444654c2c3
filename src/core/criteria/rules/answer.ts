import {
  areVariants,
  inflectionCandidates,
  isDeterminer,
  isFunctionWord,
  isLikelyVerb,
  normalForm,
  partOfSpeech,
  plainWords,
} from '../../language/index.ts';
import { type BlockReading, sentenceSpans } from '../block-reader.ts';
import { criterion, type Evidence } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure, NO_KEYWORD, placeIn, wholeBlock } from '../judging.ts';

/** In what form a query is answered. */
type Form = 'definition' | 'steps' | 'number' | 'price' | 'comparison' | 'statement';

/** Part of the text within which a reader looks for the answer. */
const EARLY = 1 / 3;
/** What an answer further down earns. */
const LATE = 0.5;
/** Characters within which a sentence has named what it is about. */
const SUBJECT = 110;
/** Sentences in which a verb orders, from which a passage is a way of doing something. */
const ORDERS = 2;

const FORMS: [RegExp, Form][] = [
  [/^(?:rent|buy|hire|book|order)\b|\b(?:cost|costs|price|prices|fee|fees|rental|hire)\b/, 'price'],
  [
    /^(?:how (?:much|many|long|often|far|old|big|deep|fast|heavy)\b)|\b(?:pressure|temperature|size|sizes|dosage|limit|rate|rates)\b/,
    'number',
  ],
  [
    /^how (?:to|do|can|does)\b|^(?:fix|make|build|choose|clean|repair|change|install|set up|write|cook|bake|grow)\b|\b(?:tutorial|instructions|checklist|packing list|recipe|steps)\b/,
    'steps',
  ],
  [/^(?:best|top|which)\b|\b(?:vs|versus|or|compared|comparison|alternatives?|reviews?)\b/, 'comparison'],
  [/^(?:what|who) (?:is|are)\b|\b(?:meaning|definition)\b/, 'definition'],
];

/** What a note says is missing. */
const MISSING: Record<Form, string> = {
  definition: 'a sentence that says what it is',
  steps: 'steps: a list, or what to do first',
  number: 'a number',
  price: 'what it costs',
  comparison: 'a list, a table or a sentence that compares',
  statement: 'a sentence that makes a statement about it',
};

const formOf = (keyword: string): Form => {
  const words = plainWords(keyword).join(' ');
  return FORMS.find(([pattern]) => pattern.test(words))?.[1] ?? 'statement';
};

const LINKING =
  /\b(?:is|are|means|was|were|has|have|needs?|takes?|works?|begins?|starts?|comes?|goes|can|should|must|will|costs?|lasts?|keeps?|helps?|depends?|shows?|tells?|gives?|do|does|makes?|provides?|allows?|lets?|brings?|offers?|contains?|holds?|includes?|requires?|uses?)\b/i;
const PRICE =
  /[$£€¥]\s?\d|\d\s?(?:dollars?|pounds?|euros?|pence|cents)\b|\b(?:free of charge|for free|costs nothing)\b/i;
const NUMBER =
  /\d|\b(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty|hundred|thousand|half|quarter)\b/i;
const COMPARING =
  /\b(?:\p{L}+er than|more \p{L}+ than|less \p{L}+ than|better|best|worse|cheaper|instead of|rather than|compared|whereas|while|unlike|choose|recommend|prefer|first choice|depends on)\b/iu;
const ORDER =
  /^(?:first|then|next|now|and|so|before you|after that|finally|always|never|do not|don['’]t)?,?\s*(?:bring|take|use|keep|turn|open|close|push|pull|put|set|cut|check|look|write|read|choose|pick|pack|begin|start|stop|go|add|mix|remove|lift|hold|make|let|leave|find|press|click|select|type|run|call|ask|buy|book|wait|lay|place|wash|dry|clean|cross|ride|give|say|test|measure|plan|count|think|ignore|avoid|try)\b/i;

interface Passage {
  place: Evidence;
  /** Words of the body before it. */
  before: number;
}

/** What a block answers: all of it, or sentences of it in order. */
type InBlock = 'whole' | { start: number; end: number }[];
const known = new WeakMap<BlockReading, InBlock>();

/** The first passage that answers the keyword in its form; null where there is none. */
function answerIn({ readings, keyword, titleBlock }: DraftFacts, form: Form): Passage | null {
  let names: Names | null = null;
  let before = 0;
  let orders = 0;
  for (let index = 0; index < readings.length; index++) {
    if (index === titleBlock) continue;
    const reading = readings[index];
    // A reading belongs to one keyword: what it answers is looked up once.
    let found = known.get(reading);
    if (!found) {
      names ??= namesOf(keyword);
      found = answersIn(reading, form, names);
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

function namesOf(keyword: string): Names {
  const words = plainWords(keyword)
    .filter((word) => !isFunctionWord(word))
    .map(normalForm);
  const wanted = words.map((word) => ({ word, forms: inflectionCandidates(word) }));
  return (text, least) => {
    const own = plainWords(text).map(normalForm);
    const held = wanted.filter(({ word, forms }) =>
      own.some((other) => other === word || areVariants(word, forms, other, inflectionCandidates(other))),
    ).length;
    return held >= Math.max(1, Math.ceil(wanted.length * least));
  };
}

function answersIn(
  { block, tokens, prose, container, level }: BlockReading,
  form: Form,
  names: Names,
): InBlock {
  const listed = /^(?:list|table)/.test(container);
  if (listed && form === 'comparison') return 'whole';
  // A table holds no steps, and one word in a list is a way to another page.
  if (container.startsWith('list') && form === 'steps' && tokens.words > 1) return 'whole';
  if (listed && (form === 'price' ? PRICE : form === 'number' ? /\d/ : /^$/).test(block.text)) return 'whole';
  // What a reader is to do next is no answer.
  if (level > 0 || !prose || block.step !== undefined) return [];
  return sentenceSpans(block.text, tokens).filter(({ start, end }) => {
    const said = block.text.slice(start, end);
    // A question is no answer.
    if (/\?["'”’)]*$/.test(said)) return false;
    if (form === 'steps') return ORDER.test(said) || ordersSomething(said);
    if (form === 'price') return PRICE.test(said);
    if (form === 'number') return NUMBER.test(said) && names(said, 0.34);
    if (form === 'comparison') return COMPARING.test(said);
    return statesOf(said, names);
  });
}

/** Whether a sentence begins with a verb and what it is to be done with: "Roll the tent", "Shake it". */
function ordersSomething(said: string): boolean {
  const [first, second] = plainWords(said.slice(0, 60));
  const part = first === undefined ? undefined : partOfSpeech(first);
  return (
    (part === 'v' || part === 'm') &&
    second !== undefined &&
    (isDeterminer(second) || /^(?:it|them|both)$/.test(second))
  );
}

/** Sentences that show what they are about: "Here are thirty touring terms". */
const SHOWING = /^(?:so |and |but )?(?:here (?:is|are|comes?|follows?)|these are)\b/i;

/** Whether a sentence states something of what is named: what a statement is about stands before its verb. */
function statesOf(said: string, names: Names): boolean {
  const opening = said.slice(0, SUBJECT);
  if (SHOWING.test(opening)) return names(opening, 0.5);
  const isOfIt = (verb: number | undefined) => verb !== undefined && names(said.slice(0, verb), 0.5);
  if (isOfIt(LINKING.exec(opening)?.index)) return true;
  // "carries", "went": any other verb that is hardly ever a noun.
  return isOfIt(
    [...opening.matchAll(/[\p{L}'’]+/gu)].find(
      ({ 0: word, index }) => index > 0 && isLikelyVerb(word.toLowerCase()),
    )?.index,
  );
}

export const answer = criterion({
  id: 'answer',
  group: 'substance',
  title: 'An answer early on',
  place: 'text',
  weight: 4,
  needs: ['words', 'english'],
  target: () => 'what the keyword asks is answered within the first third, in the form it asks for',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const form = formOf(facts.keyword);
    const found = answerIn(facts, form);
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
