import { COVERED } from '../criteria/index.ts';
import type { WordBases } from '../language/index.ts';
import type { Topic } from '../study/index.ts';
import type { Outline } from './outline.ts';
import { topicCoverOf } from './outline-coverage.ts';
import { branchWords, stemsOfText } from './outline-words.ts';

/** Words that the introduction takes, as a share of the whole. */
const INTRO = 0.08;
/** Budgets are told in tens. */
const STEP = 10;
/** How much a heading weighs that no topic of the pages speaks of. */
const PLAIN = 1;

/**
 * Words for each heading's own text, by its id, and for the introduction: the whole shared out by how many pages have
 * the topics that a heading covers and how long they are there. The parts add up to the whole (rounded to tens).
 */
export function wordBudget(
  outline: Outline,
  total: number,
  { topics, query }: { topics: readonly Topic[]; query: string },
  bases: WordBases,
): { intro: number; sections: Map<string, number> } {
  const round = (words: number) => Math.round(words / STEP) * STEP;
  const whole = round(total);
  const named = outline.filter(({ text }) => text.trim());
  if (named.length === 0) return { intro: whole, sections: new Map() };
  const intro = round(whole * INTRO);
  const subject = new Set(stemsOfText(query, bases));
  const mean = topics.length ? topics.reduce((sum, { words }) => sum + words, 0) / topics.length : 0;
  const branches = branchWords(named, bases);
  const weights = branches.map((branch) => {
    const own = topics.filter((topic) => topicCoverOf(branch, topic, subject, bases) >= COVERED);
    if (own.length === 0 || mean === 0) return PLAIN;
    const best = own.reduce((most, topic) => Math.max(most, (0.5 + topic.share) * (topic.words / mean)), 0);
    return Math.min(3, Math.max(0.5, best));
  });
  // A heading with headings below it opens them; they carry its text.
  const shares = named.map(({ level }, at) =>
    named[at + 1] !== undefined && named[at + 1].level > level ? weights[at] * 0.4 : weights[at],
  );
  const sum = shares.reduce((all, share) => all + share, 0);
  const sections = new Map<string, number>();
  let given = 0;
  let carried = 0;
  named.forEach(({ id }, at) => {
    carried += ((whole - intro) * shares[at]) / sum;
    const words = at === named.length - 1 ? whole - intro - given : Math.max(0, round(carried) - given);
    sections.set(id, words);
    given += words;
  });
  return { intro, sections };
}

/** A section of fewer words says too little to stand under a heading of its own. */
const THIN = 60;
const NAMED = 3;

/** What a budget shows about a plan: sections that would get too few words, a plan that is too big for its length. */
export function budgetRemarks(
  outline: Outline,
  total: number,
  sections: ReadonlyMap<string, number>,
): { id: string | null; text: string }[] {
  const thin = outline.filter(({ id, text }, at) => {
    const opens = outline[at + 1] !== undefined && outline[at + 1].level > outline[at].level;
    return text.trim() !== '' && !opens && (sections.get(id) ?? THIN) < THIN;
  });
  if (thin.length === 0) return [];
  const own = outline.filter(({ text }) => text.trim()).length;
  if (thin.length * 2 > own)
    return [
      {
        id: null,
        text: `${own} headings are too many for ${total.toLocaleString('en')} words: most would get fewer than ${THIN}. Take some out, or plan for a longer post.`,
      },
    ];
  return thin.slice(0, NAMED).map(({ id, text }) => ({
    id,
    text: `"${text.replace(/\s+/g, ' ').trim()}" gets about ${sections.get(id)} words. Fewer than ${THIN} are hardly a section: join it to another, or plan for a longer post.`,
  }));
}
