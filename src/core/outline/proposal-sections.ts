import { sentenceCase, type WordBases } from '../language/index.ts';
import { SAYS, saying, wantOf } from '../meaning/index.ts';
import type { Topic } from '../study/index.ts';
import { headingKind } from './heading-forms.ts';
import { asQuestion } from './merge.ts';
import { sameHeading, stemsOfText } from './outline-words.ts';
import type { Ground, ProposalInput } from './proposal.ts';

/** Sections of a proposal: one for so many words, between the fewest and the most. */
const WORDS_EACH = 170;
const FEWEST = 5;
const MOST = 9;
const USUAL = 7;
/** Topics that fewer pages have are taken where nothing better is left. */
const SELDOM = 0.15;
/** Questions below one section. */
const BELOW = 3;
/** So much of a question a section says below which it is put. */
const BELONGS = 0.75;

/** A section before it takes a shape. */
export interface Section {
  label: string;
  grounds: Ground[];
  /** Where it belongs, 0 (top) to 1. */
  position: number;
  below: { text: string; grounds: Ground[] }[];
  stems: ReadonlySet<string>;
}

/** A label less its number and marks. */
export const bareLabel = (text: string): string => sentenceCase(text.trim().replace(/[:.]+$/, ''));

export const isPoint = ({ grounds }: Section) => grounds[0].kind === 'point';

/** Sections that every shape is made from: points first, must-cover topics, common topics, one thing nobody says. */
export function sectionsOf(input: ProposalInput, variant: number, bases: WordBases): Section[] {
  const sections: Section[] = [];
  const subject = new Set(stemsOfText(input.query, bases));
  const ownStems = (text: string) => stemsOfText(text, bases).filter((stem) => !subject.has(stem));
  const topicGround = ({ name, pages }: Topic): Ground => ({ kind: 'topic', text: name, pages });
  const add = (section: Section) => {
    const known = sections.find(({ label }) => sameHeading(label, section.label, bases));
    if (known) known.grounds.push(...section.grounds);
    else sections.push(section);
  };
  const stemsOfTopic = (topic: Topic) =>
    new Set([...ownStems(topic.name), ...topic.stems.slice(0, 6).map(([stem]) => stem)]);
  const fromTopic = (topic: Topic): Section => ({
    label: bareLabel(topic.name),
    grounds: [topicGround(topic)],
    position: topic.position,
    below: [],
    stems: stemsOfTopic(topic),
  });
  const says = (text: string, stems: ReadonlySet<string>) =>
    saying(wantOf(text, subject, bases), (stem) => stems.has(stem)) >= SAYS;
  /** How far stems say what a question asks, 0-1; of several things that it asks for two must be met. */
  const far = (text: string, stems: ReadonlySet<string>): number => {
    const want = wantOf(text, subject, bases);
    const met = want.parts.filter(
      ({ stem, kin }) => stems.has(stem) || [...kin.keys()].some((other) => stems.has(other)),
    ).length;
    return met < Math.min(2, want.parts.length) ? 0 : saying(want, (stem) => stems.has(stem));
  };
  const met = new Set<string>();
  input.points.forEach((point, at) => {
    const own = new Set(ownStems(point));
    // The topic of the pages that the point is about lends its place and is not told a second time.
    const topic = input.topics.find(
      (each) =>
        !met.has(each.name) && (says(point, stemsOfTopic(each)) || (own.size > 0 && says(each.name, own))),
    );
    if (topic) met.add(topic.name);
    add({
      label: point,
      grounds: [{ kind: 'point', text: point, pages: [] }, ...(topic ? [topicGround(topic)] : [])],
      position: topic?.position ?? at / Math.max(1, input.points.length),
      below: [],
      stems: new Set([...own, ...(topic ? stemsOfTopic(topic) : [])]),
    });
  });
  for (const topic of input.topics)
    if (input.must.includes(topic.name) && !met.has(topic.name)) add(fromTopic(topic));
  const others = input.topics.filter(
    ({ name }) => !input.must.includes(name) && !met.has(name) && headingKind(name) !== 'clause',
  );
  const common = others.filter(({ share }) => share >= SELDOM);
  const free = common.length >= FEWEST ? common : others;
  const room = sectionCount(input) - sections.length - 1;
  // Each further variant begins with other topics and holds another number of them. What must be covered fills a short
  // post by itself: then one more is enough.
  const most = Math.min(Math.max(FEWEST - 1 - sections.length, room), free.length);
  const size =
    most < 1 ? Math.min(1, variant, free.length) : Math.max(1, most - (variant % Math.min(3, most)));
  const start =
    variant === 0 || free.length <= size ? variant % Math.max(1, free.length) : (variant * 2) % free.length;
  const turned = variant === 0 ? free : [...free.slice(start), ...free.slice(0, start)];
  for (const topic of turned.slice(0, size)) add(fromTopic(topic));
  // A phrase that people search for makes a heading where it holds the query; a question always does.
  const open = input.unsaid.filter(({ kind, text }) => {
    const there = stemsOfText(text, bases);
    const named = [...subject].filter((stem) => there.includes(stem)).length;
    return kind === 'question' || (kind === 'phrase' && named * 2 >= Math.max(1, subject.size));
  });
  const unsaid = [
    ...open.filter(({ kind }) => kind === 'question'),
    ...open.filter(({ kind }) => kind === 'phrase'),
  ][variant % Math.max(1, open.length)];
  if (unsaid)
    add({
      label:
        unsaid.kind === 'question' || headingKind(unsaid.text) === 'question'
          ? asQuestion(unsaid.text)
          : bareLabel(unsaid.text),
      grounds: [{ kind: 'unsaid', text: unsaid.text, pages: unsaid.pages }],
      position: 0.85,
      below: [],
      stems: new Set(ownStems(unsaid.text)),
    });
  placeQuestions(input, sections, far, bases);
  return sections.sort((a, b) => a.position - b.position);
}

/** Sections for the length in view. */
export const sectionCount = ({ words }: ProposalInput): number =>
  words === undefined ? USUAL : Math.min(MOST, Math.max(FEWEST, Math.round(words / WORDS_EACH)));

/** Questions go below the section that says what they ask; chosen ones first. */
function placeQuestions(
  input: ProposalInput,
  sections: readonly Section[],
  far: (text: string, stems: ReadonlySet<string>) => number,
  bases: WordBases,
): void {
  const pagesOf = new Map(input.asked.map(({ text, pages }) => [text, pages]));
  for (const text of questionsOf(input)) {
    const fitting = sections
      .filter(
        ({ stems, below, label }) =>
          below.length < BELOW &&
          far(text, stems) >= BELONGS &&
          !sameHeading(label, text, bases) &&
          !below.some((known) => sameHeading(known.text, text, bases)),
      )
      // What the heading itself says comes before what its sections speak of.
      .map((section) => ({
        section,
        near: far(text, section.stems) + far(text, new Set(stemsOfText(section.label, bases))),
      }));
    const best = fitting.reduce<(typeof fitting)[number] | null>(
      (known, next) => (known === null || next.near > known.near ? next : known),
      null,
    );
    best?.section.below.push({
      text: sentenceCase(asQuestion(text)),
      grounds: [{ kind: 'question', text, pages: pagesOf.get(text) ?? [] }],
    });
  }
}

/** All questions, those chosen for the post first. */
export function questionsOf({ questions, asked }: ProposalInput): string[] {
  const chosen = new Set(questions);
  return [...questions, ...asked.map(({ text }) => text).filter((text) => !chosen.has(text))];
}
