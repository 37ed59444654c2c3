import {
  areVariants,
  inflectionCandidates,
  isStopWord,
  normalForm,
  plainWords,
  type Vocabulary,
} from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure } from '../judging.ts';

/** For each section (a heading and what follows it, or what begins at one of `starts`) the distinct words it holds. */
function sections({ readings }: DraftFacts, starts?: ReadonlySet<number>): Set<number>[] {
  const out: Set<number>[] = starts ? [] : [new Set()];
  readings.forEach(({ block, tokens }, index) => {
    if (starts ? starts.has(index) || out.length === 0 : block.kind === 'heading') out.push(new Set());
    const ids = out[out.length - 1];
    for (let at = 0; at < tokens.length; at++) ids.add(tokens.ids[at]);
  });
  return out;
}

/** The chosen questions that each section answers; sections are given by the indices of their first blocks. */
export function answeringSections(facts: DraftFacts, starts: readonly number[]): string[][] {
  const { fields, reader, english } = facts;
  return sections(facts, new Set(starts)).map((part) =>
    fields.questions.filter((question) => isAnswered(question, [part], reader.vocabulary, english)),
  );
}

/** True where one section holds every content word of the question, or an inflection of it. */
function isAnswered(
  question: string,
  parts: Set<number>[],
  vocabulary: Vocabulary,
  english: boolean,
): boolean {
  const all = plainWords(question);
  const content = english ? all.filter((word) => !isStopWord(word)) : all;
  const wanted = (content.length ? content : all)
    .map(normalForm)
    .map((form) => ({ form, candidates: inflectionCandidates(form) }));
  if (wanted.length === 0) return false;
  return parts.some((ids) =>
    wanted.every(({ form, candidates }) => {
      for (const id of ids) {
        if (vocabulary.normal(id) === form) return true;
        if (english && areVariants(form, candidates, vocabulary.normal(id), vocabulary.candidates(id)))
          return true;
      }
      return false;
    }),
  );
}

export const questionsAnswered = criterion({
  id: 'questions-answered',
  group: 'coverage',
  title: 'Questions answered',
  place: 'text',
  weight: 2,
  needs: ['questions'],
  target: () => 'each chosen question answered in one section',
  measure(facts) {
    const parts = sections(facts);
    const { questions } = facts.fields;
    const open = questions.filter(
      (question) => !isAnswered(question, parts, facts.reader.vocabulary, facts.english),
    );
    return measure(
      (questions.length - open.length) / questions.length,
      `${questions.length - open.length} of ${questions.length}`,
      `No section answers "${open[0]}" yet.`,
    );
  },
});
