import { smallWordsOf } from './detect.ts';
import { withoutElision } from './languages/elision.ts';
import { languageRules } from './languages/index.ts';
import { normalForm } from './normal.ts';

/** Whether a folded word carries grammar rather than meaning in a language beside English. */
export function isStopWordOf(form: string, code: string): boolean {
  const rules = languageRules(code);
  const own = withoutElision(form, code);
  return (
    (rules !== null && (rules.functionWords.has(own) || rules.articles.has(own))) ||
    (smallWordsOf(code).has(normalForm(own)) && !rules?.negations.has(own))
  );
}
