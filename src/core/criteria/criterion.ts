import type { CriterionId, Group } from './criterion-ids.ts';
import type { DraftFacts } from './draft-facts.ts';
import type { DraftEdit } from './edits.ts';
import type { Limits, Profile } from './profile.ts';
import type { SiteFacts, StudyFacts } from './surroundings.ts';

/** A place that a criterion speaks of. Offsets are UTF-16 code units of the block's text. */
export interface Evidence {
  block: number;
  blockId: string;
  start: number;
  end: number;
  quote: string;
}

/** What a criterion found. */
export interface Measure {
  /** 0 to 1. */
  share: number;
  measured: number | string | boolean | null;
  evidence: Evidence[];
  /** What to change; not read where the share is full. */
  advice: string;
}

/** A change that can be computed: what the button says, and the edits behind it. */
export interface Fix {
  label: string;
  edits: DraftEdit[];
}

/** Everything beside the draft that a judgement needs. */
export interface Context {
  profile: Profile;
  /** Null: the post is judged alone. */
  site: SiteFacts | null;
  /** Null: no result pages were studied. */
  study: StudyFacts | null;
}

/** Where a note stands when it speaks of no place in the text. */
export type Place = 'title' | 'meta-title' | 'meta-description' | 'slug' | 'featured' | 'text';

/** One criterion: data and pure functions. */
export interface Criterion {
  id: CriterionId;
  group: Group;
  /** A few words for tables. */
  title: string;
  /** What a measured number counts, e.g. `px`. */
  unit?: string;
  place: Place;
  applies(facts: DraftFacts, context: Context): boolean;
  /** The target in words a writer reads. */
  target(limits: Limits, facts: DraftFacts, context: Context): string;
  measure(facts: DraftFacts, context: Context): Measure;
  fixes?(facts: DraftFacts, context: Context): Fix[];
}
