import {
  CRITERION_IDS,
  type CriterionId,
  LIMIT_MEANINGS,
  type Limits,
  type Profile,
  readProfile,
} from '../../../core/criteria/index.ts';

/** A profile as it stands in the fields: text, so that half a number can be typed. */
export interface ProfileForm {
  weights: Record<CriterionId, string>;
  /** One text for each number of a limit; empty: that side is open. */
  limits: Record<keyof Limits, string[]>;
}

const typedOf = (number: number | null) => (number === null ? '' : String(number));

/** The fields filled with a profile. */
export function formOf({ weights, limits }: Profile): ProfileForm {
  return {
    weights: Object.fromEntries(
      CRITERION_IDS.map((id) => [id, typedOf(weights[id])]),
    ) as ProfileForm['weights'],
    limits: Object.fromEntries(
      LIMIT_MEANINGS.map(({ name }) => [name, [limits[name]].flat().map(typedOf)]),
    ) as ProfileForm['limits'],
  };
}

const NUMBER = /^\d+(?:[.,]\d+)?$/;

/** The profile that the fields say, or a sentence about what cannot be. `titles` names the criteria. */
export function profileOf(
  form: ProfileForm,
  titles: ReadonlyMap<CriterionId, string>,
): { profile: Profile; problem: null } | { profile: null; problem: string } {
  const refuse = (what: string, typed: string, wish: string) => ({
    profile: null,
    problem: `${what}: "${typed}" is no number. ${wish}`,
  });
  const numberOf = (typed: string) => Number(typed.trim().replace(',', '.'));
  const weights: Partial<Record<CriterionId, number>> = {};
  for (const id of CRITERION_IDS) {
    const typed = form.weights[id].trim();
    if (!NUMBER.test(typed))
      return refuse(titles.get(id) ?? id, typed, 'Type its points, 0 to leave the criterion out.');
    weights[id] = numberOf(typed);
  }
  const limits: Record<string, unknown> = {};
  for (const { name, title, shape } of LIMIT_MEANINGS) {
    const numbers: (number | null)[] = [];
    for (const typed of form.limits[name]) {
      const open = typed.trim() === '';
      if (open && shape === 'ramp') numbers.push(null);
      else if (!NUMBER.test(typed.trim()))
        return refuse(title, typed.trim(), shape === 'ramp' ? 'Type one, or leave it empty.' : 'Type one.');
      else numbers.push(numberOf(typed));
    }
    if (
      numbers.some(
        (number, at) =>
          at > 0 && number !== null && number < Math.max(0, ...numbers.slice(0, at).map((one) => one ?? 0)),
      )
    )
      return { profile: null, problem: `${title}: the numbers must rise from left to right.` };
    limits[name] = shape === 'number' ? numbers[0] : numbers;
  }
  return readProfile({ version: 1, weights, limits });
}

/** How many numbers of two forms differ. */
export const changesBetween = (a: ProfileForm, b: ProfileForm): number =>
  CRITERION_IDS.filter((id) => a.weights[id].trim() !== b.weights[id].trim()).length +
  LIMIT_MEANINGS.filter(({ name }) => a.limits[name].join('|') !== b.limits[name].join('|')).length;
