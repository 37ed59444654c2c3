import { criterion } from '../criterion.ts';
import { measure } from '../judging.ts';
import { openQuestions } from '../question-cover.ts';

export const questionsAnswered = criterion({
  id: 'questions-answered',
  group: 'coverage',
  title: 'Questions answered',
  place: 'text',
  weight: 2,
  needs: ['questions'],
  target: () => 'each chosen question answered in one section',
  measure(facts) {
    const open = openQuestions(facts);
    const { questions } = facts.fields;
    return measure(
      (questions.length - open.length) / questions.length,
      `${questions.length - open.length} of ${questions.length}`,
      `No section answers "${open[0]}" yet.`,
    );
  },
});
