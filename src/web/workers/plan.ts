import {
  addFaq,
  budgetRemarks,
  combine,
  type Gap,
  mergeGaps,
  type OutlineCheck,
  type OutlineCoverage,
  type OutlineItem,
  openQuestions,
  outlineChecks,
  outlineCoverage,
  outlineGaps,
  type Planned,
  type Proposal,
  proposeOutlines,
  wordBudget,
} from '../../core/outline/index.ts';
import { intentOf } from '../../core/research/index.ts';
import type { Study } from '../../core/study/index.ts';
import { basesIn, studyFor } from './study.ts';

const nextId = () => crypto.randomUUID();

/** What a plan is held against. */
export interface PlanWish {
  /** Null: no pages were studied. */
  studyId: string | null;
  query: string;
  keyword: string;
  points: string[];
  /** Topics that the brief names. */
  must: string[];
  questions: string[];
  /** Words of the whole post. */
  words: number;
  audience: string[];
  tone: string;
  /** Characters that a heading may have. */
  characters: number;
}

/** A plan beside its study. */
export interface PlanView {
  coverage: OutlineCoverage;
  gaps: Gap[];
  checks: OutlineCheck[];
  budget: { intro: number; sections: Record<string, number> };
  /** Questions that no heading asks. */
  open: string[];
}

let known: { key: string; study: Study | null } | null = null;

/** The study is asked for with every key; it is looked up anew only when it was changed. */
async function studyOf(id: string | null, stamp: string): Promise<Study | null> {
  const key = `${id} ${stamp}`;
  if (known?.key !== key) known = { key, study: id === null ? null : await studyFor(id) };
  return known.study;
}

/** How words are counted for a study; English without one. */
const basesFor = (study: Study | null | undefined) => basesIn(study?.language ?? 'en');
/** The same for the study that was asked for last. */
const lastBases = () => basesFor(known?.study);

const wanted = (wish: PlanWish, study: Study | null) => ({
  query: wish.query,
  topics: study?.topics ?? [],
  must: wish.must,
  questions: wish.questions,
  terms: study?.terms ?? [],
  asked: study?.questions ?? [],
});

/** What is worked out of an outline; it runs in the worker that holds the studies. */
export const plans = {
  /** Holds an outline against what its post is to cover. `stamp` tells when the study was changed. */
  async plan(outline: OutlineItem[], wish: PlanWish, stamp: string): Promise<PlanView> {
    const study = await studyOf(wish.studyId, stamp);
    const cover = wanted(wish, study);
    const bases = basesFor(study);
    const { intro, sections } = wordBudget(outline, wish.words, cover, bases);
    return {
      coverage: outlineCoverage(outline, cover, bases),
      gaps: outlineGaps(outline, cover, bases),
      checks: [
        ...outlineChecks(outline, wish, bases.vocabulary),
        ...budgetRemarks(outline, wish.words, sections),
      ],
      budget: { intro, sections: Object.fromEntries(sections) },
      open: openQuestions(
        outline.map(({ text }) => text),
        cover.asked,
        wish.questions,
        bases,
      ),
    };
  },

  /** Proposals that differ from all before (by their keys). */
  async propose(wish: PlanWish, count: number, before: string[], stamp: string): Promise<Proposal[]> {
    const study = await studyOf(wish.studyId, stamp);
    const { intent } = intentOf({ phrase: wish.query, found: null });
    return proposeOutlines(
      {
        query: wish.query,
        intent,
        points: wish.points,
        must: wish.must,
        questions: wish.questions,
        topics: study?.topics ?? [],
        asked: study?.questions ?? [],
        unsaid: study?.unsaid ?? [],
        words: wish.words,
        audience: wish.audience.join(', '),
        tone: wish.tone,
      },
      count,
      new Set(before),
      basesFor(study),
    );
  },

  merge: (outline: OutlineItem[], gaps: Gap[]): OutlineItem[] => [
    ...mergeGaps(outline, gaps, lastBases(), nextId),
  ],
  combine: (outline: OutlineItem[], added: Planned[]): OutlineItem[] => [
    ...combine(outline, added, lastBases(), nextId),
  ],
  faq: (outline: OutlineItem[], questions: string[]): OutlineItem[] => [
    ...addFaq(outline, questions, lastBases(), nextId),
  ],
};

export type Plans = typeof plans;
