import { UnreadableFile } from '../draft/index.ts';
import {
  isConsistent,
  type Keyword,
  type PackedKeywords,
  type Question,
  type ResultPage,
  unpackKeywords,
} from '../research/index.ts';
import validate from './generated/market-answer-validator.js';

/** Reads the answer of a source of keyword figures; throws {@link UnreadableFile} where it is none. */
export function readMarketAnswer(answer: unknown): {
  keywords?: Keyword[];
  questions?: Question[];
  pages?: ResultPage[];
} {
  if (!validate(answer)) throw new UnreadableFile('gave an answer that cannot be read.');
  if (typeof answer === 'object' && answer !== null && 'phrases' in answer) {
    const packed = answer as PackedKeywords;
    if (!isConsistent(packed)) throw new UnreadableFile('gave figures that do not fit together.');
    return { keywords: unpackKeywords(packed) };
  }
  return answer as { questions?: Question[]; pages?: ResultPage[] };
}
