import { wholeProfile } from '../../../core/criteria/index.ts';
import { type OutlineItem, unwrittenHeadings } from '../../../core/outline/index.ts';
import { writingOf } from '../../../core/site/index.ts';
import {
  type Along,
  entriesOf,
  type FieldValue,
  fieldValue,
  filledFields,
  type Known,
  type Pattern,
  readAnswer,
  requestOf,
  SHIPPED_PATTERNS,
  type TextRequest,
  withValue,
  wordsWished,
} from '../../../core/writing/index.ts';
import { askedOf } from '../../data/generations.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { textService } from '../../services/text-service.ts';
import { studyWorker } from '../../workers/study-client.ts';
import type { WritingPlace } from '../../workers/writing.ts';
import type { PostSession } from '../post/post-session.ts';
import { type TextPart, TextRun } from './text-run.ts';

/** Where in a post a text is asked for. */
export interface AskedAt {
  blockId: string | null;
  selection: string;
  picture: Known['picture'];
}

export const NOWHERE: AskedAt = { blockId: null, selection: '', picture: null };

/** What is asked for: a pattern with its fields, and what goes along. */
export interface TextWish {
  pattern: Pattern;
  values: FieldValue[];
  along: readonly Along[];
  at: AskedAt;
}

/** The post in hand as a text for it is asked for. */
export const writingPlace = (
  session: PostSession,
  at: AskedAt,
  about: string[] = [],
  aboutPlace = false,
): WritingPlace => ({
  siteId: session.siteId,
  postId: session.id,
  document: session.document,
  outline: [...session.content.outline] as OutlineItem[],
  about,
  aboutPlace,
  ...at,
});

/** Everything that a text for the post in hand can stand on. */
export async function knownFor(
  session: PostSession,
  at: AskedAt,
  about: string[] = [],
  aboutPlace = false,
): Promise<Known> {
  return (await studyWorker()).known(writingPlace(session, at, about, aboutPlace));
}

/** What a wish is about beside the post: its heading, its questions. */
const aboutOf = (values: readonly FieldValue[]): string[] =>
  [fieldValue(values, 'heading'), fieldValue(values, 'question'), ...entriesOf(values, 'questions')].filter(
    Boolean,
  );

/** A wish by a pattern that comes along, as the post fills it. */
export async function filledWish(session: PostSession, id: string, at: AskedAt): Promise<TextWish> {
  const pattern = shippedPattern(id);
  const values = filledFields(pattern, await knownFor(session, at));
  return { pattern, values, along: pattern.along, at };
}

/** Values as they tell one wish from another: how many results are wished for makes no difference. */
const sameWish = (values: readonly FieldValue[]) =>
  JSON.stringify(
    values
      .filter(({ id, value }) => id !== 'count' && value.trim() !== '')
      .map(({ id, value }) => [id, value.trim()])
      .sort(),
  );

/** Earlier answers to the same wish for a post, in pieces, the earliest first. */
async function earlierAnswers(session: PostSession, { pattern, values, at }: TextWish) {
  const rows = await askedOf(session.siteId, session.id);
  const same = rows.filter(
    ({ asked }) =>
      asked.pattern === pattern.id &&
      sameWish(asked.values) === sameWish(values) &&
      // What is done to a selection depends on it.
      (at.selection === '' ||
        asked.messages.some(({ content }) => content.includes(at.selection.slice(0, 200)))),
  );
  const isList = pattern.readAs === 'lines' || pattern.readAs === 'headings';
  return {
    count: same.length,
    before: same
      .reverse()
      .flatMap(({ output }) => (isList ? readAnswer(output, pattern.readAs) : output.trim() ? [output] : [])),
  };
}

/** The request of a wish as it would be sent now. */
export async function requestFor(session: PostSession, site: SiteRow, wish: TextWish): Promise<TextRequest> {
  const { pattern, values, along, at } = wish;
  const known = await knownFor(session, at, aboutOf(values), pattern.along.includes('around'));
  const { count, before } = await earlierAnswers(session, wish);
  return requestOf({
    pattern,
    values,
    known,
    along,
    limits: wholeProfile(site.profile).limits,
    site: { titlePattern: site.titlePattern, name: site.name },
    before,
    seed: count,
  });
}

/** A run of parts for the post in hand, by the service that its house chose. */
export function runFor(
  session: PostSession,
  site: SiteRow,
  parts: readonly TextPart[],
  { group, until = null }: { group: string; until?: number | null },
): TextRun {
  const { way } = writingOf(site.house);
  return new TextRun(parts, {
    siteId: session.siteId,
    postId: session.id,
    way,
    service: textService(way),
    limits: wholeProfile(site.profile).limits,
    site: { titlePattern: site.titlePattern, name: site.name },
    group,
    until,
  });
}

/** Words up to which a text is continued in one piece; a longer one goes on along the outline. */
const IN_ONE_PIECE = 300;
const FIRST_PIECE = 120;

/** The parts of a text: one; or, of a long continuation, what comes next and then a section for each heading that waits. */
function partsOf(
  session: PostSession,
  site: SiteRow,
  wish: TextWish,
): { parts: TextPart[]; until: number | null } {
  const { pattern, values } = wish;
  const words = wordsWished(pattern, values);
  const waiting =
    pattern.recipe === 'continue' && words !== null && words > IN_ONE_PIECE
      ? waitingAfter(session, wish.at.blockId)
      : [];
  const isLong = waiting.length > 0 && words !== null;
  const first = isLong ? { ...wish, values: withValue(values, 'length', String(FIRST_PIECE)) } : wish;
  const one: TextPart = {
    lead: '',
    name: pattern.name,
    prepare: async () => ({ ...first, request: await requestFor(session, site, first) }),
  };
  if (!isLong) return { parts: [one], until: null };
  const { pattern: _, ...rest } = wish;
  return {
    parts: [one, ...sectionParts(session, site, waiting, { ...rest, words: words - FIRST_PIECE })],
    until: words,
  };
}

/** Headings of the outline that have no text yet, from the caret on. */
function waitingAfter(session: PostSession, blockId: string | null): OutlineItem[] {
  const { blocks } = session.body;
  const at = blockId === null ? blocks.length : blocks.findIndex(({ id }) => id === blockId);
  const before = new Set(blocks.slice(0, Math.max(0, at + 1)).map(({ id }) => id));
  return unwrittenHeadings(session.body, session.content.outline).filter(({ id }) => !before.has(id));
}

/** Asks for a text. */
export function askText(session: PostSession, site: SiteRow, wish: TextWish, group: string): TextRun {
  const { parts, until } = partsOf(session, site, wish);
  return runFor(session, site, parts, { group, until });
}

/** A pattern that comes along, by its id. */
export function shippedPattern(id: string): Pattern {
  const pattern = SHIPPED_PATTERNS.find((one) => one.id === id);
  if (!pattern) throw new Error(`There is no pattern "${id}".`);
  return pattern;
}

/** The patterns of a house: its own first, then those that come along. */
export const patternsOf = ({ house }: SiteRow): Pattern[] => [...(house.patterns ?? []), ...SHIPPED_PATTERNS];

/** The parts of a long text: a section for each heading of the outline, `words` shared out among them. */
export function sectionParts(
  session: PostSession,
  site: SiteRow,
  items: readonly OutlineItem[],
  { words, values, along }: { words: number; values: readonly FieldValue[]; along: readonly Along[] },
): TextPart[] {
  const pattern = shippedPattern('section');
  const each = String(Math.max(40, Math.round(words / Math.max(1, items.length))));
  return items.map(({ level, text, note }) => ({
    lead: `${'#'.repeat(level)} ${text}\n\n`,
    name: text,
    prepare: async () => {
      let own = withValue(values, 'heading', text);
      own = withValue(own, 'notes', note);
      own = withValue(own, 'length', each);
      const wish: TextWish = { pattern, values: own, along, at: NOWHERE };
      return { ...wish, request: await requestFor(session, site, wish) };
    },
  }));
}
