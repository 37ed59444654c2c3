import type { Limits } from '../../criteria/index.ts';
import { effectiveMetaTitle, pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { type Known, type KnownStudy, type Quoted, sectionsText } from '../known/index.ts';
import { voiceRules } from '../voice/index.ts';
import { type Along, type FieldValue, fieldValue, type Pattern, type WritingRecipe } from './pattern.ts';
import { filledText } from './places.ts';

/** One message of a request, as endpoints of the chat-completions shape take it. */
export interface Message {
  role: 'system' | 'user' | 'assistant';
  content: string;
}

/** What the stand-in composes from; it goes to the stand-in alone. */
export interface ComposeOrder {
  recipe: WritingRecipe;
  known: Known;
  values: FieldValue[];
  pieces: number | null;
  /** Pixels that a piece may take, from and to; null: any. */
  pixels: [from: number, to: number] | null;
  /** Words of the answer; null: it has no length of its own. */
  words: number | null;
  /** Answers that came before for the same; none of them is given again. */
  before: string[];
  /** Chooses among what is as good. */
  seed: number;
}

/** A request for text: what is sent, and how freely it is answered. */
export interface TextRequest {
  messages: Message[];
  /** 0 to 2. */
  temperature: number;
  /** Tokens that the answer may have. */
  maxTokens: number;
  compose: ComposeOrder;
}

/** Characters of the writer's own draft that go along at most. */
const MOST_DRAFT = 24_000;
/** Titles of own posts that go along where none of them is to be suggested again. */
const MOST_TITLES = 300;
/** Tokens of a word of English, with room. */
const TOKENS_A_WORD = 2;
const LEAST_TOKENS = 400;

const list = (items: readonly string[]) => items.map((item) => `- ${item}`).join('\n');
const quotedLine = ({ text, who }: Quoted) => `"${text}" (${who})`;

function houseText({ house }: Known): string {
  return [
    house.name && `You write for the blog of ${house.name}.`,
    house.offer && `What it offers: ${house.offer}`,
    house.avoid && `To be avoided: ${house.avoid}`,
  ]
    .filter(Boolean)
    .join('\n');
}

const RULES =
  'State no figure, no name and no quotation that does not stand in the material below; leave it out rather than guess. Repeat nothing. Write plain Markdown without a remark about the task.';

function briefText({ brief }: Known): string {
  return [
    brief.title && `Title: ${brief.title}`,
    brief.keyword && `It is to be found for: ${brief.keyword}`,
    brief.supporting.length > 0 && `Supporting keywords: ${brief.supporting.join(', ')}`,
    brief.goal && `What it is for: ${brief.goal}`,
    brief.audience.length > 0 && `Readers: ${brief.audience.join(', ')}`,
    brief.points.length > 0 && `Points that must not be missing:\n${list(brief.points)}`,
    brief.questions.length > 0 && `Questions it answers:\n${list(brief.questions)}`,
    brief.nextStep && `Next step for the reader: ${brief.nextStep}`,
    brief.figures.length > 0 &&
      `Figures that may be used:\n${list(brief.figures.map(({ text, publisher }) => `${text} (${publisher})`))}`,
    brief.notes && `Notes: ${brief.notes}`,
  ]
    .filter(Boolean)
    .join('\n');
}

function studyText(study: KnownStudy): string {
  return [
    `${study.pages} pages answer "${study.query}".`,
    study.topics.length > 0 &&
      `What they speak of, with sentences of theirs (not to be copied):\n${study.topics
        .map(
          ({ name, pages, said }) =>
            `- ${name} (${pages} of ${study.pages} pages)${said.length > 0 ? `: ${said.slice(0, 3).map(quotedLine).join(' ')}` : ''}`,
        )
        .join('\n')}`,
    study.questions.length > 0 && `What is asked:\n${list(study.questions.map(({ text }) => text))}`,
    study.figures.length > 0 &&
      `Figures, each with its page:\n${list(study.figures.map(({ text, publisher }) => `${text} (${publisher})`))}`,
    study.terms.length > 0 && `Words that belong to the subject: ${study.terms.join(', ')}`,
    study.unsaid.length > 0 && `Asked for, and said on none of the pages: ${study.unsaid.join('; ')}`,
  ]
    .filter(Boolean)
    .join('\n');
}

const aboutText = (about: Known['about']): string =>
  about
    .filter(({ said, own }) => said.length + own.length > 0)
    .map(({ text, pages, said, own }) =>
      [
        said.length > 0 &&
          `Of "${text}" ${pages} ${pages === 1 ? 'page says' : 'pages say'} something: ${said.map(quotedLine).join(' ')}`,
        own.length > 0 && `Of "${text}" the blog itself says: ${own.map(quotedLine).join(' ')}`,
      ]
        .filter(Boolean)
        .join('\n'),
    )
    .join('\n');

/** What goes along of one part; empty: there is nothing of it. */
function partText(part: Along, known: Known, recipe: WritingRecipe): string {
  const { around, picture, outline, study, draft, selection, site } = known;
  switch (part) {
    case 'house':
    case 'voice':
      // These stand in the first message.
      return '';
    case 'brief':
      return titled('The brief', briefText(known));
    case 'outline':
      return titled(
        'The outline',
        outline
          .map(({ level, text, note }) => `${'#'.repeat(level)} ${text}${note ? `\n${note}` : ''}`)
          .join('\n'),
      );
    case 'study':
      return study
        ? titled('What others say', [aboutText(known.about), studyText(study)].filter(Boolean).join('\n'))
        : '';
    case 'draft':
      return selection ? '' : titled('The text', sectionsText(draft).slice(0, MOST_DRAFT));
    case 'around':
      return around
        ? [
            titled('The text before this place', around.before),
            titled('The text after this place', around.after),
          ]
            .filter(Boolean)
            .join('\n\n')
        : '';
    case 'selection':
      return titled('The selected text', selection);
    case 'site':
      if (recipe === 'ideas')
        return titled('Posts that the blog has', list(known.titles.slice(0, MOST_TITLES)));
      return titled(
        'What the blog says already',
        site.map(({ title, said }) => `- ${title}${said.length > 0 ? `: ${said.join(' ')}` : ''}`).join('\n'),
      );
    case 'picture':
      return picture
        ? titled(
            'The picture',
            [
              picture.caption && `Caption: ${picture.caption}`,
              picture.name && `File: ${picture.name}`,
              picture.before && `Before it: ${picture.before}`,
              picture.after && `After it: ${picture.after}`,
            ]
              .filter(Boolean)
              .join('\n'),
          )
        : '';
  }
}

const titled = (title: string, text: string) => (text.trim() === '' ? '' : `# ${title}\n${text.trim()}`);

/** The pixels within which a piece has to lie, by what the house wishes; null: any width. */
export function pixelsOf(pattern: Pattern, limits: Limits): [number, number] | null {
  const ramp =
    pattern.rules.width === 'title'
      ? limits.metaTitlePixels
      : pattern.rules.width === 'description'
        ? limits.metaDescriptionPixels
        : null;
  return ramp && [ramp[1] ?? 0, ramp[2] ?? Number.POSITIVE_INFINITY];
}

/** How a meta title is shown: with the pattern of the site. */
export interface TitleShown {
  titlePattern: string | null;
  name: string;
}

/** A title of about the length that most have: a pattern that is put behind it takes the same room behind any. */
const SOME_TITLE = 'A title of about forty characters or so';

/** Pixels that are left for a piece itself, without what the site's pattern puts behind a title. */
function ownPixels(
  pattern: Pattern,
  limits: Limits,
  { titlePattern, name }: TitleShown,
): [number, number] | null {
  const pixels = pixelsOf(pattern, limits);
  if (!pixels || pattern.rules.width !== 'title') return pixels;
  const whole = effectiveMetaTitle('', SOME_TITLE, titlePattern, name);
  const behind = pixelWidth(whole, TITLE_SIZE) - pixelWidth(SOME_TITLE, TITLE_SIZE);
  return [Math.max(0, pixels[0] - behind), Math.max(0, pixels[1] - behind)];
}

/** How wide a line is in the words of somebody who cannot measure it: letters, at about so many pixels each. */
const PIXELS_A_LETTER = { title: 9.6, description: 6.4 };

function widthLine({ rules: { width } }: Pattern, pixels: [number, number] | null): string {
  if (!width || !pixels) return '';
  const letters = (value: number) => Math.floor(value / PIXELS_A_LETTER[width]);
  return `Each has ${letters(pixels[0])} to ${letters(pixels[1])} characters.`;
}

const wordCount = (text: string): number => text.trim().split(/\s+/).length;

/** What a request is made from. */
export interface RequestWish {
  pattern: Pattern;
  values: readonly FieldValue[];
  known: Known;
  /** What goes along; a part that the pattern does not name does not. */
  along: readonly Along[];
  limits: Limits;
  /** How a meta title is shown. */
  site: TitleShown;
  /** Answers that came before for the same values. */
  before: readonly string[];
  seed: number;
}

/** Words that an answer may have: what its field says, else what the pattern has; null: no wish. */
export function wordsWished(pattern: Pattern, values: readonly FieldValue[]): number | null {
  const typed = Number(fieldValue(values, 'length'));
  return Number.isInteger(typed) && typed > 0 ? typed : pattern.words;
}

/** How freely a request is answered: the first time, and where others came before. What keeps to given words has little freedom. */
const FREE = [0.7, 0.9] as const;
const BOUND = [0.2, 0.4] as const;
const KEEPS_WORDS: ReadonlySet<WritingRecipe> = new Set(['talk']);

/** Earlier answers that are named as not to be given again. */
const MOST_BEFORE = 12;

/**
 * The request of a pattern: a system message of the house, its voice and the rules of truth; a user message of the request with
 * its fields, then of what goes along. What does not go along does not stand in `compose` either.
 */
export function requestOf({
  pattern,
  values,
  known,
  along,
  limits,
  site,
  before,
  seed,
}: RequestWish): TextRequest {
  const parts = pattern.along.filter((part) => along.includes(part));
  const goes = (part: Along) => parts.includes(part);
  const bare = withoutParts(known, goes);
  const pixels = ownPixels(pattern, limits, site);
  const system = [
    goes('house') && houseText(bare),
    goes('voice') && bare.voice && voiceRules(bare.voice),
    RULES,
  ]
    .filter(Boolean)
    .join('\n\n');
  const asked = filledText(pattern.text, (id) =>
    pattern.fields.some((field) => field.id === id) ? shownValue(fieldValue(values, id), pattern, id) : null,
  );
  const user = [
    [asked, widthLine(pattern, pixels)].filter(Boolean).join('\n'),
    before.length > 0 &&
      `These were answered before; give others:\n${list(before.slice(-MOST_BEFORE).map((text) => text.replace(/\s+/g, ' ').slice(0, 200)))}`,
    ...parts.map((part) => partText(part, bare, pattern.recipe)),
  ]
    .filter(Boolean)
    .join('\n\n');
  const words = wordsWished(pattern, values);
  return {
    messages: [
      { role: 'system', content: system },
      { role: 'user', content: user },
    ],
    temperature: (KEEPS_WORDS.has(pattern.recipe) ? BOUND : FREE)[before.length > 0 ? 1 : 0],
    maxTokens: Math.max(
      LEAST_TOKENS,
      Math.ceil(
        (words ?? Math.max(300, wordCount(`${bare.selection} ${fieldValue(values, 'said')}`) * 1.5)) *
          TOKENS_A_WORD,
      ),
    ),
    compose: {
      recipe: pattern.recipe,
      known: bare,
      values: [...values],
      pieces: pattern.rules.pieces,
      pixels,
      words,
      before: [...before],
      seed,
    },
  };
}

/** A list of entries reads as a list where it stands on lines of its own, else with commas. */
function shownValue(value: string, { text, fields }: Pattern, id: string): string {
  if (fields.find((field) => field.id === id)?.kind !== 'list') return value;
  const entries = value
    .split(/[\n\r]+/)
    .map((entry) => entry.trim())
    .filter(Boolean);
  const isAlone = text.split('\n').some((line) => line.trim() === `{{${id}}}`);
  return isAlone ? list(entries) : entries.join(', ');
}

/** Known without the parts that do not go along. */
function withoutParts(known: Known, goes: (part: Along) => boolean): Known {
  return {
    ...known,
    house: goes('house') ? known.house : { ...known.house, name: '', offer: '', avoid: '' },
    voice: goes('voice') ? known.voice : null,
    brief: goes('brief')
      ? known.brief
      : {
          ...known.brief,
          ...{ goal: '', nextStep: '', notes: '', points: [], questions: [], figures: [], supporting: [] },
        },
    outline: goes('outline') ? known.outline : [],
    study: goes('study') ? known.study : null,
    about: known.about.map((one) => ({
      ...one,
      said: goes('study') ? one.said : [],
      own: goes('site') ? one.own : [],
    })),
    draft: goes('draft') ? known.draft : [],
    around: goes('around') ? known.around : null,
    selection: goes('selection') ? known.selection : '',
    site: goes('site') ? known.site : [],
    picture: goes('picture') ? known.picture : null,
    gaps: goes('study') ? known.gaps : [],
    titles: goes('site') ? known.titles : [],
  };
}

/** A second request after an answer that missed: what came, and what was not right with it. */
export const askedAgain = (request: TextRequest, answer: string, misses: readonly string[]): TextRequest => ({
  ...request,
  messages: [
    ...request.messages,
    { role: 'assistant', content: answer },
    { role: 'user', content: `This does not keep to what was asked:\n${list(misses)}\nAnswer again, whole.` },
  ],
  compose: {
    ...request.compose,
    seed: request.compose.seed + 1,
    before: [...request.compose.before, answer],
  },
});
