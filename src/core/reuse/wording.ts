import type { Draft } from '../draft/index.ts';
import { tellingStems } from '../language/index.ts';
import { sentencesIn } from '../writing/index.ts';
import { TEASER_CHARACTERS, tailOf } from './compose.ts';
import { messageLength } from './limits.ts';
import { postSentences } from './post-sentences.ts';
import { isMessage, type ReusedPart, type ReuseFrom, type ReuseKind, type ReuseWishes } from './reused.ts';

/** What another wording is asked for with. */
export interface WordingAsk {
  /** Parts that are wished for. */
  parts: number;
  /** Characters that a part may have beside what is put around it; null: any number. */
  most: number | null;
  /** What each part stands under; empty: under nothing. */
  heads: string[];
  /** How it reads now, without links, hashtags and numbers. */
  now: string;
}

/** Kinds that can be said otherwise: a letter is several posts', each to be asked for at its own. */
export const canBeReworded = (kind: ReuseKind): boolean => kind !== 'newsletter';

/** Kinds of one part, whose paragraphs stay together. */
const isOne = (kind: ReuseKind): boolean =>
  kind === 'update' || kind === 'network-post' || kind === 'blurb' || kind === 'teaser' || kind === 'picture';

const NUMBER = /^\s*(?:\d{1,2}\/\d{1,2}|\(?\d{1,2}[.)])\s+/;
/** A text without what is put around it. */
const bare = (text: string): string =>
  text
    .replace(NUMBER, '')
    .replace(/\s*(?:👉 )?https?:\/\/\S+/gu, '')
    .replace(/(?:^|\s)#[\p{L}\p{N}]+/gu, '')
    .trim();

/** Characters of "12/25 ". */
const NUMBERED = 6;

/** What to ask with for another wording of what was made. */
export function wordingAsk(
  kind: ReuseKind,
  parts: readonly ReusedPart[],
  from: ReuseFrom,
  wishes: ReuseWishes,
): WordingAsk {
  const tail = tailOf({ from, wishes });
  const around =
    kind === 'thread' ? (wishes.numbered ? NUMBERED : 0) : tail === '' ? 0 : messageLength(tail, wishes) + 2;
  return {
    parts: Math.max(1, parts.length),
    most: isMessage(kind) ? Math.max(1, wishes.most - around) : kind === 'teaser' ? TEASER_CHARACTERS : null,
    heads: isOne(kind) ? [] : parts.map(({ head }) => head).filter(Boolean),
    now: parts
      .map(({ text }) => bare(text))
      .filter(Boolean)
      .join('\n'),
  };
}

/** How much of a sentence a post's own has to hold to be what it was made from. */
const MADE_FROM = 0.5;

/** The post's sentences that a text says again, each of its sentences' nearest. */
function sourcesOf(text: string, sentences: readonly { text: string; stems: ReadonlySet<string> }[]) {
  const found: string[] = [];
  for (const sentence of sentencesIn(text)) {
    const wanted = [...tellingStems(sentence)];
    if (wanted.length === 0) continue;
    let best = '';
    let most = MADE_FROM;
    for (const one of sentences) {
      const share = wanted.filter((each) => one.stems.has(each)).length / wanted.length;
      if (share > most || (share === most && best === '')) {
        best = one.text;
        most = share;
      }
    }
    if (best && !found.includes(best)) found.push(best);
  }
  return found;
}

/**
 * The parts of an answer that gives another wording, with what stands around them: numbers, hashtags, the link, titles. What the
 * answer put there itself goes. Each part knows the post's sentences that it says again, so that it can be out of date.
 *
 * @param pieces paragraphs of the answer
 * @param now the parts that it is another wording of; their titles are kept
 */
export function readWording(
  kind: ReuseKind,
  pieces: readonly string[],
  now: readonly ReusedPart[],
  draft: Draft,
  from: ReuseFrom,
  wishes: ReuseWishes,
): ReusedPart[] {
  const own = pieces
    .map((piece) => bare(piece.replace(/^#{1,6}\s+.*\n?/, '').replace(/^[-*•]\s+/, '')))
    .filter(Boolean);
  if (own.length === 0) return [];
  const texts = isOne(kind) ? [own.join('\n\n')] : own;
  const sentences = postSentences(draft).map(({ text }) => ({ text, stems: tellingStems(text) }));
  const heads = isOne(kind) && kind !== 'blurb' ? [] : now.map(({ head }) => head);
  const parts = texts.map(
    (text, at): ReusedPart => ({ head: heads[at] ?? '', text, from: sourcesOf(text, sentences) }),
  );
  if (!isMessage(kind)) return parts;
  const tail = tailOf({ from, wishes });
  const gap = kind === 'network-post' ? '\n\n' : '\n';
  const last = parts[parts.length - 1];
  const number = kind === 'thread' && wishes.numbered ? NUMBERED : 0;
  if (tail !== '') {
    const closed = `${last.text}${gap}${tail}`;
    // Where the link does not fit into the last message of a thread it gets one of its own.
    if (kind === 'thread' && messageLength(closed, wishes) + number > wishes.most)
      parts.push({ head: '', text: tail, from: [] });
    else last.text = closed;
  }
  if (kind === 'thread' && wishes.numbered && parts.length > 1)
    parts.forEach((part, at) => {
      part.text = `${at + 1}/${parts.length} ${part.text}`;
    });
  return parts;
}
