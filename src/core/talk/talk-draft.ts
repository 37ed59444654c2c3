import {
  type Block,
  type Container,
  type Draft,
  type EmbedKind,
  type NextId,
  TRANSCRIPT_FOLD,
} from '../draft/index.ts';
import type { SpokenWord } from './spoken-words.ts';
import { clock, isTimed, type Transcript } from './transcript.ts';
import type { TalkParagraph, WrittenTalk } from './written-talk.ts';

/** What a post from a talk shall have beside the text. */
export interface TalkDraftWishes {
  /** Where readers can play the recording; empty: nowhere. */
  address: string;
  kind: EmbedKind;
  /** Title of the recording. */
  title: string;
}

const paragraph = (id: string, text: string, path: Container[] = []): Block => ({
  id,
  kind: 'paragraph',
  path,
  text,
  marks: [],
});

/** Whether more than one voice is heard. */
const hasVoices = (words: readonly SpokenWord[]): boolean =>
  new Set(words.map(({ speaker }) => speaker).filter(Boolean)).size > 1;

/**
 * The draft of a talk: the recording on top where readers can play it, its sections under headings of level 2, counted items as a
 * list; who speaks in bold in front of each turn where there is more than one voice.
 */
export function talkDraft(
  { sections, words }: WrittenTalk,
  { address, kind, title }: TalkDraftWishes,
  nextId: NextId,
): Draft {
  const blocks: Block[] = [];
  const voices = hasVoices(words);
  if (address.trim())
    blocks.push({
      id: nextId(),
      kind: 'embed',
      path: [],
      text: title.trim(),
      marks: [],
      embed: { href: address.trim(), kind },
    });
  let speaker = '';
  for (const { heading, paragraphs } of sections) {
    if (heading) blocks.push({ id: nextId(), kind: 'heading', level: 2, path: [], text: heading, marks: [] });
    let list: string | null = null;
    for (const one of paragraphs) {
      const text = one.sentences.map((sentence) => sentence.text).join(' ');
      if (one.kind === 'item') {
        const id = nextId();
        list ??= id;
        blocks.push(
          paragraph(id, text, [
            { type: 'list', key: list, ordered: true },
            { type: 'item', key: id },
          ]),
        );
        continue;
      }
      list = null;
      blocks.push(
        voices && one.speaker && one.speaker !== speaker
          ? labelled(nextId(), one, text)
          : paragraph(nextId(), text),
      );
      speaker = one.speaker;
    }
  }
  return { version: 1, blocks };
}

function labelled(id: string, { speaker }: TalkParagraph, text: string): Block {
  const label = `${speaker}:`;
  return { ...paragraph(id, `${label} ${text}`), marks: [{ type: 'bold', start: 0, end: label.length }] };
}

const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** Cues of one line of the transcript in a fold. */
const LINE_SECONDS = 30;

/**
 * The whole transcript as a fold for a post's end: it can be opened there, and counts nowhere. As it was said, by speaker, with a
 * time about every half minute.
 */
export function transcriptFold(transcript: Transcript, id: string): Block {
  const timed = isTimed(transcript);
  const lines: { start: number | null; speaker: string; texts: string[] }[] = [];
  for (const { start, speaker, text } of transcript.cues) {
    const last = lines.at(-1);
    const isLong = timed && last?.start != null && start !== null && start - last.start >= LINE_SECONDS;
    if (last && last.speaker === speaker && !isLong) last.texts.push(text.trim());
    else lines.push({ start, speaker, texts: [text.trim()] });
  }
  let before = '';
  const html = lines
    .map(({ start, speaker, texts }) => {
      const time = start === null ? '' : `<time>${clock(start)}</time> `;
      const name = speaker && speaker !== before ? `<b>${escaped(speaker)}:</b> ` : '';
      before = speaker;
      return `<p>${time}${name}${escaped(texts.join(' '))}</p>`;
    })
    .join('');
  return {
    id,
    kind: 'kept',
    path: [],
    text: '',
    marks: [],
    html: `<details class="${TRANSCRIPT_FOLD}"><summary>Transcript</summary>${html}</details>`,
    embeds: [],
  };
}

/** Whether a block is the fold of a whole transcript. */
export const isTranscriptFold = ({ kind, html }: Block): boolean =>
  kind === 'kept' && (html ?? '').startsWith(`<details class="${TRANSCRIPT_FOLD}">`);
