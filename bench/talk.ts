import type { Cue, Transcript } from '../src/core/talk/index.ts';
import { SpokenIndex, writeTalk } from '../src/core/talk/index.ts';
import { proseOf, seeded } from './prose.ts';

const FILLERS = ['um', 'uh', 'you know', 'i mean', 'okay so', 'sort of'];

/** An hour of speech of so many words, as captions without marks have it: fillers and doubled words among them, a pause now and then. */
export function talkOf(words: number, seed: number): Transcript {
  const random = seeded(seed);
  const prose = proseOf(words, seed)
    .split('\n')
    .filter((line) => !line.startsWith('#'))
    .join(' ');
  const said: { text: string; pause: number }[] = [];
  for (const raw of prose.split(/\s+/)) {
    const text = raw.toLowerCase().replace(/[^\p{L}\p{N}'’-]/gu, '');
    if (text === '') continue;
    if (random() < 0.04) said.push({ text: FILLERS[Math.floor(random() * FILLERS.length)], pause: 0 });
    if (random() < 0.01) said.push({ text, pause: 0 });
    said.push({ text, pause: /[.!?]$/.test(raw) ? 0.2 + random() : 0 });
    if (said.length >= words) break;
  }
  const cues: Cue[] = [];
  let time = 0;
  for (let from = 0; from < said.length; from += 8) {
    const line = said.slice(from, from + 8);
    const text = line.map((word) => word.text).join(' ');
    const start = time;
    time += text.length * 0.07;
    cues.push({ start, end: time, speaker: '', text });
    time += line.at(-1)?.pause ?? 0;
  }
  return { form: 'SRT', cues };
}

/** The talk written out, and every word of it traced back. */
export function talkWrittenAndTraced(transcript: Transcript): number {
  const talk = writeTalk(transcript);
  const spoken = new SpokenIndex(talk.words, talk.left);
  let traced = 0;
  for (const { heading, paragraphs } of talk.sections) {
    traced += spoken.trace(heading).length;
    for (const { sentences } of paragraphs)
      traced += spoken.trace(sentences.map(({ text }) => text).join(' ')).length;
  }
  return traced;
}
