import { asHeading, isMostlyVerb, type WordBases } from '../language/index.ts';
import type { StudyQuestion, Topic, Unsaid } from '../study/index.ts';
import { asQuestion, sameHeading } from './merge.ts';
import { stemsOfText } from './outline-words.ts';

/** Shapes that an outline can take. */
export const SHAPES = ['steps', 'questions', 'comparison', 'list', 'problem'] as const;
export type Shape = (typeof SHAPES)[number];
export const SHAPE_NAMES: Record<Shape, string> = {
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
}

/** Sections of a proposal, and the fewest beside those of main points and must-cover topics. */
const SECTIONS = 8;
const FEWEST_FREE = 3;
/** Topics that fewer pages have are taken where nothing better is left. */
const SELDOM = 0.15;
/** Questions below one section. */
const BELOW = 2;
/** How many further choices of topics are tried for each shape. */
const VARIANTS = 8;

/** Shapes that fit what is wanted, best first. */
export function fittingShapes(query: string, intent: string): Shape[] {
  if (/^how (?:to|do|can)\b/i.test(query)) return ['steps', 'problem', 'questions', 'list', 'comparison'];
  if (/\b(?:vs|versus|or|best|compared?)\b/i.test(query) || intent === 'commercial')
    return ['comparison', 'list', 'questions', 'problem', 'steps'];
  if (intent === 'transactional') return ['list', 'questions', 'comparison', 'steps', 'problem'];
  if (/\b(?:list|ideas|tips|checklist)\b/i.test(query))
    return ['list', 'steps', 'questions', 'problem', 'comparison'];
  return ['questions', 'steps', 'list', 'problem', 'comparison'];
}

/** A section before it takes a shape. */
interface Section {
  label: string;
  grounds: Ground[];
  /** Where it belongs, 0 (top) to 1. */
  position: number;
  below: { text: string; grounds: Ground[] }[];
  stems: ReadonlySet<string>;
}

const TROUBLE =
  /\b(?:mistake|wrong|fail|leak|break|broken|hole|problem|trouble|worn|flat|lost|wet|forgot\w*|avoid|never|not)\w*\b/i;
const REMEDY =
  /\b(?:how to|mend|repair|fix|patch|care|check|prevent|choose|pack|plan|keep|clean|replace|look after)\w*\b/i;

/** A label as it stands within other words: without its number, its question mark and "How to". */
const bareLabel = (text: string): string => {
  const bare = text
    .trim()
    .replace(/[?:.]+$/, '')
    .replace(/^how (?:to|do (?:i|you|we)|can (?:i|you|we))\s+/i, '');
  return asHeading(bare);
};

const OPENS_QUESTION = /^(?:how|what|which|who|why|when|where|can|do|does|is|are|should)\b/i;
/** Headings in which a page speaks of itself say nothing about the subject. */
const OF_ITSELF = /\b(?:we|our|us|i|my|me)\b/i;

/** A label as a question. */
function asked(label: string): string {
  if (/\?$/.test(label)) return label;
  if (OPENS_QUESTION.test(label)) return `${label}?`;
  const bare = bareLabel(label);
  const low = /^[A-Z]{2}/.test(bare) ? bare : bare.charAt(0).toLowerCase() + bare.slice(1);
  return isMostlyVerb(low.split(' ')[0]) ? `How do you ${low}?` : `What about ${low}?`;
}

/** Capital letters only where a sentence has them: headings of others are often written in capitals. */
const sentenceCase = (text: string): string => {
  const words = text.split(' ');
  const capitals = words.slice(1).filter((word) => /^[A-Z][a-z]/.test(word)).length;
  if (words.length < 3 || capitals < (words.length - 1) * 0.6) return text;
  return words
    .map((word, at) => (at > 0 && /^[A-Z][a-z]+\W*$/.test(word) ? word.toLowerCase() : word))
    .join(' ');
};

/** Sections that every shape is made from: points first, must-cover topics, common topics, one thing nobody says. */
function sectionsOf(input: ProposalInput, variant: number, bases: WordBases): Section[] {
  const sections: Section[] = [];
  const subject = new Set(stemsOfText(input.query, bases));
  const ownStems = (text: string) => stemsOfText(text, bases).filter((stem) => !subject.has(stem));
  const topicGround = ({ name, pages }: Topic): Ground => ({ kind: 'topic', text: name, pages });
  const add = (section: Section) => {
    const known = sections.find(({ label }) => sameHeading(label, section.label, bases));
    if (known) known.grounds.push(...section.grounds);
    else sections.push(section);
  };
  const fromTopic = (topic: Topic): Section => ({
    label: asHeading(sentenceCase(topic.name)),
    grounds: [topicGround(topic)],
    position: topic.position,
    below: [],
    stems: new Set([...ownStems(topic.name), ...topic.stems.slice(0, 6).map(([stem]) => stem)]),
  });
  input.points.forEach((point, at) => {
    const own = ownStems(point);
    // A topic of the pages that says the same lends its place.
    const topic = input.topics.find(({ stems }) => {
      const held = stems.reduce((sum, [stem, weight]) => sum + (own.includes(stem) ? weight : 0), 0);
      return held >= 0.4;
    });
    add({
      label: point,
      grounds: [{ kind: 'point', text: point, pages: [] }, ...(topic ? [topicGround(topic)] : [])],
      position: topic?.position ?? at / Math.max(1, input.points.length),
      below: [],
      stems: new Set(own),
    });
  });
  const taken = new Set(
    sections.flatMap(({ grounds }) => grounds.filter(({ kind }) => kind === 'topic').map(({ text }) => text)),
  );
  for (const topic of input.topics)
    if (input.must.includes(topic.name) && !taken.has(topic.name)) add(fromTopic(topic));
  const others = input.topics.filter(
    ({ name }) => !input.must.includes(name) && !taken.has(name) && !OF_ITSELF.test(name),
  );
  const common = others.filter(({ share }) => share >= SELDOM);
  const free = common.length >= FEWEST_FREE ? common : others;
  // Each further variant begins with other topics and holds another number of them.
  const most = Math.min(Math.max(FEWEST_FREE, SECTIONS - sections.length), free.length);
  const size = Math.max(1, most - (variant % Math.max(1, Math.min(3, most))));
  const start = variant === 0 || free.length === 0 ? 0 : (variant * 2) % free.length;
  for (const topic of [...free.slice(start), ...free.slice(0, start)].slice(0, size)) add(fromTopic(topic));
  const unsaid = input.unsaid.filter(({ kind }) => kind !== 'topic')[
    variant % Math.max(1, input.unsaid.length)
  ];
  if (unsaid)
    add({
      label:
        unsaid.kind === 'question' || OPENS_QUESTION.test(unsaid.text)
          ? asQuestion(unsaid.text)
          : bareLabel(unsaid.text),
      grounds: [{ kind: 'unsaid', text: unsaid.text, pages: unsaid.pages }],
      position: 0.85,
      below: [],
      stems: new Set(ownStems(unsaid.text)),
    });
  placeQuestions(input, sections, ownStems, bases);
  return sections.sort((a, b) => a.position - b.position);
}

/** Questions go below the section that shares most of their words; chosen ones first. */
function placeQuestions(
  input: ProposalInput,
  sections: readonly Section[],
  ownStems: (text: string) => string[],
  bases: WordBases,
): void {
  const chosen = new Set(input.questions);
  const pagesOf = new Map(input.asked.map(({ text, pages }) => [text, pages]));
  const all = [
    ...input.questions,
    ...input.asked.map(({ text }) => text).filter((text) => !chosen.has(text)),
  ];
  for (const text of all) {
    const own = ownStems(text);
    if (own.length === 0) continue;
    let best: Section | null = null;
    let most = 0.5;
    for (const section of sections) {
      const share = own.filter((stem) => section.stems.has(stem)).length / own.length;
      if (share > most) {
        most = share;
        best = section;
      }
    }
    if (!best || best.below.length >= BELOW || sameHeading(best.label, text, bases)) continue;
    if (best.below.some((known) => sameHeading(known.text, text, bases))) continue;
    best.below.push({
      text: sentenceCase(asQuestion(text)),
      grounds: [{ kind: 'question', text, pages: pagesOf.get(text) ?? [] }],
    });
  }
}

const heading = (level: number, text: string, grounds: Ground[], note = ''): ProposedItem => ({
  level,
  text,
  note,
  grounds,
});
const children = ({ below }: Section): ProposedItem[] =>
  // A single heading below another parts nothing.
  below.length < 2 ? [] : below.map(({ text, grounds }) => heading(3, text, grounds));
const single = ({ below }: Section): string => (below.length === 1 ? `Answer: ${below[0].text}` : '');

/** The sections in a shape. Points keep their own words. */
function shaped(shape: Shape, sections: readonly Section[], query: string): ProposedItem[] {
  const isPoint = ({ grounds }: Section) => grounds[0].kind === 'point';
  switch (shape) {
    case 'steps':
      return sections.flatMap((section, at) => [
        heading(
          2,
          `Step ${at + 1}: ${isPoint(section) ? section.label : bareLabel(section.label)}`,
          section.grounds,
          single(section),
        ),
        ...children(section),
      ]);
    case 'questions':
      return sections.flatMap((section) => [
        heading(
          2,
          isPoint(section)
            ? section.label
            : /\?$/.test(section.label)
              ? section.label
              : (section.below[0]?.text ?? asked(section.label)),
          [...section.grounds, ...(section.below[0]?.grounds ?? [])],
        ),
        ...(section.below.length > 2
          ? section.below.slice(1).map(({ text, grounds }) => heading(3, text, grounds))
          : []),
      ]);
    case 'list':
      return sections.flatMap((section, at) => [
        heading(
          2,
          `${at + 1}. ${isPoint(section) ? section.label : bareLabel(section.label)}`,
          section.grounds,
          single(section),
        ),
        ...children(section),
      ]);
    case 'comparison':
      return [
        heading(
          2,
          `${bareLabel(query)} at a glance`,
          [],
          'A table: what is compared in its rows, what counts in its columns.',
        ),
        ...sections.flatMap((section) => [
          heading(
            2,
            isPoint(section) ? section.label : bareLabel(section.label),
            section.grounds,
            single(section),
          ),
          ...children(section),
        ]),
        heading(2, 'Which one suits whom', [], 'One line for each kind of reader.'),
      ];
    case 'problem': {
      const trouble = sections.filter(({ label }) => TROUBLE.test(label) && !REMEDY.test(label));
      const rest = sections.filter((section) => !trouble.includes(section));
      const below = (own: readonly Section[]) =>
        own.length < 2
          ? own.flatMap((section) => [
              heading(2, section.label, section.grounds, single(section)),
              ...children(section),
            ])
          : null;
      const part = (title: string, own: readonly Section[], note: string) =>
        own.length === 0
          ? [heading(2, title, [], note)]
          : (below(own) ?? [
              heading(2, title, [], note),
              ...own.map((section) => heading(3, section.label, section.grounds, single(section))),
            ]);
      return [
        ...part(`What goes wrong with ${query}`, trouble, 'The trouble as a reader meets it.'),
        ...part('What helps', rest, ''),
        heading(2, 'When to ask for help', [], 'Where doing it yourself ends.'),
      ];
    }
  }
}

/** Headings that say the same, whatever their number, stand once; what was below a double stays. */
function withoutDoubles(items: readonly ProposedItem[], bases: WordBases): ProposedItem[] {
  const bare = (text: string) => text.replace(/^(?:Step )?\d+[.:] /, '');
  return items.filter(
    ({ text }, at) => items.findIndex((other) => sameHeading(bare(other.text), bare(text), bases)) === at,
  );
}

/** What tells one proposal from another: its headings in order. */
export const proposalKey = (items: readonly Pick<ProposedItem, 'text'>[]): string =>
  items.map(({ text }) => text.toLowerCase().trim()).join('\n');

/**
 * Proposes outlines in differing shapes, those that fit the intent first; none that was made before (by its key). Every
 * main point is kept. Fewer than wished where nothing further differs; none where there is nothing to build on.
 */
export function proposeOutlines(
  input: ProposalInput,
  count: number,
  before: ReadonlySet<string>,
  bases: WordBases,
): Proposal[] {
  if (input.points.length + input.topics.length + input.questions.length + input.asked.length === 0)
    return [];
  const known = new Set(before);
  const out: Proposal[] = [];
  const shapes = fittingShapes(input.query, input.intent);
  for (let variant = 0; variant < VARIANTS && out.length < count; variant++) {
    const sections = sectionsOf(input, variant, bases);
    for (const shape of shapes) {
      if (out.length >= count) break;
      const items = withoutDoubles(shaped(shape, sections, input.query), bases);
      const key = proposalKey(items);
      if (items.length === 0 || known.has(key)) continue;
      known.add(key);
      out.push({ shape, items });
    }
  }
  return out;
}

/** Questions that a proposal or outline could answer at its end: those not met in it, most searched first. */
export function openQuestions(
  headings: readonly string[],
  asked: readonly StudyQuestion[],
  chosen: readonly string[],
  bases: WordBases,
): string[] {
  const all = [...chosen, ...asked.map(({ text }) => text).filter((text) => !chosen.includes(text))];
  return all.filter((text) => !headings.some((known) => sameHeading(known, text, bases)));
}
