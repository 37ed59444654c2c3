import { asAsked } from '../../outline/index.ts';
import {
  centralSentences,
  type Known,
  type KnownTopic,
  type Quoted,
  subjectOfPhrase,
  subjectOfPlace,
} from '../known/index.ts';
import { type ComposeOrder, entriesOf, fieldValue } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import type { Composed } from './composed.ts';
import { figuresOf, ownStems, saidOf } from './said-of.ts';
import {
  asTyped,
  figureLine,
  inside,
  inWords,
  listed,
  ofPages,
  opening,
  quotation,
  rotated,
  words,
} from './wording.ts';

const NOTES = 'Notes to write from: the quotations are other people’s words, each with its page.';

/** Quotations until they make up so many words. */
function upTo(quoted: readonly string[], wished: number): string[] {
  const out: string[] = [];
  let sum = 0;
  for (const one of quoted) {
    if (out.length > 0 && sum + words(one) > wished) break;
    out.push(one);
    sum += words(one);
  }
  return out;
}

const isFresh = (text: string, before: readonly string[]) =>
  !before.some((earlier) => earlier.includes(text.slice(0, 60)));

const ownLine = (own: Quoted) => `Your own post says: ${quotation(own).slice(2)}`;

/** What the pages, the figures and the blog say of something, as notes. */
function notesOn(text: string, { known, words: wished, before, seed }: ComposeOrder): string[] {
  const { topic, said, own } = saidOf(text, known);
  const fresh = said.filter((one) => isFresh(one.text, before));
  const figures = figuresOf(text, known, 2).filter(
    (one) => isFresh(one.text, before) && !fresh.some((other) => other.text === one.text),
  );
  const quotes = upTo(rotated(fresh, seed).map(quotation), Math.max(60, (wished ?? 150) * 0.8));
  const parts: string[] = [];
  if (topic && known.study)
    parts.push(
      `${ofPages(topic.pages, known.study.pages)} ${topic.pages === 1 ? 'has' : 'have'} a section on this.`,
    );
  parts.push(...quotes);
  if (figures.length > 0)
    parts.push(
      `${figures.length === 1 ? 'A figure' : 'Figures'} that can be cited:`,
      figures.map(figureLine).join('\n'),
    );
  parts.push(
    ...own
      .filter((one) => isFresh(one.text, before))
      .slice(0, 1)
      .map(ownLine),
  );
  return parts;
}

/** A section: what the pages say of its heading, as notes to be written from. */
export function composeSection(order: ComposeOrder): Composed {
  const heading = fieldValue(order.values, 'heading');
  const own = fieldValue(order.values, 'notes');
  const closely = fieldValue(order.values, 'closeness').startsWith('only');
  const notes = closely ? [] : notesOn(heading, order);
  const planned = own === '' ? [] : [`Planned: ${own.replace(/\s+/g, ' ')}`];
  const parts = [...planned, ...notes];
  if (parts.length === 0)
    return {
      text: '',
      note: `Nothing that was studied speaks of “${heading}”, and no post of the blog does. Study pages for it, note what you know in the outline, or ask somebody who does it.`,
    };
  return { text: parts.join('\n\n'), note: NOTES };
}

/** What can come next: from the note of the outline, what was said before the caret, else a topic that the text lacks yet. */
export function composeContinue(order: ComposeOrder): Composed {
  const { known, values } = order;
  const place = known.around ?? { heading: '', note: '', before: '', after: '' };
  const note = fieldValue(values, 'notes');
  // What stands around the caret is not given again.
  const held = { ...order, before: [...order.before, place.before, place.after] };
  const planned =
    note && !place.before.includes(note.slice(0, 40)) ? [`Planned: ${note.replace(/\s+/g, ' ')}`] : [];
  if (fieldValue(values, 'closeness').startsWith('only'))
    return planned.length > 0
      ? { text: planned[0], note: 'The note of the outline, and nothing else.' }
      : {
          text: '',
          note: 'The outline notes nothing for this place. Write a note there, or let the text go further from the notes.',
        };
  const parts = notesOn(subjectOfPlace(place), held);
  const [lacking] = parts.length > 0 ? [] : rotated(topicsLacking(known), order.seed);
  if (lacking) parts.push(`Other pages go on with: ${inside(lacking.name)}.`, ...notesOn(lacking.name, held));
  if (planned.length + parts.length === 0)
    return {
      text: '',
      note: 'Nothing that was studied goes on from here. Note in the outline what belongs below this heading, or study pages that speak of it.',
    };
  return { text: [...planned, ...parts].join('\n\n'), note: NOTES };
}

/** Topics of the study of which no heading of the draft speaks, the commonest first. */
function topicsLacking({ study, draft, brief }: Known): KnownTopic[] {
  const headings = draft.map(({ heading }) => ownStems(heading, brief.keyword));
  return (study?.topics ?? []).filter(({ name, said }) => {
    const own = [...ownStems(name, study?.query ?? '')];
    return (
      said.length > 0 && !headings.some((heading) => own.length > 0 && own.every((each) => heading.has(each)))
    );
  });
}

/** Headings that are named in an introduction. */
const NAMED_HEADINGS = 5;

/** An introduction from the question, the promise and the headings. It says nothing of the world. */
export function composeIntroduction({ known, values, seed }: ComposeOrder): Composed {
  const { brief, outline, study } = known;
  const keyword = brief.keyword || fieldValue(values, 'topic');
  const audience = listed(fieldValue(values, 'audience').split(/,\s*/).filter(Boolean).map(inside));
  const top = outline.filter(
    ({ level, text }) => level === 2 && text.trim() && !/question|conclusion|summary/i.test(text),
  );
  const asked = [
    ...brief.questions,
    ...(study?.questions ?? []).map(({ text }) => text),
    ...[asAsked(keyword)].filter((text): text is string => text !== null),
  ].filter((text) => text.trim().endsWith('?'));
  const [question] = rotated(asked.slice(0, 3), seed);
  const named = top.slice(0, NAMED_HEADINGS);
  const questions = named.filter(({ text }) => /\?$/.test(text.trim()));
  const things = named.filter(({ text }) => !/\?$/.test(text.trim())).map(({ text }) => inside(text));
  const reader = audience ? ` for ${audience}` : '';
  const first = [
    question ? asTyped(question) : `${opening(keyword)}: where to begin?`,
    `This post is${reader ? `${reader}, and` : ''} about one thing: ${keyword}.`,
  ].join(' ');
  const points = entriesOf(values, 'points').filter((point) => !top.some(({ text }) => text === point));
  const second = [
    things.length > 0 ? `It goes through ${listed(things)}.` : '',
    questions.length > 0
      ? `It answers ${questions.length === 1 ? 'one question' : `${inWords(questions.length)} questions`} on the way: ${questions.map(({ text }) => inside(text).replace(/\?$/, '')).join('; ')}.`
      : '',
    points.length > 0 ? `What must not be missing: ${points.slice(0, 3).map(inside).join('; ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
  const third = brief.nextStep ? `At the end stands the next step: ${step(brief.nextStep)}.` : '';
  return {
    text: [first, second, third].filter(Boolean).join('\n\n'),
    note: 'An introduction by rule: the question, what the post is about and its headings. Put your answer into its first paragraph.',
  };
}

/** A next step as something to be done: "Book a fitting" as "book a fitting". */
const step = (text: string) =>
  inside(text)
    .replace(/^to /, '')
    .replace(/[.!]+$/, '');

/** A conclusion in the post's own sentences. */
export function composeConclusion({ known, values, words: wished, seed }: ComposeOrder): Composed {
  const { draft, brief } = known;
  const next = fieldValue(values, 'step') || brief.nextStep;
  const subject = subjectOfPhrase(`${brief.keyword} ${brief.title}`);
  const kept = draft
    .filter(({ heading }) => heading !== '')
    .flatMap(({ heading, paragraphs }) => {
      const sentences = paragraphs.flatMap(sentencesIn).map((text, at) => ({ text, owner: String(at) }));
      const about = new Map([...subject, ...subjectOfPhrase(heading)]);
      return centralSentences(sentences, about, 2)
        .slice(seed % 2, (seed % 2) + 1)
        .map(({ text }) => text);
    });
  const chosen = upTo(kept, wished ?? 90);
  if (chosen.length === 0)
    return {
      text: '',
      note: 'The post has no sections yet to conclude from. Write them first: a conclusion by rule repeats their sentences.',
    };
  return {
    text: [
      'What to keep:',
      chosen.map((sentence) => `- ${sentence}`).join('\n'),
      ...(next ? [`Next step: ${next.replace(/[.!]$/, '')}.`] : []),
    ].join('\n\n'),
    note: 'These are the post’s own sentences, one of each section. Say them anew in fewer words.',
  };
}

/** What pages answer to a question, each with its page. */
function answerTo(question: string, order: ComposeOrder, most: number): string[] {
  const { known, seed } = order;
  const asked = known.study?.questions.find(({ text }) => text.toLowerCase() === question.toLowerCase());
  const found = saidOf(question, known);
  const said = found.said.length > 0 ? found.said : (asked?.said ?? []);
  const fresh = said.filter(({ text }) => isFresh(text, order.before));
  const parts: string[] = [];
  const pages = Math.max(found.pages, fresh.length);
  if (known.study && pages > 0)
    parts.push(`${ofPages(pages, known.study.pages)} ${pages === 1 ? 'says' : 'say'} something to this.`);
  parts.push(...upTo(rotated(fresh, seed).map(quotation), most));
  parts.push(
    ...found.own
      .filter(({ text }) => isFresh(text, order.before))
      .slice(0, 1)
      .map(ownLine),
  );
  return parts;
}

/** An answer to one question out of the pages that give one. */
export function composeAnswer(order: ComposeOrder): Composed {
  const question = fieldValue(order.values, 'question');
  const parts = answerTo(question, order, order.words ?? 70);
  return parts.length > 0
    ? { text: parts.join('\n\n'), note: NOTES }
    : {
        text: '',
        note: `None of the studied pages answers “${question}”, and no post of the blog does: a reason to answer it yourself, from what you know or can find out.`,
      };
}

/** Questions as headings, each with what pages answer. */
export function composeFaq(order: ComposeOrder): Composed {
  const parts = entriesOf(order.values, 'questions').flatMap((question) => {
    const answer = answerTo(question, order, 45);
    return [
      `### ${asTyped(question)}`,
      ...(answer.length > 0 ? answer : ['Nobody who was studied answers this.']),
    ];
  });
  return { text: parts.join('\n\n'), note: NOTES };
}

/** An example for a passage: a case that a page tells. */
export function composeExample(order: ComposeOrder): Composed {
  const { known, seed } = order;
  const about = known.selection || known.around?.before.slice(-400) || '';
  const cases = known.study?.cases ?? [];
  const byText = new Map(cases.map((one) => [one.text, one]));
  const near = centralSentences(
    cases.map(({ text, address }) => ({ text, owner: address })),
    subjectOfPhrase(about),
    6,
  ).flatMap(({ text }) => byText.get(text) ?? []);
  const fresh = near.filter(
    ({ text }) => !order.before.some((earlier) => earlier.includes(text.slice(0, 60))),
  );
  const quotes = upTo(rotated(fresh, seed).map(quotation), order.words ?? 60);
  return quotes.length > 0
    ? {
        text: quotes.join('\n\n'),
        note: 'Cases that studied pages tell. One of your own is better: you can be asked about it.',
      }
    : {
        text: '',
        note: 'No studied page tells a case of this. Take an example from your own work: one that you can be asked about.',
      };
}

/** A passage with what the pages say of it. */
export function composeLonger(order: ComposeOrder): Composed {
  const { selection, around } = order.known;
  const notes = notesOn(around ? subjectOfPlace(around) : selection, {
    ...order,
    before: [...order.before, selection],
  });
  return {
    text: [selection, ...notes].filter(Boolean).join('\n\n'),
    note: notes.length > 0 ? NOTES : 'Nothing that was studied says more of this.',
  };
}
