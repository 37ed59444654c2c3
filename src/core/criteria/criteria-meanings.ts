import { emptyFields } from '../draft/index.ts';
import { CRITERIA, type CriterionId } from './criteria-list.ts';
import type { Context } from './criterion.ts';
import type { DraftFacts } from './draft-facts.ts';
import type { Group } from './groups.ts';
import type { Limits } from './limits.ts';

/** A criterion as the person who sets its weight reads it. */
export interface CriterionMeaning {
  id: CriterionId;
  group: Group;
  title: string;
  /** What earns its points, under the limits given. */
  target: string;
}

/** Every criterion in the order of the report. Targets that depend on a post are those of one without a brief. */
export const criteriaMeanings = (limits: Limits): CriterionMeaning[] => {
  const facts = { fields: emptyFields() } as DraftFacts;
  const context: Context = { site: null, study: null };
  return CRITERIA.map(({ id, group, title, target }) => ({
    id,
    group,
    title,
    target: target(limits, facts, context),
  }));
};
