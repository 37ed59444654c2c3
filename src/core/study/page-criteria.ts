import {
  CRITERIA,
  CRITERION_IDS,
  type CriterionId,
  type CriterionResult,
  isForAnyPage,
  type Profile,
} from '../criteria/index.ts';

/** The criteria that can be judged on any page: those that need no site, study, brief or picture files. */
export const PAGE_CRITERIA: readonly CriterionId[] = CRITERIA.filter(isForAnyPage).map(({ id }) => id);

const FOR_ANY_PAGE: ReadonlySet<CriterionId> = new Set(PAGE_CRITERIA);

/** A profile in which only the criteria that can be judged on any page weigh anything. */
export const pageProfile = (profile: Profile): Profile => ({
  ...profile,
  weights: Object.fromEntries(
    CRITERION_IDS.map((id) => [id, FOR_ANY_PAGE.has(id) ? profile.weights[id] : 0]),
  ) as Profile['weights'],
});

/** The score of a report over the criteria that can be judged on any page, 0-100: it stands beside a band, like against like. */
export function scoreAsPage(
  criteria: readonly Pick<CriterionResult, 'id' | 'points' | 'available'>[],
): number {
  let points = 0;
  let available = 0;
  for (const line of criteria) {
    if (!FOR_ANY_PAGE.has(line.id)) continue;
    points += line.points;
    available += line.available;
  }
  return available === 0 ? 0 : (100 * points) / available;
}
