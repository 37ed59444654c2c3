import type { MatchKind } from '../language/index.ts';
import { CRITERIA, type CriterionId } from './criteria-list.ts';
import type { Context, Criterion, Evidence, Fix, Measure, Place } from './criterion.ts';
import type { DraftFacts } from './draft-facts.ts';
import { GROUPS, type Group } from './groups.ts';
import type { Limits } from './limits.ts';
import { appliesTo, needsMet } from './needs.ts';
import type { Profile } from './profile.ts';

/** One criterion's line of a report. Points are scaled so that what applies sums to 100. */
export interface CriterionResult {
  id: CriterionId;
  group: Group;
  title: string;
  unit?: string;
  place: Place;
  applies: boolean;
  points: number;
  available: number;
  measured: number | string | boolean | null;
  target: string;
  /** What to change; null exactly where nothing is to win. */
  advice: string | null;
  evidence: Evidence[];
}

export interface GroupResult {
  id: Group;
  points: number;
  available: number;
}

/** The report of one draft; numbers are not rounded. */
export interface ScoreReport {
  score: number;
  groups: GroupResult[];
  criteria: CriterionResult[];
  /** Where the primary keyword stands in the body. */
  uses: { blockId: string; start: number; end: number; kind: MatchKind }[];
}

/**
 * Judges a draft by every criterion. Same facts and context, same report. Every number of a report is finite: a
 * criterion whose share is none is a fault of ours, thrown as an error that names it rather than added up.
 */
export function scoreDraft(facts: DraftFacts, context: Context & { profile: Profile }): ScoreReport {
  const { limits } = context.profile;
  const weights = weightsOf(context.profile);
  const met = needsMet(facts, context);
  let sum = 0;
  const measures = CRITERIA.map((criterion: Criterion<CriterionId>, at) => {
    if (!(weights[at] > 0) || !appliesTo(criterion, facts, context, met)) return null;
    sum += weights[at];
    return criterion.measure(facts, context);
  });
  const scale = sum > 0 ? 100 / sum : 0;
  const balance = balanceOf(measures, facts, context, weights, scale);
  const known = targetsUnder(limits, facts, context);
  const criteria = CRITERIA.map((criterion: Criterion<CriterionId>, at): CriterionResult => {
    const { id, group, title, unit, place } = criterion;
    const target = known[at] ?? criterion.target(limits, facts, context);
    const found = measures[at];
    if (found === null)
      return {
        id,
        group,
        title,
        unit,
        place,
        applies: false,
        points: 0,
        available: 0,
        measured: null,
        target,
        advice: null,
        evidence: [],
      };
    const { measured, advice, evidence } = found;
    const own = weights[at] * scale * (HELD_BACK[at] ? balance.left : 1);
    const points = own * clamped(found.share);
    const available = own + balance.lost * balance.held[at];
    if (!Number.isFinite(points) || !Number.isFinite(available))
      throw new Error(`The criterion ${id} found no number (share ${found.share}).`);
    const full = points === available;
    return {
      id,
      group,
      title,
      unit,
      place: found.place ?? place,
      applies: true,
      points,
      available,
      measured,
      target,
      advice: full ? null : advice,
      evidence,
    };
  });
  const groups = GROUPS.map((id): GroupResult => ({ id, points: 0, available: 0 }));
  let score = 0;
  for (let at = 0; at < criteria.length; at++) {
    const { points, available } = criteria[at];
    const own = groups[GROUP_PLACES[at]];
    own.points += points;
    own.available += available;
    score += points;
  }
  const uses: ScoreReport['uses'] = [];
  for (const { reading } of facts.totals.withUses) {
    for (const { match } of reading.uses)
      uses.push({ blockId: reading.block.id, start: match.start, end: match.end, kind: match.kind });
  }
  return { score: Math.min(100, score), groups, criteria, uses };
}

const weightLists = new WeakMap<Profile['weights'], Float64Array>();

/** A profile's weights in the order of the criteria. */
function weightsOf({ weights }: Profile): Float64Array {
  let list = weightLists.get(weights);
  if (!list) {
    list = Float64Array.from(CRITERIA, ({ id }) => weights[id]);
    weightLists.set(weights, list);
  }
  return list;
}

const targets = new WeakMap<Limits, (string | null)[]>();

/** The targets in words that only limits change, in the order of the criteria, put together once; null for the others. */
function targetsUnder(limits: Limits, facts: DraftFacts, context: Context): (string | null)[] {
  let known = targets.get(limits);
  if (!known) {
    known = CRITERIA.map(({ target }: Criterion) =>
      target.length > 1 ? null : target(limits, facts, context),
    );
    targets.set(limits, known);
  }
  return known;
}

const clamped = (share: number) => Math.min(1, Math.max(0, share));

/** Places of the criteria that can hold back all others. */
const HOLDING = CRITERIA.flatMap((criterion: Criterion, at) => (criterion.holdsBack ? [at] : []));

/** What substance can take from: all but those of its own criteria that take. */
const HELD_BACK = CRITERIA.map(
  ({ group, holdsBack }: Criterion): boolean => group !== 'substance' || holdsBack === undefined,
);

/** The place of each criterion's group. */
const GROUP_PLACES = CRITERIA.map(({ group }: Criterion) => GROUPS.indexOf(group));

/** What substance takes from everything else. */
interface Balance {
  /** The part that is left to all other criteria. */
  left: number;
  /** What they lose, for each unit by which a criterion holds back. */
  lost: number;
  /** By how much each criterion holds back. */
  held: Float64Array;
}

/**
 * What substance lacks takes weight from everything else: all other criteria are worth the part that those with `holdsBack`
 * leave, multiplied; what they lose becomes available there, to each as much as it holds back.
 */
function balanceOf(
  measures: readonly (Measure | null)[],
  facts: DraftFacts,
  context: Context,
  weights: Float64Array,
  scale: number,
): Balance {
  const held = new Float64Array(CRITERIA.length);
  let left = 1;
  let reasons = 0;
  let others = 0;
  for (let at = 0; at < CRITERIA.length; at++)
    if (measures[at] !== null && HELD_BACK[at]) others += weights[at];
  for (const at of HOLDING) {
    const found = measures[at];
    if (found === null) continue;
    const part = clamped((CRITERIA[at] as Criterion).holdsBack!(facts, clamped(found.share), context));
    held[at] = 1 - part;
    left *= part;
    reasons += 1 - part;
  }
  return { left, lost: reasons > 0 ? (others * scale * (1 - left)) / reasons : 0, held };
}

const BY_ID = new Map<CriterionId, Criterion>(CRITERIA.map((criterion) => [criterion.id, criterion]));

/** The changes that can be computed for a criterion that has points to win. */
export const fixesFor = (id: CriterionId, facts: DraftFacts, context: Context): Fix[] =>
  BY_ID.get(id)?.fixes?.(facts, context) ?? [];
