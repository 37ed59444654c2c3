import { type Draft, faqEntries } from '../draft/index.ts';
import { sentencesIn } from '../writing/index.ts';
import { hashtagsOf } from './hashtags.ts';
import { fitted, messageLength } from './limits.ts';
import { pointsOf, spreadPoints } from './points.ts';
import { type PostSentence, postSentences } from './post-sentences.ts';
import type { ReusedPart, ReuseFrom, ReuseKind, ReuseWishes } from './reused.ts';

/** What a composer is given. */
interface Order {
  draft: Draft;
  sentences: PostSentence[];
  from: ReuseFrom;
  wishes: ReuseWishes;
}

const part = (text: string, from: string[], head = ''): ReusedPart => ({ head, text, from });
const POINTS_AT_LINK = '👉 ';

/** What closes a message: its hashtags and its link, as wished. */
export function tailOf({ from, wishes }: Pick<Order, 'from' | 'wishes'>): string {
  const tags = wishes.hashtags ? hashtagsOf(from).join(' ') : '';
  const link = from.address ? `${wishes.emoji ? POINTS_AT_LINK : ''}${from.address}` : '';
  return [tags, link].filter(Boolean).join('\n');
}

/** Room that is left in a message beside what closes it. */
function roomFor(tail: string, { most, link }: ReuseWishes): number {
  return most - (tail ? messageLength(tail, { link }) + 1 : 0);
}

/** Sentences that go into so many characters together, as many as fit; the first is cut where it alone is too long. */
function packed(texts: readonly string[], room: number): { text: string; used: string[] } {
  const used: string[] = [];
  let text = '';
  for (const next of texts) {
    const longer = text ? `${text} ${next}` : next;
    if ([...longer].length > room) {
      if (text === '') return { text: fitted(next, room), used: [next] };
      break;
    }
    text = longer;
    used.push(next);
  }
  return { text, used };
}

export const MIN_THREAD = 2;
export const MAX_THREAD = 25;

/** Neighbours that say on what a point begins: the sentences behind it in its paragraph. */
const behind = (sentences: readonly PostSentence[], at: number): string[] => {
  const out: string[] = [];
  for (let next = at + 1; next < sentences.length; next++) {
    if (
      sentences[next].section !== sentences[at].section ||
      sentences[next].paragraph !== sentences[at].paragraph
    )
      break;
    out.push(sentences[next].text);
  }
  return out;
};

/**
 * A thread: the post's points in its order, each with as much of what follows it as one message holds; what closes it stands in the
 * last. With as many parts as wished (2 to 25), or as many as the post has sections; fewer where it has fewer sentences.
 */
function thread(order: Order): ReusedPart[] {
  const { sentences, from, wishes } = order;
  const tail = tailOf(order);
  const sections = new Set(sentences.map(({ section }) => section)).size;
  const wished = Math.min(MAX_THREAD, Math.max(MIN_THREAD, wishes.parts || sections));
  const points = spreadPoints(sentences, from.title, wished);
  const count = points.length;
  const taken = new Set(points.map((at) => sentences[at].text));
  return points.flatMap((at, index) => {
    const number = wishes.numbered && count > 1 ? `${index + 1}/${count} ` : '';
    const isLast = index === count - 1;
    const room = (isLast ? roomFor(tail, wishes) : wishes.most) - number.length;
    // None of the following ones that is a point of its own.
    const following = behind(sentences, at);
    const until = following.findIndex((text) => taken.has(text));
    const { text, used } = packed(
      [sentences[at].text, ...(until === -1 ? following : following.slice(0, until))],
      room,
    );
    const body = `${number}${text}`.trimEnd();
    const whole = isLast && tail ? (body ? `${body}\n${tail}` : tail) : body;
    return whole ? [part(whole, used)] : [];
  });
}

/** A short update: the sentence that says most, and where to read on. */
function update(order: Order): ReusedPart[] {
  const { sentences, from, wishes } = order;
  const tail = tailOf(order);
  const room = roomFor(tail, wishes);
  const points = pointsOf(sentences, from.title, 6).map((at) => sentences[at].text);
  // One that fits whole before one that has to be cut.
  const best = points.find((text) => [...text].length <= room) ?? points[0];
  if (best === undefined) return [];
  const text = fitted(best, room);
  return [part([text, tail].filter(Boolean).join('\n'), [best])];
}

/** A longer post for a professional network: its opening, a point of each section, and where to read on. */
function networkPost(order: Order): ReusedPart[] {
  const { sentences, from, wishes } = order;
  const tail = tailOf(order);
  const opening = sentences
    .filter(({ section, paragraph, item }) => section === 0 && paragraph === 0 && !item)
    .map(({ text }) => text);
  const points = spreadPoints(sentences, from.title, 7).filter((at) => !opening.includes(sentences[at].text));
  const used = [...opening];
  const lines = [
    opening.join(' '),
    ...points.map((at) => `${wishes.emoji ? '▪️ ' : '• '}${sentences[at].text}`),
  ].filter(Boolean);
  let text = '';
  for (const [index, line] of lines.entries()) {
    const longer = text ? `${text}\n\n${line}` : line;
    if ([...longer].length > roomFor(tail, wishes)) {
      if (text === '') text = fitted(line, roomFor(tail, wishes));
      break;
    }
    text = longer;
    if (index > 0) used.push(sentences[points[index - (opening.length > 0 ? 1 : 0)]]?.text ?? '');
  }
  return text ? [part([text, tail].filter(Boolean).join('\n\n'), used.filter(Boolean))] : [];
}

/** Words of a blurb for a newsletter. */
const BLURB_WORDS = 60;

/** A blurb: the post's title, and its sentences that say most, in their order, up to some sixty words. */
function blurb({ sentences, from }: Order): ReusedPart[] {
  const chosen: number[] = [];
  let words = 0;
  for (const at of pointsOf(sentences, from.title, 4)) {
    const own = sentences[at].text.split(' ').length;
    if (chosen.length > 0 && words + own > BLURB_WORDS) continue;
    chosen.push(at);
    words += own;
  }
  const texts = chosen.sort((a, b) => a - b).map((at) => sentences[at].text);
  return texts.length > 0 ? [part(texts.join(' '), texts, from.title)] : [];
}

/** The sentences that say most, in the order of the text: one, three or five. */
function summary({ sentences, from, wishes }: Order): ReusedPart[] {
  const most = wishes.parts || 3;
  return pointsOf(sentences, from.title, most)
    .sort((a, b) => a - b)
    .map((at) => part(sentences[at].text, [sentences[at].text]));
}

/** One sentence of each section that has a heading. */
function takeaways({ sentences, from, wishes }: Order): ReusedPart[] {
  const headed = sentences.filter(({ heading }) => heading !== '');
  const own = headed.length > 0 ? headed : sentences;
  return spreadPoints(own, from.title, Math.max(3, new Set(own.map(({ section }) => section)).size))
    .filter(
      (at, index, all) =>
        all.findIndex((other) => own[other].section === own[at].section) === index || headed.length === 0,
    )
    .map((at) => part(`${wishes.emoji ? '✔️ ' : ''}${own[at].text}`, [own[at].text], own[at].heading));
}

/** Sentences of an answer on a card. */
const ANSWER = 2;

/** Questions that the post's headings ask, with the first sentences below each. */
function askedByHeadings(sentences: readonly PostSentence[]): ReusedPart[] {
  const out: ReusedPart[] = [];
  for (const { section, heading } of sentences) {
    if (!heading.endsWith('?') || out.some(({ head }) => head === heading)) continue;
    const below = sentences
      .filter((one) => one.section === section && !one.item && !one.text.endsWith('?'))
      .map(({ text }) => text);
    const answer = below.slice(0, ANSWER);
    if (answer.length > 0) out.push(part(answer.join(' '), answer, heading));
  }
  return out;
}

/** Questions with answers: those at the post's end, then those of its headings, then those asked in its text. */
function questions({ draft, sentences }: Order): ReusedPart[] {
  const atEnd = faqEntries(draft).map(({ question, answer }) => part(answer, sentencesIn(answer), question));
  const heads = new Set(atEnd.map(({ head }) => head));
  const byHeading = askedByHeadings(sentences).filter(({ head }) => !heads.has(head));
  const inText = sentences.flatMap(({ text }, at) => {
    if (!text.endsWith('?') || text.split(' ').length < 4) return [];
    const answer = behind(sentences, at)
      .filter((next) => !next.endsWith('?'))
      .slice(0, ANSWER);
    return answer.length > 0 ? [part(answer.join(' '), answer, text)] : [];
  });
  return [...atEnd, ...byHeading, ...inText];
}

/** Characters of a line below a video. */
export const TEASER_CHARACTERS = 100;

/** A line that makes somebody press play: the shortest of the strongest sentences. */
function teaser({ sentences, from }: Order): ReusedPart[] {
  const points = pointsOf(sentences, from.title, 8).map((at) => sentences[at].text);
  const best = points.find((text) => [...text].length <= TEASER_CHARACTERS) ?? points[0];
  return best === undefined ? [] : [part(fitted(best, TEASER_CHARACTERS), [best])];
}

/** Characters of a sentence that can still be read in a picture. */
const PICTURE_CHARACTERS = 140;

/** The sentence of a picture: the strongest that is short enough to be read in passing. */
function picture({ sentences, from }: Order): ReusedPart[] {
  const points = pointsOf(sentences, from.title, 12).map((at) => sentences[at].text);
  const best = points.find((text) => [...text].length <= PICTURE_CHARACTERS) ?? points[0];
  return best === undefined ? [] : [part(best, [best])];
}

/** Words a minute that a script is spoken at. */
const SPOKEN = 145;

/** A script to speak from: section by section, with the time at which each begins. */
function script({ sentences }: Order): ReusedPart[] {
  const out: ReusedPart[] = [];
  let words = 0;
  let last = -1;
  for (const { section, heading, text } of sentences) {
    if (section !== last) {
      const seconds = Math.round((words / SPOKEN) * 60);
      const time = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
      out.push(part('', [], heading ? `${time} ${heading}` : time));
      last = section;
    }
    const open = out[out.length - 1];
    open.text = open.text ? `${open.text} ${text}` : text;
    open.from.push(text);
    words += text.split(' ').length;
  }
  return out;
}

const COMPOSERS: Record<ReuseKind, (order: Order) => ReusedPart[]> = {
  thread,
  update,
  'network-post': networkPost,
  blurb,
  newsletter: blurb,
  summary,
  takeaways,
  cards: questions,
  faq: questions,
  teaser,
  script,
  picture,
};

/**
 * Makes a post into something else, out of its own sentences: nothing stands there that is not in it, no sentence twice, and
 * messages are as long as they may be. Empty where the post has nothing for it.
 */
export function reuse(kind: ReuseKind, draft: Draft, from: ReuseFrom, wishes: ReuseWishes): ReusedPart[] {
  return COMPOSERS[kind]({ draft, sentences: postSentences(draft), from, wishes });
}
