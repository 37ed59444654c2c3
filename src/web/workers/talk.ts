import { type Block, type Draft, decodeText } from '../../core/draft/index.ts';
import { Vocabulary, WordBases } from '../../core/language/index.ts';
import {
  type FidelityAccount,
  fidelityAccount,
  isTimed,
  knownNames,
  lengthOf,
  readTranscript,
  SpokenIndex,
  type TalkDraftWishes,
  type TalkQuestion,
  type TranscriptReading,
  talkDraft,
  transcriptFold,
  type Unspoken,
  unspoken,
  type WrittenTalk,
  writeTalk,
} from '../../core/talk/index.ts';
import { database, openDatabase } from '../data/database.ts';
import type { TalkRow } from '../data/talk-rows.ts';
import { talkOf, transcriptOf } from '../data/talks.ts';

/** Posts of the site that names are taken from. */
const NAMING_POSTS = 60;

/** A line of the transcript as the screen shows it. */
export interface SaidLine {
  start: number | null;
  /** Who speaks, where it is another one than in the line above. */
  speaker: string;
  /** Index of its first word among the spoken ones. */
  from: number;
  /** Each word with its marks, and whether no text needs it. */
  words: [shown: string, isLeft: boolean][];
}

/** A talk as the screen shows it. */
export interface TalkView {
  lines: SaidLine[];
  words: number;
  /** Words that no text needs: fillers, doubled words, false starts. */
  left: number;
  sections: number;
  /** Seconds; 0 where nothing is timed. */
  seconds: number;
  timed: boolean;
  questions: TalkQuestion[];
  quotations: { text: string; speaker: string; start: number | null }[];
  summary: { text: string; start: number | null }[];
}

/** A section of a talk as it was heard. */
export interface HeardSection {
  heading: string;
  start: number | null;
  /** What was said in it, paragraph by paragraph, without fillers and false starts. */
  said: string;
  words: number;
}

/** A talk that is at hand. */
interface Desk {
  sign: string;
  row: TalkRow;
  written: WrittenTalk;
  spoken: SpokenIndex;
}

const desks = new Map<string, Desk>();
const bases = new WordBases(new Vocabulary());

/** How names of the house are written, out of its posts. */
async function namesOf(siteId: string): Promise<Map<string, string>> {
  const [site, posts, bodies] = await Promise.all([
    database().sites.get(siteId),
    database().posts.where('siteId').equals(siteId).limit(NAMING_POSTS).toArray(),
    database().bodies.where('siteId').equals(siteId).limit(NAMING_POSTS).toArray(),
  ]);
  const texts = bodies.map(({ draft }) =>
    draft.blocks
      .filter(({ kind }) => kind === 'paragraph')
      .map(({ text }) => text)
      .join('\n'),
  );
  const names = knownNames(texts);
  // Names of the house itself, and of who writes for it, in full.
  for (const text of [site?.name ?? '', ...posts.map(({ fields }) => fields.author)])
    for (const word of text.match(/\p{Lu}[\p{L}\p{M}]{2,}/gu) ?? [])
      if (names.has(word.toLowerCase()) || posts.some(({ fields }) => fields.author.includes(word)))
        names.set(word.toLowerCase(), word);
  return names;
}

async function deskOf(postId: string): Promise<Desk | null> {
  const row = await talkOf(postId);
  if (!row) return null;
  const sign = row.at;
  const known = desks.get(postId);
  if (known?.sign === sign) return { ...known, row };
  const written = writeTalk(transcriptOf(row), await namesOf(row.siteId));
  const desk = { sign, row, written, spoken: new SpokenIndex(written.words, written.left) };
  // One talk at a time is worked on.
  desks.clear();
  desks.set(postId, desk);
  return desk;
}

function linesOf({ words, left }: WrittenTalk): SaidLine[] {
  const lines: SaidLine[] = [];
  let cue = -1;
  let speaker = '';
  words.forEach((word, at) => {
    if (word.cue !== cue) {
      cue = word.cue;
      lines.push({
        start: word.start,
        speaker: word.speaker === speaker ? '' : word.speaker,
        from: at,
        words: [],
      });
      speaker = word.speaker;
    }
    const shown = word.before + word.text + word.after + (word.glued ? '' : ' ');
    lines[lines.length - 1].words.push([shown, left[at] !== null]);
  });
  return lines;
}

export const talk = {
  open: (name: string) => {
    openDatabase(name);
  },

  /** A transcript file as text, whatever its encoding; a sentence where it is none. */
  decode(bytes: ArrayBuffer): { text: string; problem: string } {
    try {
      return { text: decodeText(new Uint8Array(bytes), undefined, false).text, problem: '' };
    } catch (error) {
      return { text: '', problem: `${(error as Error).message} Save the transcript as .vtt, .srt or .txt.` };
    }
  },

  /** Reads a transcript in whatever form it comes. */
  read: (text: string): Promise<TranscriptReading> => readTranscript(text),

  /** The talk of a post; null where it has none. */
  async view(postId: string): Promise<TalkView | null> {
    const desk = await deskOf(postId);
    if (!desk) return null;
    const { row, written } = desk;
    const transcript = transcriptOf(row);
    return {
      lines: linesOf(written),
      words: written.words.length,
      left: written.left.filter((why) => why !== null).length,
      sections: written.sections.length,
      seconds: lengthOf(transcript),
      timed: isTimed(transcript),
      questions: written.questions,
      quotations: written.quotations,
      summary: written.summary,
    };
  },

  /** The draft that the talk of a post becomes; null where it has none. */
  async draftOf(postId: string, wishes: TalkDraftWishes): Promise<Draft | null> {
    const desk = await deskOf(postId);
    return desk ? talkDraft(desk.written, wishes, () => crypto.randomUUID()) : null;
  },

  /** The whole transcript as a fold; null where the post has no talk. */
  async foldOf(postId: string): Promise<Block | null> {
    const row = await talkOf(postId);
    return row ? transcriptFold(transcriptOf(row), crypto.randomUUID()) : null;
  },

  /** The sections that were heard in the talk of a post. */
  async sectionsOf(postId: string): Promise<HeardSection[]> {
    const desk = await deskOf(postId);
    return (desk?.written.sections ?? []).map(({ heading, start, paragraphs }) => ({
      heading,
      start,
      said: paragraphs.map(({ sentences }) => sentences.map(({ text }) => text).join(' ')).join('\n'),
      words: paragraphs.reduce(
        (sum, { sentences }) => sum + sentences.reduce((own, { words }) => own + words.length, 0),
        0,
      ),
    }));
  },

  /** A draft held against the talk of its post; null where it has none. */
  async accountOf(postId: string, draft: Draft): Promise<FidelityAccount | null> {
    const desk = await deskOf(postId);
    return desk ? fidelityAccount(draft, desk.spoken, desk.written.left) : null;
  },

  /** Which of some phrases hold words that nobody said, and where the speaker came near. */
  async unspokenOf(postId: string, phrases: readonly string[]): Promise<Unspoken[]> {
    const desk = await deskOf(postId);
    if (!desk) return [];
    const sentences = desk.written.sections.flatMap(({ paragraphs }) =>
      paragraphs.flatMap((one) => one.sentences),
    );
    return phrases.flatMap((phrase) => unspoken(phrase, desk.spoken, sentences, bases) ?? []);
  },
};

export type Talk = typeof talk;
