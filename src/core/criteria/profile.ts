import { CRITERIA, CRITERION_IDS, type CriterionId } from './criteria-list.ts';
import validate from './generated/profile-validator.js';
import { defaultLimits, type Limits } from './limits.ts';

/** Limits and weights by which drafts are scored. */
export interface Profile {
  version: 1;
  weights: Record<CriterionId, number>;
  limits: Limits;
}

/** The profile of a house that has set nothing. */
export const defaultProfile: Profile = {
  version: 1,
  weights: Object.fromEntries(CRITERIA.map(({ id, weight }) => [id, weight])) as Profile['weights'],
  limits: defaultLimits,
};

const completed = new WeakMap<Profile, Profile>();

/**
 * A house's profile with every weight and limit there is: one that was kept before some of them came has the defaults for these.
 * Null: the defaults alone.
 */
export function wholeProfile(given: Profile | null): Profile {
  if (given === null) return defaultProfile;
  let whole = completed.get(given);
  if (!whole) {
    whole = completedBy(given);
    completed.set(given, whole);
  }
  return whole;
}

const completedBy = ({
  weights,
  limits,
}: {
  weights?: Partial<Profile['weights']>;
  limits?: Partial<Limits>;
}): Profile => ({
  version: 1,
  weights: { ...defaultProfile.weights, ...weights },
  limits: { ...defaultProfile.limits, ...limits },
});

/** A profile read from outside: the whole one, or why it cannot be used. */
export type ProfileReading = { profile: Profile; problem: null } | { profile: null; problem: string };

/**
 * Reads a profile from parsed JSON. It may leave out weights and limits (the defaults stand); unknown names,
 * wrong shapes, weights that are all zero and ramps that do not rise are refused with a sentence.
 */
export function readProfile(json: unknown): ProfileReading {
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
    const extra = error?.params?.additionalProperty
      ? ` ("${error.params.additionalProperty}" is not known)`
      : '';
    return {
      profile: null,
      problem: `The profile is not valid${where}: ${error?.message ?? 'unknown shape'}${extra}.`,
    };
  }
  const given = json as { weights?: Partial<Profile['weights']>; limits?: Partial<Limits> };
  const stranger = Object.keys(given.weights ?? {}).find(
    (id) => !CRITERION_IDS.some((known) => known === id),
  );
  if (stranger !== undefined)
    return { profile: null, problem: `The profile is not valid at weights: "${stranger}" is no criterion.` };
  const profile = completedBy(given);
  if (CRITERION_IDS.every((id) => profile.weights[id] === 0))
    return {
      profile: null,
      problem: 'The profile gives every criterion the weight 0: nothing could be scored.',
    };
  for (const [name, value] of Object.entries(profile.limits)) {
    if (!Array.isArray(value)) continue;
    const corners = value.filter((corner): corner is number => corner !== null);
    if (corners.some((corner, at) => at > 0 && corner < corners[at - 1]))
      return { profile: null, problem: `The profile's limit ${name} must rise from left to right.` };
  }
  return { profile, problem: null };
}
