import { asHeading, sentenceCase, type WordBases } from '../language/index.ts';
import { asAsked, asOrder, doingOf, formalHeading, headingKind, whatIs, within } from './heading-forms.ts';
import { asQuestion } from './merge.ts';
import { sameHeading, stemsOfText } from './outline-words.ts';
import type { Ground, ProposalInput, ProposedItem, Shape } from './proposal.ts';
import { bareLabel, isPoint, questionsOf, type Section, sectionCount } from './proposal-sections.ts';

/** Doings and questions that a shape of them needs. */
const FEWEST_OF_KIND = 3;
const COMPARED = /\b(?:vs|versus|or|best|compared?|comparison|reviews?)\b/i;
const PRICED = /\b(?:costs?|prices?|money|buy|buying|budget)\b/i;
const LISTED = /\b(?:list|ideas|tips|checklist|examples|ways|things)\b/i;
export const BEGINNERS = /\b(?:beginner|novice|new|first|start)/i;
const TROUBLE =
  /\b(?:mistakes?|wrong|fail\w*|leak\w*|break\w*|broken|holes?|problems?|trouble|worn|flat|lost|forgot\w*|conflicts?|errors?|limits?|caveats?|pitfalls?|drawbacks?|risks?)\b/i;

/** Shapes that fit what is wanted, best first. */
export function fittingShapes(query: string, intent: string): Shape[] {
  if (/\b(?:fix|repair|mend|problem|error|fail|not working|broken|leak|stop)\w*\b/i.test(query))
    return ['steps', 'problem', 'guide', 'questions', 'list', 'comparison'];
  if (doingOf(query) !== null) return ['steps', 'guide', 'questions', 'problem', 'list', 'comparison'];
  if (COMPARED.test(query) || intent === 'commercial')
    return ['comparison', 'list', 'questions', 'guide', 'problem', 'steps'];
  if (LISTED.test(query)) return ['list', 'guide', 'questions', 'steps', 'problem', 'comparison'];
  if (intent === 'transactional') return ['list', 'questions', 'guide', 'comparison', 'steps', 'problem'];
  return ['guide', 'questions', 'steps', 'list', 'problem', 'comparison'];
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
const branch = (section: Section, text: string): ProposedItem[] => [
  heading(2, text, section.grounds, single(section)),
  ...children(section),
];

/** Steps in the order of doing; what is no doing is told before them. Null where the pages tell of too few doings. */
function steps(sections: readonly Section[], query: string): ProposedItem[] | null {
  const doings = sections.filter((section) => isPoint(section) || asOrder(section.label) !== null);
  if (doings.filter((section) => !isPoint(section)).length < FEWEST_OF_KIND) return null;
  const things = sections.filter((section) => !doings.includes(section));
  const doing = doingOf(query);
  const before = doing === null ? 'What to know first' : `Before you ${doing}`;
  let at = 0;
  return [
    ...(things.length === 0
      ? []
      : things.length === 1
        ? branch(things[0], things[0].label)
        : [
            heading(2, before, [], 'What a reader needs before the first step.'),
            ...things.map((section) => heading(3, section.label, section.grounds, single(section))),
          ]),
    ...doings.flatMap((section) => {
      if (isPoint(section)) return branch(section, section.label);
      at += 1;
      return branch(section, `Step ${at}: ${asOrder(section.label)}`);
    }),
  ];
}

/** Questions as headings in the order of their sections, with what is a point of the brief among them. Null where too few are asked. */
function questionsAndAnswers(
  input: ProposalInput,
  sections: readonly Section[],
  variant: number,
  bases: WordBases,
): ProposedItem[] | null {
  const pagesOf = new Map(input.asked.map(({ text, pages }) => [text, pages]));
  const placed = new Map(
    sections.flatMap(({ below, position }) => below.map(({ grounds }) => [grounds[0].text, position])),
  );
  const count = Math.max(FEWEST_OF_KIND, sectionCount(input) - (variant % 3));
  const all = questionsOf(input);
  const chosen = all.slice(0, input.questions.length);
  const rest = all.slice(input.questions.length);
  const start = rest.length === 0 ? 0 : (variant * 2) % rest.length;
  const asked = [...chosen, ...[...rest.slice(start), ...rest.slice(0, start)]]
    .slice(0, count)
    .map((text) => ({
      text: sentenceCase(asQuestion(text)),
      grounds: [
        { kind: 'question' as const, text, pages: pagesOf.get(text) ?? [] },
        ...sections
          .filter(({ below }) => below.some(({ grounds }) => grounds[0].text === text))
          .flatMap(({ grounds }) => grounds),
      ],
      position: placed.get(text) ?? 0.6,
    }));
  const told = ({ label, grounds, position }: Section, text = label) => ({ text, grounds, position });
  const points = sections.filter(isPoint);
  const others = sections.filter((section) => !isPoint(section));
  /** What the brief names, and what nobody says, stays whatever its grammar. */
  const kept = others.filter(({ grounds }) =>
    grounds.some(({ kind, text }) => kind === 'unsaid' || input.must.includes(text)),
  );
  const inWords = (section: Section) => {
    const text = asAsked(section.label);
    return told(section, text === null ? section.label : sentenceCase(text));
  };
  const items = [
    ...points.map((section) => told(section)),
    ...kept.map(inWords),
    ...asked,
    ...others.filter(({ label }) => asAsked(label) !== null).map(inWords),
  ];
  const different = items.filter(
    ({ text }, at) => items.findIndex((other) => sameHeading(other.text, text, bases)) === at,
  );
  if (different.filter(({ text }) => /\?$/.test(text)).length < FEWEST_OF_KIND) return null;
  const least = points.length + kept.length + input.questions.length;
  return different
    .slice(0, Math.max(count, least + FEWEST_OF_KIND))
    .sort((a, b) => a.position - b.position)
    .map(({ text, grounds }) => heading(2, text, grounds));
}

/** Whether a purchase is weighed: by the query, or because the pages speak of prices. */
const isWeighed = ({ query, intent, topics, asked }: ProposalInput): boolean =>
  COMPARED.test(query) ||
  intent === 'commercial' ||
  [...topics.map(({ name }) => name), ...asked.map(({ text }) => text)].some((text) => PRICED.test(text));

/** What is compared by one thing after another, for a query that compares or weighs a purchase; null for any other. */
function comparison(sections: readonly Section[], input: ProposalInput): ProposedItem[] | null {
  const { query } = input;
  if (doingOf(query) !== null || !isWeighed(input)) return null;
  const name = bareLabel(query.replace(/^(?:the )?best /i, ''));
  return [
    heading(
      2,
      `${name} at a glance`,
      [],
      'A table: what is compared in its rows, what counts in its columns.',
    ),
    ...sections.flatMap((section) => branch(section, criterion(section.label))),
    heading(2, 'Which one suits whom', [], 'One line for each kind of reader.'),
  ];
}

/** "Which size?" as what is compared by: "Size". */
const criterion = (label: string): string => {
  const asked = /^(?:which|what) ([\p{L} -]{3,30})\?$/iu.exec(label);
  return asked &&
    headingKind(asked[1]) === 'noun' &&
    !/\b(?:is|are|do|does|should|can|to|you|your)\b/i.test(asked[1])
    ? asHeading(asked[1])
    : label;
};

/** One item after another, for a query that asks for a list or for things to buy; null for any other. */
function list(sections: readonly Section[], { query, intent }: ProposalInput): ProposedItem[] | null {
  const asks =
    LISTED.test(query) ||
    ((intent === 'commercial' || intent === 'transactional') && doingOf(query) === null);
  if (!asks) return null;
  let at = 0;
  return sections.flatMap((section) => {
    if (isPoint(section)) return branch(section, section.label);
    at += 1;
    return branch(section, `${at}. ${criterion(section.label)}`);
  });
}

/** Trouble, then what helps. Null where the pages tell of no trouble or of nothing that helps. */
function problem(sections: readonly Section[], query: string): ProposedItem[] | null {
  const trouble = sections.filter(({ label, grounds }) => TROUBLE.test(label) && grounds[0].kind !== 'point');
  const rest = sections.filter((section) => !trouble.includes(section));
  const isTrouble = TROUBLE.test(query) || /\b(?:fix|repair|mend)\b/i.test(query);
  if (trouble.length < (isTrouble ? 1 : 2) || rest.length < 2) return null;
  const part = (title: string, own: readonly Section[], note: string) =>
    own.length < 2
      ? own.flatMap((section) => branch(section, section.label))
      : [
          heading(2, title, [], note),
          ...own.map((section) => heading(3, section.label, section.grounds, single(section))),
        ];
  const doing = doingOf(query);
  return [
    ...part(
      doing === null ? `What goes wrong with ${within(query)}` : 'What goes wrong',
      trouble,
      'The trouble as a reader meets it.',
    ),
    ...rest.flatMap((section) => branch(section, section.label)),
    heading(2, 'When to ask for help', [], 'Where doing it yourself ends.'),
  ];
}

const guide = (sections: readonly Section[]): ProposedItem[] =>
  sections.flatMap((section) => branch(section, section.label));

const OPENS = 'Opens with the phrase that readers search for.';

/** A heading that holds the query's phrase, for plans in which none does. */
function opening(query: string, intent: string): string {
  const doing = doingOf(query);
  if (doing !== null) return `What it takes to ${doing}`;
  const name = within(query.trim());
  if (/\b(?:list|checklist|ideas|tips)$/i.test(name)) return `The ${name} at a glance`;
  if (/\b(?:vs|versus|or|best)\b/i.test(name) || headingKind(name) === 'question') return asHeading(name);
  if (intent === 'commercial' || intent === 'transactional')
    return `Who needs ${/[^su]s$/.test(name) ? '' : /^[aeiou]/i.test(name) ? 'an ' : 'a '}${name}`;
  return whatIs(name) ?? asHeading(name);
}

/** The sections in a shape; null where they do not give it. Points keep their own words. */
export function shaped(
  shape: Shape,
  input: ProposalInput,
  sections: readonly Section[],
  variant: number,
  bases: WordBases,
): ProposedItem[] | null {
  const made = {
    guide: () => guide(sections),
    steps: () => steps(sections, input.query),
    questions: () => questionsAndAnswers(input, sections, variant, bases),
    comparison: () => comparison(sections, input),
    list: () => list(sections, input),
    problem: () => problem(sections, input.query),
  }[shape]();
  if (made === null || made.length === 0) return null;
  const wanted = stemsOfText(input.query, bases);
  const named = made.some(({ text }) => {
    const there = new Set(stemsOfText(text, bases));
    return wanted.length > 0 && wanted.every((stem) => there.has(stem));
  });
  const needsOpening =
    !named ||
    (shape === 'guide' && BEGINNERS.test(input.audience ?? '') && !/^what (?:is|are)\b/i.test(made[0].text));
  const items = needsOpening ? [heading(2, opening(input.query, input.intent), [], OPENS), ...made] : made;
  const points = new Set(input.points);
  return /\bformal\b/i.test(input.tone ?? '') && !/\binformal\b/i.test(input.tone ?? '')
    ? items.map((item) => (points.has(item.text) ? item : { ...item, text: formalHeading(item.text) }))
    : items;
}
