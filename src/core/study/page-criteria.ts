import { CRITERION_IDS, type CriterionId, type CriterionResult, type Profile } from '../criteria/index.ts';

/** Criteria that ask for a site, a study, a brief or the sizes of picture files: none of them can be judged on somebody else's page. */
const OWN_ONLY: ReadonlySet<CriterionId> = new Set<CriterionId>([
  'meta-title-distinct',
  'keyword-free',
  'links-live',
  'supporting-keywords',
  'questions-answered',
  'staple-terms',
  'supporting-terms',
  'topics-covered',
  'image-weight',
  'body-length',
]);

/** The criteria that can be judged on any page. */
export const PAGE_CRITERIA: readonly CriterionId[] = CRITERION_IDS.filter((id) => !OWN_ONLY.has(id));

/** A profile in which only the criteria that can be judged on any page weigh anything. */
export const pageProfile = (profile: Profile): Profile => ({
  ...profile,
  weights: Object.fromEntries(
    CRITERION_IDS.map((id) => [id, OWN_ONLY.has(id) ? 0 : profile.weights[id]]),
  ) as Profile['weights'],
});

/** The score of a report over the criteria that can be judged on any page, 0-100: it stands beside a band, like against like. */
export function scoreAsPage(
  criteria: readonly Pick<CriterionResult, 'id' | 'points' | 'available'>[],
): number {
  let points = 0;
  let available = 0;
  for (const line of criteria) {
    if (OWN_ONLY.has(line.id)) continue;
    points += line.points;
    available += line.available;
  }
  return available === 0 ? 0 : (100 * points) / available;
}
