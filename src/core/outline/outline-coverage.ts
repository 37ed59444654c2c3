import { COMMON, COVERED, type StudyTerm } from '../criteria/index.ts';
import { isFaqHeading } from '../draft/index.ts';
import type { WordBases } from '../language/index.ts';
import { SAYS, saying, wantOf } from '../meaning/index.ts';
import type { StudyQuestion, Topic } from '../study/index.ts';
import { branchLength, type Outline } from './outline.ts';
import { type BranchWords, branchWords, sameHeading, stemsOfText } from './outline-words.ts';

/** What of a study is to be covered. */
export interface ToCover {
  query: string;
  topics: readonly Topic[];
  /** Names of topics that must be covered; those that half of the pages have where none are named. */
  must: readonly string[];
  /** Questions that the post is to answer. */
  questions: readonly string[];
  terms: readonly Pick<StudyTerm, 'key' | 'form' | 'group'>[];
}

/** One thing to cover, and the item that covers it. */
export interface CoveredItem {
  text: string;
  /** Id of the smallest branch that covers it; null: none does. */
  by: string | null;
}

/** How much of what is to be covered an outline already answers. */
export interface OutlineCoverage {
  topics: CoveredItem[];
  questions: CoveredItem[];
  terms: CoveredItem[];
  /** Share of the topics and questions, 0-1, each by how many pages have it; null: nothing is to be covered. Terms are shown apart. */
  share: number | null;
}

/** Topics that must be covered. */
export const mustTopics = ({ topics, must }: Pick<ToCover, 'topics' | 'must'>): Topic[] =>
  topics.filter(({ name, share }) => (must.length > 0 ? must.includes(name) : share >= COMMON));

/** How far a branch covers a topic, 0-1: the part of its stems' weight that stands there, or all words of its name. */
export function topicCoverOf(
  branch: BranchWords,
  topic: Topic,
  subject: ReadonlySet<string>,
  bases: WordBases,
): number {
  const want = wantOf(topic.name, subject, bases);
  if (!want.bare && saying(want, (stem) => branch.stems.has(stem)) >= SAYS) return 1;
  return topic.stems.reduce((sum, [stem, weight]) => sum + (branch.stems.has(stem) ? weight : 0), 0);
}

/** Whether some words of a branch answer a question. */
const answers = (
  branch: BranchWords,
  question: string,
  subject: ReadonlySet<string>,
  bases: WordBases,
): boolean => saying(wantOf(question, subject, bases), (stem) => branch.stems.has(stem)) >= SAYS;

/** What a question weighs beside a topic's share of the pages, and the least that a topic weighs. */
const QUESTION = 0.5;
const LEAST = 0.1;

/** The smallest branch for which something holds. */
function smallest(
  outline: Outline,
  branches: readonly BranchWords[],
  holds: (branch: BranchWords) => boolean,
): string | null {
  let best: BranchWords | null = null;
  for (const branch of branches) {
    if (!holds(branch)) continue;
    if (!best || branchLength(outline, branch.at) < branchLength(outline, best.at)) best = branch;
  }
  return best?.id ?? null;
}

/** Which must-cover topics, questions and staple terms an outline answers, by meaning, with the item that does. */
export function outlineCoverage(outline: Outline, wanted: ToCover, bases: WordBases): OutlineCoverage {
  const branches = branchWords(outline, bases);
  const subject = new Set(stemsOfText(wanted.query, bases));
  const whole = new Set(branches.flatMap(({ stems }) => [...stems]));
  const topics = mustTopics(wanted).map((topic) => ({
    text: topic.name,
    by: smallest(outline, branches, (branch) => topicCoverOf(branch, topic, subject, bases) >= COVERED),
  }));
  const questions = wanted.questions.map((text) => ({
    text,
    by: smallest(outline, branches, (branch) => answers(branch, text, subject, bases)),
  }));
  const terms = wanted.terms
    .filter(({ group }) => group === 'staple')
    .map(({ form }) => {
      const stems = stemsOfText(form, bases);
      const there = stems.length > 0 && stems.every((stem) => whole.has(stem));
      return {
        text: form,
        by: there
          ? smallest(outline, branches, (branch) => stems.every((stem) => branch.stems.has(stem)))
          : null,
      };
    });
  // A question weighs as a topic that half of the pages have: who chose it wants it answered.
  const weights = [
    ...mustTopics(wanted).map(({ share }) => Math.max(LEAST, share)),
    ...questions.map(() => QUESTION),
  ];
  const wantedInAll = weights.reduce((sum, weight) => sum + weight, 0);
  const covered = [...topics, ...questions].reduce(
    (sum, { by }, at) => sum + (by === null ? 0 : weights[at]),
    0,
  );
  return { topics, questions, terms, share: wantedInAll === 0 ? null : covered / wantedInAll };
}

/** Something that the pages have and an outline lacks, with the best place for it. */
export interface Gap {
  kind: 'topic' | 'question';
  text: string;
  /** Share of the pages that have or answer it, 0-1. */
  share: number;
  note: string;
  /** Id of the item after whose branch it belongs; null: at the beginning. */
  after: string | null;
  /** True: below that item, as its child. */
  below: boolean;
  /** Where, in words. */
  place: string;
}

/** So near to a heading, a gap belongs below it. */
const NEAR = 0.3;
/** Topics that so few pages have are no gap. */
const FEWEST = 0.15;

/** Topics and questions that an outline lacks: those of most pages first, each with the best place to put it. */
export function outlineGaps(
  outline: Outline,
  wanted: ToCover & { asked: readonly StudyQuestion[] },
  bases: WordBases,
): Gap[] {
  const branches = branchWords(outline, bases);
  const subject = new Set(stemsOfText(wanted.query, bases));
  const tops = branches.filter(({ at }) => outline[at].level === 2);
  /** Where each top branch stands on the pages: by the topics that it covers. */
  const positions = tops.map((branch) => {
    const own = wanted.topics.filter((topic) => topicCoverOf(branch, topic, subject, bases) >= COVERED);
    return own.length > 0 ? own.reduce((sum, { position }) => sum + position, 0) / own.length : null;
  });
  const placeOf = (
    nearness: (branch: BranchWords) => number,
    position: number | null,
  ): Pick<Gap, 'after' | 'below' | 'place'> => {
    let best: BranchWords | null = null;
    let value = NEAR;
    for (const branch of tops) {
      const near = nearness(branch);
      if (near >= value) {
        value = near;
        best = branch;
      }
    }
    if (best) return { after: best.id, below: true, place: `below "${outline[best.at].text}"` };
    if (position !== null) {
      const later = positions.findIndex((own) => own !== null && own > position);
      if (later === 0) return { after: null, below: false, place: 'at the beginning' };
      if (later > 0) {
        const before = tops[later - 1];
        return { after: before.id, below: false, place: `after "${outline[before.at].text}"` };
      }
    }
    const last = tops.findLast(({ at }) => !isFaqHeading(outline[at].text));
    return last
      ? { after: last.id, below: false, place: `after "${outline[last.at].text}"` }
      : { after: null, below: false, place: 'at the beginning' };
  };
  const must = new Set(mustTopics(wanted).map(({ name }) => name));
  const gaps: Gap[] = [];
  for (const topic of wanted.topics) {
    if (topic.share < FEWEST && !must.has(topic.name)) continue;
    const covers = branches.map((branch) => topicCoverOf(branch, topic, subject, bases));
    if (covers.some((cover) => cover >= COVERED)) continue;
    gaps.push({
      kind: 'topic',
      text: topic.name,
      share: topic.share,
      note: `From the study: ${topic.pages.length} pages have it`,
      ...placeOf((branch) => covers[branch.at], topic.position),
    });
  }
  const shares = new Map(wanted.asked.map(({ text, share }) => [text, share]));
  for (const text of wanted.questions) {
    if (branches.some((branch) => answers(branch, text, subject, bases))) continue;
    const own = stemsOfText(text, bases).filter((stem) => !subject.has(stem));
    // A topic that only says the question without its mark is no gap beside it.
    const twin = gaps.findIndex((gap) => gap.kind === 'topic' && sameHeading(gap.text, text, bases));
    if (twin >= 0) gaps.splice(twin, 1);
    gaps.push({
      kind: 'question',
      text,
      share: shares.get(text) ?? 0,
      note: 'From a question: chosen to be answered',
      ...placeOf(
        (branch) => (own.length === 0 ? 0 : own.filter((stem) => branch.stems.has(stem)).length / own.length),
        null,
      ),
    });
  }
  return gaps.sort((a, b) => b.share - a.share || (a.text < b.text ? -1 : 1));
}
