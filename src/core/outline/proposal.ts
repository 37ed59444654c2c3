import type { StudyQuestion, Topic, Unsaid } from '../study/index.ts';

/** Shapes that an outline can take. */
export const SHAPES = ['guide', 'steps', 'questions', 'comparison', 'list', 'problem'] as const;
export type Shape = (typeof SHAPES)[number];
export const SHAPE_NAMES: Record<Shape, string> = {
  guide: 'Guide by subject',
  steps: 'Step by step',
  questions: 'Questions and answers',
  comparison: 'Comparison',
  list: 'List',
  problem: 'Problem and remedy',
};

/** What a heading of a proposal stands on. */
export interface Ground {
  kind: 'point' | 'topic' | 'question' | 'unsaid';
  text: string;
  /** Addresses of pages behind it. */
  pages: string[];
}

/** A heading of a proposal. */
export interface ProposedItem {
  level: number;
  text: string;
  note: string;
  grounds: Ground[];
}

export interface Proposal {
  shape: Shape;
  items: ProposedItem[];
}

/** What proposals are made from. */
export interface ProposalInput {
  query: string;
  /** `informational`, `commercial`, `transactional` or `navigational`. */
  intent: string;
  /** Main points of the brief: always kept, and first in weight. */
  points: readonly string[];
  /** Topics that the brief names as must-cover. */
  must: readonly string[];
  /** Questions that the post is to answer. */
  questions: readonly string[];
  topics: readonly Topic[];
  asked: readonly StudyQuestion[];
  unsaid: readonly Unsaid[];
  /** Length in view, in words; undefined: not known. */
  words?: number;
  /** As the brief words them; undefined: nothing is said. */
  audience?: string;
  tone?: string;
}
