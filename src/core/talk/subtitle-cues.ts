import { parseText } from 'media-captions';
import type { Cue } from './transcript.ts';

/** Entities that subtitles may hold; any other stays as it is written. */
const ENTITIES = new Map([
  ['amp', '&'],
  ['lt', '<'],
  ['gt', '>'],
  ['nbsp', ' '],
  ['quot', '"'],
  ['apos', "'"],
  ['lrm', ''],
  ['rlm', ''],
]);
const decoded = (text: string) =>
  text.replace(/&(\w{2,4}|#39);/g, (whole, name: string) =>
    name === '#39' ? "'" : (ENTITIES.get(name) ?? whole),
  );

/** Marks of a subtitle: tags, times within the line, and what places a line of SRT. */
const MARKUP = /<(\/?)([^<>]{0,200})>|\{\\[^{}]{0,100}\}/g;

/** The lines of one subtitle, each with whom it names and the words that have times of their own. */
function linesOf(raw: string): { text: string; speaker: string; turn: boolean; times: [number, number][] }[] {
  const lines: { text: string; speaker: string; turn: boolean; times: [number, number][] }[] = [];
  let speaker = '';
  for (const line of raw.split(/\r?\n/)) {
    let text = '';
    const times: [number, number][] = [];
    let last = 0;
    for (const hit of line.matchAll(MARKUP)) {
      text += decoded(line.slice(last, hit.index));
      last = hit.index + hit[0].length;
      const inside = hit[2] ?? '';
      const stamp = /^(?:(\d+):)?(\d{1,2}):(\d{2})\.(\d{3})$/.exec(inside);
      if (stamp)
        times.push([
          text.length,
          Number(stamp[1] ?? 0) * 3600 + Number(stamp[2]) * 60 + Number(stamp[3]) + Number(stamp[4]) / 1000,
        ]);
      const voice = /^v(?:\.[^\s]*)?\s+(.+)$/.exec(inside);
      if (voice && hit[1] === '') speaker = decoded(voice[1]).trim();
    }
    text += decoded(line.slice(last));
    if (text.trim() !== '') lines.push({ text, speaker, turn: false, times });
  }
  return lines;
}

/**
 * The cues of a WebVTT or SRT file, one for each line of a subtitle; tags are taken off, voice tags name the speaker, times
 * within a line are kept. What the file holds wrongly is passed over.
 */
export async function subtitleCues(text: string, type: 'vtt' | 'srt'): Promise<Cue[]> {
  const { cues } = await parseText(text, { type, strict: false, errors: false });
  return cues.flatMap(({ startTime, endTime, text: raw }) =>
    linesOf(raw).map(
      ({ text: line, speaker, times }): Cue => ({
        start: startTime,
        end: endTime > startTime ? endTime : null,
        speaker,
        text: line,
        ...(times.length > 0 ? { times } : {}),
      }),
    ),
  );
}
