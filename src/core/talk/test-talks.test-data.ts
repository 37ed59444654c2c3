import { readFileSync } from 'node:fs';

/** A word of a talk as it was said, with what a careful editor did with it. */
interface SaidWord {
  /** With its marks and capitals, as the editor wrote it. */
  text: string;
  /** The editor left it out. */
  left: boolean;
  speaker: string;
  /** Index of the sentence and of the section that it belongs to. */
  sentence: number;
  section: number;
  /** Seconds. */
  start: number;
  end: number;
}

/** A talk that was written down by hand: every filler marked, every sentence and section parted. */
export interface TestTalk {
  name: string;
  words: SaidWord[];
  /** Names of speakers, in order of their first word. */
  speakers: string[];
}

/** Numbers that look like chance and are the same each time. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}

/** Reads a talk: `{…}` is left out by the editor, `## …` begins a section, `Name: ` a turn of a speaker, a line a paragraph. */
export function testTalk(name: string): TestTalk {
  const source = readFileSync(new URL(`./test-talks/${name}.txt`, import.meta.url), 'utf8');
  const words: SaidWord[] = [];
  const random = chance(name.length * 7919 + 17);
  let [section, sentence, time, speaker] = [0, -1, 0.4, ''];
  const speakers: string[] = [];
  for (const line of source.split('\n')) {
    if (line.startsWith('## ')) {
      section += 1;
      time += 0.8 + random();
      continue;
    }
    const named = /^(\p{Lu}[\p{L} ]*): (.*)$/u.exec(line);
    if (named) {
      speaker = named[1];
      if (!speakers.includes(speaker)) speakers.push(speaker);
      time += 0.3;
    }
    let left = false;
    let fresh = true;
    for (const raw of (named?.[2] ?? line).split(/\s+/).filter(Boolean)) {
      if (raw.startsWith('{')) left = true;
      const text = raw.replace(/[{}]/g, '');
      const isLeft = left;
      if (raw.includes('}')) left = false;
      if (fresh) sentence += 1;
      const length = 0.16 + 0.035 * text.length + 0.05 * random();
      words.push({ text, left: isLeft, speaker, sentence, section, start: time, end: time + length });
      time += length;
      // People breathe between sentences, sometimes hardly, and now and then within one.
      fresh = /[.?!]$/.test(text);
      if (fresh) time += 0.15 + 0.9 * random();
      else if (/,$/.test(text)) time += 0.35 * random();
      else if (isLeft || random() < 0.06) time += 0.45 * random();
    }
  }
  return { name, words, speakers };
}

const bare = (text: string) => text.replace(/[^\p{L}\p{N}' ]/gu, '').toLowerCase();
const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
const long = (seconds: number, mark: string) =>
  `${two(seconds / 3600)}:${two((seconds / 60) % 60)}:${two(seconds % 60)}${mark}${String(Math.floor((seconds % 1) * 1000)).padStart(3, '0')}`;
const short = (seconds: number) => `${Math.floor(seconds / 60)}:${two(seconds % 60)}`;

/** Words in lines of captions: so many each, and a new one for a new speaker. */
function lines(words: readonly SaidWord[], most: number): SaidWord[][] {
  const out: SaidWord[][] = [];
  for (const word of words) {
    const last = out.at(-1);
    if (last && last.length < most && last[0].speaker === word.speaker) last.push(word);
    else out.push([word]);
  }
  return out;
}

/** Turns of speakers. */
const turns = (words: readonly SaidWord[]) => lines(words, Number.POSITIVE_INFINITY);
const plain = (line: readonly SaidWord[]) => line.map(({ text }) => bare(text)).join(' ');
const marked = (line: readonly SaidWord[]) => line.map(({ text }) => text).join(' ');

/** Ways in which one talk may be written down by somebody or something. */
export const FORMS = {
  rollingVtt: ({ words }: TestTalk) => {
    const all = lines(words, 6);
    const cues = all.map((line, at) => {
      const before = at > 0 ? `${plain(all[at - 1])}\n` : '';
      const timed = line
        .map(({ text, start }, index) =>
          index === 0 ? bare(text) : `<${long(start, '.')}><c> ${bare(text)}</c>`,
        )
        .join('');
      return `${long(line[0].start, '.')} --> ${long(all[at + 1]?.[0].start ?? line[line.length - 1].end, '.')} align:start position:0%\n${before}${timed}`;
    });
    return `WEBVTT\nKind: captions\nLanguage: en\n\n${cues.join('\n\n')}\n`;
  },
  voiceVtt: ({ words }: TestTalk) =>
    `WEBVTT\n\n${lines(words, 10)
      .map(
        (line) =>
          `${long(line[0].start, '.')} --> ${long(line[line.length - 1].end, '.')}\n<v ${line[0].speaker || 'Greta Vole'}>${marked(line)}</v>`,
      )
      .join('\n\n')}\n`,
  srt: ({ words }: TestTalk) =>
    lines(words, 8)
      .map(
        (line, at) =>
          `${at + 1}\n${long(line[0].start, ',')} --> ${long(line[line.length - 1].end, ',')}\n${plain(line)}\n`,
      )
      .join('\n'),
  capitalsSrt: ({ words }: TestTalk) =>
    lines(words, 7)
      .map(
        (line, at) =>
          `${at + 1}\n${long(line[0].start, ',')} --> ${long(line[line.length - 1].end, ',')}\n${at === 0 ? '>> ' : ''}${marked(line).toUpperCase()}\n`,
      )
      .join('\n'),
  arrows: ({ words }: TestTalk) =>
    lines(words, 9)
      .map(
        (line) => `${long(line[0].start, '.')} --> ${long(line[line.length - 1].end, '.')}\n${plain(line)}`,
      )
      .join('\n\n'),
  stampLines: ({ words }: TestTalk) =>
    lines(words, 7)
      .map((line) => `${short(line[0].start)}\n${plain(line)}`)
      .join('\n'),
  bracketNames: ({ words }: TestTalk) =>
    turns(words)
      .map((line) => `[${long(line[0].start, '').slice(0, 8)}] ${line[0].speaker}: ${marked(line)}`)
      .join('\n'),
  nameHeads: ({ words }: TestTalk) =>
    turns(words)
      .map((line) => `${line[0].speaker}   ${short(line[0].start)}\n${marked(line)}\n`)
      .join('\n'),
  questionsAnswers: ({ words }: TestTalk) =>
    turns(words)
      .map((line) => `${line[0].speaker}: ${marked(line)}`)
      .join('\n\n'),
  bareText: ({ words }: TestTalk) => plain(words),
};

/** Ten talks, each in a form of its own. */
export const TEST_TALKS: readonly (readonly [name: string, form: keyof typeof FORMS])[] = [
  ['packing-talk', 'rollingVtt'],
  ['chain-video', 'srt'],
  ['tide-podcast', 'bracketNames'],
  ['fit-workshop', 'stampLines'],
  ['first-tour-story', 'bareText'],
  ['tyre-webinar', 'voiceVtt'],
  ['night-riding', 'arrows'],
  ['kids-interview', 'questionsAnswers'],
  ['shop-meeting', 'nameHeads'],
  ['camping-lesson', 'capitalsSrt'],
];
