import { plainWords } from '../../language/index.ts';
import { DESCRIPTION_SIZE, pixelWidth } from '../../listing/index.ts';
import { sentenceSpans } from '../block-sentences.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { ramp } from '../ramp.ts';

/** Sentences of the text that are looked at. */
const LOOKED_AT = 60;

/** Words of a sentence among which one that points back is looked for, in languages beside English. */
const POINTING_WITHIN = 3;

/** Sentences that lean on one before, or that only point elsewhere, say nothing in a results listing. */
const LEANS =
  /^(?:it|its|this|that|these|those|they|them|he|she|but|and|so|then|also|however|therefore|instead|otherwise|such|both|here|there|see|note|click|read|for example|for instance|in addition|as mentioned)\b/i;

/** One of these so early, or anywhere, speaks of something that was said before. */
const POINTS_BACK =
  /^(?:[\p{L}\p{N}'’-]+[\s,]+){0,6}(?:it|its|they|them|their|this|that one)\b|\b(?:these|those(?! who)|on the other hand|above|below|so far|the former|the latter|as well)\b/iu;

interface Sentence {
  text: string;
  /** Match value of the keyword. */
  value: number;
  paragraph: number;
}

/** Whole sentences of the text for a results listing, by how well they fill it and name the keyword; the best first, none twice. */
export function descriptionCandidates(facts: DraftFacts, most = 2): string[] {
  const limits = facts.settings.limits.metaDescriptionPixels;
  const room = limits[2] ?? 920;
  const sentences = sentencesOf(facts);
  const rated: { text: string; rate: number; value: number; from: number }[] = [];
  for (let from = 0; from < sentences.length; from++) {
    if (leansBack(sentences[from].text, facts)) continue;
    let text = '';
    let value = 0;
    for (let at = from; at < sentences.length && at < from + 3; at++) {
      const next = text === '' ? sentences[at].text : `${text} ${sentences[at].text}`;
      const width = pixelWidth(next, DESCRIPTION_SIZE);
      if (width > room) break;
      text = next;
      value = Math.max(value, sentences[at].value);
      // Filled first, then named, then early in the text.
      const rate = 2 * ramp(width, limits) + (facts.keyword ? 1.5 * value : 0) - from / 60;
      rated.push({ text, rate, value, from });
    }
  }
  rated.sort((a, b) => b.rate - a.rate || a.from - b.from);
  const chosen: typeof rated = [];
  for (const candidate of rated) {
    if (chosen.length === most) break;
    // Where sentences name the keyword, those that do not are no choice.
    if (chosen.length > 0 && chosen[0].value > candidate.value) continue;
    // Two to choose from that begin with the same sentence are one.
    if (!chosen.some(({ from }) => Math.abs(from - candidate.from) < 2)) chosen.push(candidate);
  }
  return chosen.map(({ text }) => text);
}

/** Whether a sentence says nothing where the one before is not read. */
function leansBack(text: string, { english, wording }: DraftFacts): boolean {
  if (english || !wording) return LEANS.test(text) || POINTS_BACK.test(text);
  const [first, ...others] = plainWords(text);
  const { openers, pointing, articles } = wording.style;
  return (
    (openers.has(first) && !articles.has(first)) ||
    others.slice(0, POINTING_WITHIN).some((word) => pointing.has(word) && !articles.has(word))
  );
}

function sentencesOf({ readings, keyword, titleBlock }: DraftFacts): Sentence[] {
  const out: Sentence[] = [];
  for (const [index, { paragraph, block, tokens, uses }] of readings.entries()) {
    if (!paragraph || index === titleBlock) continue;
    for (const { start, end, words } of sentenceSpans(block.text, tokens)) {
      const text = block.text.slice(start, end).replace(/\s+/g, ' ');
      // A question, a fragment and a line that announces a list are no descriptions.
      if (words < 5 || !/[.!]["'”’)]?$/.test(text)) continue;
      const value = keyword && uses.some(({ match }) => match.start >= start && match.end <= end) ? 1 : 0;
      out.push({ text, value, paragraph: index });
      if (out.length === LOOKED_AT) return out;
    }
  }
  return out;
}
