import { isStopWord, type Matching, matchingOf, plainWords, type Vocabulary } from '../language/index.ts';
import { SAYS_IN_TEXT, saying, type Want, wantOf } from '../meaning/index.ts';
import type { BlockReading } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';

/** About three sentences: blocks that follow each other are read together until they have so many words. */
const PASSAGE_WORDS = 45;

/** A question of the brief, as its words and as what it asks for (null: its language is not English). */
interface Asked {
  text: string;
  words: { form: string; candidates: string[] }[];
  want: Want | null;
}

/** What sections answer, kept as long as their blocks and the questions stay. */
interface Known {
  key: string;
  asked: Asked[];
  /** By the first block of a section. */
  sections: WeakMap<BlockReading, { members: readonly BlockReading[]; answers: boolean[] }>;
}

const known = new WeakMap<object, Known>();

function askedOf({ fields, reader, english, language }: DraftFacts): Known {
  const matching = matchingOf(language);
  const key = `${matching.code}\n${fields.keyword}\n${fields.questions.join('\n')}`;
  const before = known.get(reader.bases);
  if (before?.key === key) return before;
  const { bases } = reader;
  const subject = new Set(bases.stemsOf(fields.keyword).map((stem) => bases.stemText(stem)));
  const now: Known = {
    key,
    asked: fields.questions.map((text) => {
      const all = plainWords(text);
      const isSmall = english ? isStopWord : matching.isFunction;
      const content = matching.code === '' ? all : all.filter((word) => !isSmall(word));
      return {
        text,
        words: (content.length ? content : all).map((word) => {
          const id = reader.vocabulary.idOf(word);
          return {
            form: matching.normal(reader.vocabulary, id),
            candidates: matching.candidates(reader.vocabulary, id),
          };
        }),
        want: english ? wantOf(text, subject, bases) : null,
      };
    }),
    sections: new WeakMap(),
  };
  known.set(bases, now);
  return now;
}

/** True where words hold every content word of the question, or an inflection of it. */
function holdsAll(
  { words }: Asked,
  ids: ReadonlySet<number>,
  vocabulary: Vocabulary,
  matching: Matching,
): boolean {
  return (
    words.length > 0 &&
    words.every(({ form, candidates }) => {
      for (const id of ids) {
        const normal = matching.normal(vocabulary, id);
        if (normal === form) return true;
        if (matching.areVariants(form, candidates, normal, matching.candidates(vocabulary, id))) return true;
      }
      return false;
    })
  );
}

/** Of several things that are asked for two are met: a ride alone is no answer to what to bring on a ride. */
const meets = ({ parts }: Want, has: (stem: string) => boolean): boolean =>
  parts.filter(({ stem, kin }) => has(stem) || [...kin.keys()].some(has)).length >= Math.min(2, parts.length);

/** Whether a passage of about three sentences, with the heading over it, says what a question asks for. */
function says(
  want: Want,
  heading: ReadonlySet<string>,
  blocks: readonly { words: number; stems: ReadonlySet<string> }[],
): boolean {
  const all = (stem: string) => heading.has(stem) || blocks.some(({ stems }) => stems.has(stem));
  if (saying(want, all) < SAYS_IN_TEXT) return false;
  for (let from = 0; from < Math.max(1, blocks.length); from++) {
    let to = from;
    for (let words = 0; to < blocks.length && words <= PASSAGE_WORDS; to++) words += blocks[to].words;
    const here = (stem: string) => {
      if (heading.has(stem)) return true;
      for (let at = from; at < to; at++) if (blocks[at].stems.has(stem)) return true;
      return false;
    };
    if (saying(want, here) >= SAYS_IN_TEXT && meets(want, here)) return true;
  }
  return false;
}

/**
 * Which of the chosen questions a section answers, in their order: it holds every content word of one, or a passage of it
 * says what is asked in other words (`core/meaning`). Worked out anew only where one of its blocks was read anew.
 */
function answersOf(
  members: readonly BlockReading[],
  facts: DraftFacts,
  { asked, sections }: Known,
): boolean[] {
  const before = sections.get(members[0]);
  if (before?.members.length === members.length && before.members.every((each, at) => each === members[at]))
    return before.answers;
  const { vocabulary, bases } = facts.reader;
  const matching = matchingOf(facts.language);
  const ids = new Set<number>();
  const read = members.map(({ tokens }) => {
    const stems = new Set<string>();
    for (let at = 0; at < tokens.length; at++) {
      ids.add(tokens.ids[at]);
      const stem = bases.stem(tokens.ids[at]);
      if (stem >= 0) stems.add(bases.stemText(stem));
    }
    return { words: tokens.words, stems };
  });
  const headed = members[0].level > 0;
  const heading = headed ? read[0].stems : new Set<string>();
  const blocks = headed ? read.slice(1) : read;
  const answers = asked.map(
    (question) =>
      holdsAll(question, ids, vocabulary, matching) ||
      (question.want !== null && says(question.want, heading, blocks)),
  );
  sections.set(members[0], { members, answers });
  return answers;
}

/** Sections of a draft (a heading and what follows it, or what begins at one of `starts`), as their blocks. */
function sectionsOf({ readings }: DraftFacts, starts?: ReadonlySet<number>): BlockReading[][] {
  const out: BlockReading[][] = [];
  readings.forEach((reading, at) => {
    if (out.length === 0 || (starts ? starts.has(at) : reading.level > 0)) out.push([]);
    out[out.length - 1].push(reading);
  });
  return out;
}

/** The chosen questions that each section answers; sections are given by the indices of their first blocks. */
export function answeringSections(facts: DraftFacts, starts: readonly number[]): string[][] {
  const asked = askedOf(facts);
  return sectionsOf(facts, new Set(starts)).map((members) => {
    const answers = answersOf(members, facts, asked);
    return facts.fields.questions.filter((_, at) => answers[at]);
  });
}

/** The chosen questions that no section answers, in their order. */
export function openQuestions(facts: DraftFacts): string[] {
  const asked = askedOf(facts);
  const answered = new Set<number>();
  for (const members of sectionsOf(facts))
    for (const [at, is] of answersOf(members, facts, asked).entries()) if (is) answered.add(at);
  return facts.fields.questions.filter((_, at) => !answered.has(at));
}
