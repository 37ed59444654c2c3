import type { Draft } from '../../draft/index.ts';
import { plainWords } from '../../language/index.ts';
import { voiceReading } from './reading.ts';
import { learnVoice, quartilesOf, type VoiceFigures } from './voice.ts';
import { type VoiceLine, voiceLines } from './voice-lines.ts';

/** A line of a voice as its house keeps it. */
export interface KeptLine extends VoiceLine {
  /** The house's own words for it; empty: as it was learnt. */
  own: string;
  /** It is not said. */
  off: boolean;
}

/** A voice of a house: learnt from posts, put right by hand. */
export interface HouseVoice {
  id: string;
  name: string;
  /** Posts that it was learnt from. */
  posts: string[];
  /** UTC instant at which it was learnt. */
  learnt: string;
  figures: VoiceFigures;
  lines: KeptLine[];
  /** Rules of the house that no counting finds. */
  further: string[];
  /** Two short passages that sound like it. */
  passages: string[];
}

/** What of a voice goes along with a request. */
export interface VoiceAlong {
  name: string;
  rules: string[];
  passages: string[];
}

/** Words of a passage that goes along. */
const PASSAGE_FROM = 35;
const PASSAGE_TO = 90;

/** Two paragraphs that are most like the voice in the length of their sentences, from different posts where there are several. */
export function voicePassages(samples: readonly Draft[], figures: VoiceFigures): string[] {
  const found = samples.flatMap((draft, post) =>
    voiceReading(draft).paragraphs.flatMap(({ text, sentences, inList }) => {
      const words = plainWords(text).length;
      if (inList || sentences.length < 3 || words < PASSAGE_FROM || words > PASSAGE_TO) return [];
      const lengths = quartilesOf(sentences.map((sentence) => plainWords(sentence).length));
      const off =
        Math.abs(lengths.median - figures.sentenceWords.median) +
        Math.abs(lengths.upper - figures.sentenceWords.upper);
      return [{ text, post, off }];
    }),
  );
  found.sort((a, b) => a.off - b.off || a.post - b.post || (a.text < b.text ? -1 : 1));
  const [first] = found;
  if (!first) return [];
  const second = found.find(({ post }) => post !== first.post) ?? found[1];
  return [first.text, ...(second ? [second.text] : [])];
}

/**
 * A voice learnt from posts, or learnt anew: what the house said of a line that is still there, its further rules and its name
 * stay. Null where the posts hold too little prose.
 */
export function houseVoice(
  samples: readonly { id: string; draft: Draft }[],
  { id, name, now, before }: { id: string; name: string; now: string; before?: HouseVoice },
): HouseVoice | null {
  const drafts = samples.map(({ draft }) => draft);
  const figures = learnVoice(drafts);
  if (!figures) return null;
  const sentences = drafts.flatMap((draft) => voiceReading(draft).paragraphs.flatMap((one) => one.sentences));
  const kept = new Map((before?.lines ?? []).map((line) => [line.id, line]));
  return {
    id,
    name: before?.name ?? name,
    posts: samples.map((sample) => sample.id),
    learnt: now,
    figures,
    lines: voiceLines(figures, sentences).map((line) => ({
      ...line,
      own: kept.get(line.id)?.own ?? '',
      off: kept.get(line.id)?.off ?? false,
    })),
    further: before?.further ?? [],
    passages: voicePassages(drafts, figures),
  };
}

/** What of a voice goes along with requests: its rules as the house says them, and its passages. */
export const voiceAlong = ({ name, lines, further, passages }: HouseVoice): VoiceAlong => ({
  name,
  rules: [...lines.filter(({ off }) => !off).map(({ own, rule }) => own.trim() || rule), ...further].filter(
    (rule) => rule.trim() !== '',
  ),
  passages: passages.filter((passage) => passage.trim() !== ''),
});

/** A voice as a text of a request. */
export const voiceRules = ({ rules, passages }: VoiceAlong): string =>
  [
    rules.length > 0 && `The voice of the house:\n${rules.map((rule) => `- ${rule}`).join('\n')}`,
    passages.length > 0 &&
      `Passages that sound like it (for the sound alone; say nothing of what they say):\n${passages.map((passage) => `> ${passage}`).join('\n\n')}`,
  ]
    .filter(Boolean)
    .join('\n\n');
