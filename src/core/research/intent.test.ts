import { describe, expect, it } from 'vitest';
import { intentOf } from './intent.ts';
import { INTENT_PHRASES } from './intent-phrases.test-data.ts';

const judged = Object.entries(INTENT_PHRASES).flatMap(([intent, lines]) =>
  lines.split('\n').map((phrase) => ({ phrase, intent })),
);

describe('what somebody who types a phrase wants', () => {
  it('is told of nine in ten of 150 phrases as a person would, by their form alone', () => {
    const wrong = judged
      .filter(({ phrase, intent }) => intentOf({ phrase, found: null }).intent !== intent)
      .map(({ phrase, intent }) => `${phrase}: ${intent}`);
    expect(judged.length).toBeGreaterThanOrEqual(150);
    expect(wrong.length / judged.length, wrong.join('\n')).toBeLessThanOrEqual(0.1);
  });
  it('is told for words that objects have, too', () => {
    for (const phrase of ['constructor', '__proto__', 'toString valueOf', ''])
      expect(intentOf({ phrase, found: null }).intent).toBe('informational');
  });
});
