import { openingSentences } from '../listing/index.ts';
import { sentenceSpans } from './block-sentences.ts';
import type { DraftFacts } from './draft-facts.ts';

/** Whole sentences of the opening that fit a results listing; empty where the first is too wide. */
export function openingDescription({ readings, settings }: DraftFacts): string {
  const sentences: string[] = [];
  for (const { paragraph, block, tokens } of readings) {
    if (!paragraph) continue;
    for (const { start, end } of sentenceSpans(block.text, tokens))
      sentences.push(block.text.slice(start, end).replace(/\s+/g, ' '));
    if (sentences.length > 5) break;
  }
  return openingSentences(sentences, settings.limits.metaDescriptionPixels[2] ?? 920);
}
