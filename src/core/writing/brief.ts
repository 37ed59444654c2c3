import { COMMON, type StudyFacts, termBand } from '../criteria/index.ts';
import type { PostFields } from '../draft/index.ts';
import type { OutlineItem } from '../outline/index.ts';
import type { Statement } from '../study/index.ts';

/** Parts of a brief in their order; each may be left out. */
export const BRIEF_PARTS = [
  'target',
  'reader',
  'length',
  'points',
  'topics',
  'headings',
  'questions',
  'terms',
  'figures',
  'links',
  'avoid',
  'notes',
] as const;
export type BriefPart = (typeof BRIEF_PARTS)[number];

/** A page to link to. */
export interface BriefLink {
  address: string;
  title?: string;
}

/** What is decided about the brief of a post beside its fields. */
export interface BriefChoices {
  /** Parts that do not go in. */
  left: BriefPart[];
  /** Topics that must be covered; null: those that at least half of the studied pages have. */
  topics: string[] | null;
  figures: Statement[];
  links: BriefLink[];
  avoid: string;
  notes: string;
}

export const emptyBriefChoices = (): BriefChoices => ({
  left: [],
  topics: null,
  figures: [],
  links: [],
  avoid: '',
  notes: '',
});

/** A term with how often it should stand in the post. */
export interface BriefTerm {
  form: string;
  from: number;
  to: number;
}

/** What another writer needs to know. */
export interface Brief {
  title: string;
  keyword: string;
  supporting: string[];
  goal: string;
  audience: string[];
  tone: string;
  style: string;
  language: string;
  nextStep: string;
  /** Words. */
  length: { from: number; to: number };
  points: string[];
  topics: string[];
  outline: readonly OutlineItem[];
  questions: string[];
  terms: { staple: BriefTerm[]; supporting: BriefTerm[]; heading: string[] };
  figures: Statement[];
  links: BriefLink[];
  avoid: string;
  notes: string;
  parts: ReadonlySet<BriefPart>;
}

/** Topics where none of the pages' are common: the first few. */
const FEWEST_TOPICS = 6;
/** Supporting terms that a brief names. */
const SUPPORTING = 30;

/** Topics of a study that a brief names by itself: those of at least half of the pages, else the most common ones. */
export function commonTopics(study: StudyFacts | null): string[] {
  const topics = study?.topics ?? [];
  const common = topics.filter(({ share }) => share >= COMMON);
  return (common.length >= FEWEST_TOPICS ? common : topics.slice(0, FEWEST_TOPICS)).map(({ name }) => name);
}

/** Words that a post should have: what its brief wishes, else the band of the pages, else what the house wishes. */
export function wishedLength(
  { targetWords }: Pick<PostFields, 'targetWords'>,
  study: StudyFacts | null,
  otherwise: number,
): { from: number; to: number } {
  if (targetWords !== null) return { from: Math.round(targetWords * 0.9), to: Math.round(targetWords * 1.2) };
  if (study?.words) return { from: Math.round(study.words.lower), to: Math.round(study.words.upper) };
  return { from: Math.round(otherwise * 0.9), to: Math.round(otherwise * 1.6) };
}

/** The brief of a post out of its fields, its outline, its study and what was decided about the brief. */
export function briefOf(
  fields: PostFields,
  outline: readonly OutlineItem[],
  study: StudyFacts | null,
  choices: BriefChoices,
  bodyWords: number,
): Brief {
  const length = wishedLength(fields, study, bodyWords);
  const words = (length.from + length.to) / 2;
  const terms = (group: 'staple' | 'supporting') =>
    (study?.terms ?? [])
      .filter((term) => term.group === group)
      .map((term) => ({ form: term.form, ...termBand(term, words) }));
  const { title, keyword, supporting, goal, audience, tone, style, language, nextStep, points, questions } =
    fields;
  return {
    ...{ title, keyword, supporting, goal, audience, tone, style, language, nextStep, points, questions },
    length,
    topics: choices.topics ?? commonTopics(study),
    outline: outline.filter(({ text }) => text.trim()),
    terms: {
      staple: terms('staple'),
      supporting: terms('supporting').slice(0, SUPPORTING),
      heading: (study?.terms ?? []).filter(({ heading }) => heading).map(({ form }) => form),
    },
    figures: choices.figures,
    links: choices.links,
    avoid: choices.avoid,
    notes: choices.notes,
    parts: new Set(BRIEF_PARTS.filter((part) => !choices.left.includes(part))),
  };
}
