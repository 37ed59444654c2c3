import { isFunctionWord, tellingStems } from '../../language/index.ts';
import { pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { asAsked, headingKind } from '../../outline/index.ts';
import { workingTitle } from '../../research/index.ts';
import { centralSentences, subjectOfPhrase } from '../known/index.ts';
import { type ComposeOrder, fieldValue, isRepeat } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import { titleLikeness } from '../titles/index.ts';
import type { Composed } from './composed.ts';
import { asTyped, inside, inWords, listed, opening, rotated, words } from './wording.ts';

/** Words of a heading that can stand in a list within a title. */
const SHORT = 4;
const LONGEST_TITLE = 90;
/** Headings that every post may have. */
const NO_SUBJECT =
  /^(?:introduction|conclusion|summary|faqs?|frequently|questions|final|before|after|more|tips|in short)\b/i;

/** Headings that can be named in a title: short things, none that every post has. */
function shortHeadings({ known }: ComposeOrder): string[] {
  const told = tellingStems(known.brief.keyword);
  return (
    known.outline.length > 0
      ? known.outline.map(({ text }) => text)
      : (known.study?.topics ?? []).map(({ name }) => name)
  )
    .map((text) => text.trim().replace(/[\s.:!]+$/, ''))
    .filter(
      (text) =>
        text !== '' &&
        words(text) <= SHORT &&
        !/[?,:;–—]|\band\b/i.test(text) &&
        headingKind(text) === 'noun' &&
        ![...tellingStems(text)].every((each) => told.has(each)) &&
        !/^(?:introduction|conclusion|summary|faqs?|frequently|questions|final|before|after|more|tips|in short)\b/i.test(
          text,
        ),
    );
}

/** A phrase that is something to be done: "plan a bike tour". */
const isDoing = (phrase: string) => ['order', 'how-to'].includes(headingKind(phrase));

/** Titles by shape, the shapes that suit first; more than are ever wished for, so that "more" finds others. */
function titlesFor(order: ComposeOrder): string[] {
  const { known, seed, values } = order;
  const { brief, study, outline } = known;
  const keyword = (brief.keyword || fieldValue(values, 'topic')).trim();
  if (!keyword) return [];
  const subject = opening(keyword);
  const headings = shortHeadings(order);
  const [audience = ''] = [...fieldValue(values, 'audience').split(/,\s*/), ...brief.audience].filter(
    Boolean,
  );
  const asked = [
    ...outline.map(({ text }) => text),
    ...brief.questions,
    ...(outline.length > 0 ? [] : (study?.questions ?? []).map(({ text }) => text)),
  ]
    .filter((text) => text.trim().endsWith('?') && words(text) <= 12)
    .filter((text, at, all) => all.indexOf(text) === at);
  const own = asked.filter((text) => [...tellingStems(text)].some((each) => tellingStems(keyword).has(each)));
  // What is asked of other things says nothing of what this post tells.
  const aboutKeyword = (study?.questions ?? [])
    .map(({ text }) => text)
    .filter((text) => [...tellingStems(keyword)].every((each) => tellingStems(text).has(each)));
  // A heading that says the keyword again stands by itself.
  const told = tellingStems(keyword);
  const wholes = outline
    .filter(({ level, text }) => level === 2 && words(text) <= 9 && !/[?:]/.test(text))
    .map(({ text }) => text)
    .filter((text) => ![...tellingStems(text)].some((each) => told.has(each)) && !NO_SUBJECT.test(text));
  const triples = combinations(headings.slice(0, 7));
  const out: string[] = [];
  const rounds = Math.max(triples.length, own.length, wholes.length, 6);
  for (let round = 0; round < rounds; round++) {
    const three = triples[round];
    if (three) out.push(`${subject}: ${listed(three.map(inside))}`);
    const question = own[round];
    if (question) out.push(asTyped(question));
    if (round === 0) {
      if (isDoing(keyword)) out.push(`How to ${inside(keyword).replace(/^how to /i, '')}`);
      else out.push(workingTitle(keyword, aboutKeyword).title);
      if (audience && words(audience) <= 4 && !/\bfor\b/i.test(keyword))
        out.push(`${subject} for ${inside(audience)}`);
      const questions = asked.length;
      if (questions >= 3)
        out.push(`${subject}: ${questions <= 12 ? inWords(questions) : questions} questions answered`);
      if (brief.title && titleLikeness(brief.title, keyword) < 0.3)
        out.push(`${subject}: ${inside(brief.title)}`);
    }
    const whole = wholes[round];
    if (whole) out.push(`${subject}: ${inside(whole)}`);
    const heading = headings[round];
    if (heading) out.push(`${subject}, and what to know about ${inside(heading)}`);
    const point = brief.points[round];
    if (point && words(point) <= 9) out.push(`${subject}: ${inside(point)}`);
    const other = asked[round];
    if (other && !own.includes(other)) out.push(`${subject}: ${inside(other)}`);
  }
  return rotated(out, Math.floor(seed / 3)).filter((text) => [...text].length <= LONGEST_TITLE);
}

/** Groups of three of some headings, then of two: those that come first in the outline first. */
function combinations(headings: readonly string[]): string[][] {
  const out: string[][] = [];
  for (let a = 0; a < headings.length; a++)
    for (let b = a + 1; b < headings.length; b++)
      for (let c = b + 1; c < headings.length; c++) out.push([headings[a], headings[b], headings[c]]);
  const pairs: string[][] = [];
  for (let a = 0; a < headings.length; a++)
    for (let b = a + 1; b < headings.length; b++) pairs.push([headings[a], headings[b]]);
  // Neighbours of one beginning differ in their last entry alone: the others come between.
  return [
    ...out.filter((_, at) => at % 4 === 0),
    ...pairs.filter((_, at) => at % 2 === 1),
    ...out.filter((_, at) => at % 4 !== 0),
  ];
}

/** Those that were not given before and are not alike, as many as are wished for. */
function fresh(made: readonly string[], before: readonly string[], most: number): string[] {
  const out: string[] = [];
  for (const text of made) {
    if (out.length === most) break;
    if (isRepeat(text, [...before, ...out], 'lines')) continue;
    out.push(text);
  }
  return out;
}

const lines = (items: readonly string[]) => items.join('\n');
const FEWER =
  'No more can be made from what is known: plan headings, note points and questions in the brief, and ask again.';
const BY_SHAPE = 'Titles by shape, out of the keyword, the headings and the questions.';

export function composeTitles(order: ComposeOrder): Composed {
  const wished = order.pieces ?? 5;
  const made = fresh(titlesFor(order), order.before, wished);
  return { text: lines(made), note: made.length < wished ? FEWER : BY_SHAPE };
}

/** Titles of the width that is wished, the keyword first. */
export function composeMetaTitles(order: ComposeOrder): Composed {
  const { pixels, known } = order;
  const keyword = known.brief.keyword.toLowerCase();
  const made = titlesFor({ ...order, seed: 0 });
  const fits = (text: string) => {
    const width = pixelWidth(text, TITLE_SIZE);
    return (!pixels || (width <= pixels[1] && width >= pixels[0])) && text.toLowerCase().includes(keyword);
  };
  // One that is too short says one thing more.
  const headings = shortHeadings(order).map(inside);
  const longer = made.flatMap((text) =>
    text.includes(':') || text.endsWith('?') ? [] : headings.map((heading) => `${text}: ${heading}`),
  );
  const pairs = headings.flatMap((one, at) =>
    headings.slice(at + 1).map((other) => `${opening(keyword)}: ${one} and ${other}`),
  );
  const out = fresh([...made, ...longer, ...pairs].filter(fits), order.before, order.pieces ?? 3);
  return {
    text: lines(out),
    note:
      out.length > 0
        ? 'Titles by shape, those alone that fit the width.'
        : 'No title of the width could be made from what is known. Plan a few short headings, and ask again.',
  };
}

/** Ideas are no posts of the house again when they are less alike than this. */
const OTHER_POST = 0.55;

export function composeIdeas(order: ComposeOrder): Composed {
  const { known, values, seed } = order;
  const { study, titles } = known;
  const topic = fieldValue(values, 'topic');
  const wanted = tellingStems(topic);
  const about = (text: string) => [...tellingStems(text)].filter((each) => wanted.has(each)).length;
  const asked = [...(study?.unsaid ?? []), ...(study?.questions ?? []).map(({ text }) => text)];
  const sources = [
    ...asked
      .filter((text) => text.trim().endsWith('?'))
      .map((text) => named(asTyped(text), study?.query ?? topic)),
    ...asked.filter((text) => !text.trim().endsWith('?')).map((text) => workingTitle(text, []).title),
    ...(study?.topics ?? []).map(({ name }) =>
      isFunctionWord(name.split(' ')[0].toLowerCase()) || headingKind(name) !== 'noun'
        ? opening(name)
        : workingTitle(name.toLowerCase(), asked).title,
    ),
    ...titles.filter((title) => about(title) > 0).flatMap((title) => turned(title)),
  ];
  const unwritten = sources.filter(
    (text) => !titles.some((title) => titleLikeness(text, title) >= OTHER_POST),
  );
  const out = fresh(rotated(unwritten, seed), order.before, order.pieces ?? 5);
  return {
    text: lines(out),
    note:
      out.length > 0
        ? 'From what is asked and from topics of the study that no post of the blog has.'
        : 'Nothing is known that no post of the blog has. Study pages for this topic first.',
  };
}

/** A question that says what it asks about: "How heavy should it be?" does not. */
function named(question: string, query: string): string {
  const wanted = tellingStems(query);
  return [...tellingStems(question)].some((each) => wanted.has(each))
    ? opening(question)
    : `${opening(query)}: ${inside(question)}`;
}

/** A title of the house from its other side: what a first-timer gets wrong, what it costs. */
function turned(title: string): string[] {
  const [subject] = title.split(/[:?–—]/);
  if (words(subject) > 6 || headingKind(subject) !== 'noun') return [];
  return [
    `${opening(subject.trim())}: what goes wrong, and what to do then`,
    `What ${inside(subject.trim())} costs, and what it saves`,
  ];
}

/** Characters of a headline for shares. */
const LONGEST_SHARE = 120;

export function composeShares(order: ComposeOrder): Composed {
  const { known, seed } = order;
  const { draft, brief } = known;
  const keyword = brief.keyword || fieldValue(order.values, 'topic');
  const sentences = draft.flatMap(({ heading, paragraphs }) =>
    paragraphs.flatMap(sentencesIn).map((text, at) => ({ text, owner: `${heading} ${at}` })),
  );
  const kept = centralSentences(sentences, subjectOfPhrase(`${keyword} ${brief.title}`), 14)
    .map(({ text }) => text)
    .filter((text) => [...text].length <= LONGEST_SHARE);
  const figures = kept.filter((text) => /\d/.test(text));
  const headings = draft.flatMap(({ heading }) => (heading ? [heading] : []));
  const questions = headings.filter((text) => text.endsWith('?'));
  const short = headings.filter((text) => words(text) <= 5 && !text.endsWith('?')).map(inside);
  const [audience = ''] = [...fieldValue(order.values, 'audience').split(/,\s*/), ...brief.audience].filter(
    Boolean,
  );
  const made = [
    brief.title,
    ...questions.slice(0, 3),
    ...figures.slice(0, 2),
    ...(short.length >= 3 ? [`${opening(keyword)}: ${listed(short.slice(0, 3))}`] : []),
    ...kept.filter((text) => !/\d/.test(text)).slice(0, 4),
    ...(audience && words(audience) <= 5 ? [`For ${inside(audience)}: ${inside(keyword)}`] : []),
    ...(questions.length >= 3
      ? [`${opening(inWords(questions.length))} questions about ${inside(keyword)}, answered`]
      : []),
    ...short
      .filter((heading) => !heading.toLowerCase().includes(keyword.toLowerCase()))
      .map((heading) => `${opening(keyword)}: ${heading}`),
    ...headings.flatMap((heading) => asAsked(heading) ?? []),
    ...kept,
  ].filter((text) => text.trim() !== '' && [...text].length <= LONGEST_SHARE);
  const out = fresh(rotated(made, seed === 0 ? 0 : seed * 3), order.before, order.pieces ?? 10);
  return {
    text: lines(out),
    note:
      out.length < (order.pieces ?? 10)
        ? `${out.length} could be made from the post’s own sentences and headings.`
        : 'From the post’s own sentences, headings and questions.',
  };
}
