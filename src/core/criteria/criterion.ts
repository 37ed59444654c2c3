import type { DraftFacts } from './draft-facts.ts';
import type { DraftEdit } from './edits.ts';
import type { Group } from './groups.ts';
import type { Limits } from './limits.ts';
import type { Need } from './needs.ts';
import type { SiteFacts, StudyFacts, VoiceFacts } from './surroundings.ts';

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
  /** Where that is changed, if not where the criterion stands. */
  place?: Place;
}

/** A change that can be computed: what the button says, and the edits behind it. */
export interface Fix {
  /** What it does, with the words that will stand there where they are few. */
  label: string;
  edits: DraftEdit[];
  /** The words were put together by rule: somebody should read them over. */
  readOver?: true;
}

/** Changes that a criterion works out at most: a draft may have thousands of places, and nobody reads more. */
export const MOST_FIXES = 6;
/** Edits of one change at most: each writes its block anew, and a page of one sentence a thousand times has thousands. */
export const MOST_EDITS = 100;

/** What lies around a draft. */
export interface Context {
  /** Null: the post is judged alone. */
  site: SiteFacts | null;
  /** Null: no result pages were studied. */
  study: StudyFacts | null;
  /** Null or absent: the house gives no points for its voice, or has none. */
  voice?: VoiceFacts | null;
}

/** Where a note stands when it speaks of no place in the text. */
export type Place = 'title' | 'meta-title' | 'meta-description' | 'slug' | 'featured' | 'target' | 'text';

/** One criterion: data and pure functions. A new one is one file with its test, and one line in `criteria-list`. */
export interface Criterion<Id extends string = string> {
  id: Id;
  group: Group;
  /** A few words for tables. */
  title: string;
  /** What a measured number counts, e.g. `px`. */
  unit?: string;
  place: Place;
  /** Points in the profile of a house that has set nothing; what applies of all of them is scaled to 100. */
  weight: number;
  /** What must be there for it to apply. */
  needs: readonly Need[];
  /** It is measured against what its writer wished: on somebody else's page it means nothing, whatever it needs. */
  ownOnly?: true;
  /** Further conditions; asked only where everything it needs is there. */
  applies?(facts: DraftFacts, context: Context): boolean;
  /** The target in words a writer reads. */
  target(limits: Limits, facts: DraftFacts, context: Context): string;
  measure(facts: DraftFacts, context: Context): Measure;
  /**
   * The part (0-1) of what packaging earns that is left where this earns `share`: substance scales all else. What is taken
   * from the others can be won here.
   */
  holdsBack?(facts: DraftFacts, share: number, context: Context): number;
  fixes?(facts: DraftFacts, context: Context): Fix[];
}

/** Declares a criterion, keeping its id as a type of its own. */
export const criterion = <const Id extends string>(own: Criterion<Id>): Criterion<Id> => own;
