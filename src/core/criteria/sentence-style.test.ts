import { describe, expect, it } from 'vitest';
import { tokenize, Vocabulary } from '../language/index.ts';
import { SentenceStyles, TRAITS } from './sentence-style.ts';
import { wordingOf } from './wordings/index.ts';

const vocabulary = new Vocabulary();
const styles = new SentenceStyles(vocabulary, wordingOf('en')!.style);
const read = (text: string) => styles.read(text, tokenize(text, vocabulary));

describe('a sentence that leans on one before', () => {
  it.each([
    'It drips all night.',
    'But nobody looked.',
    'Take it off first.',
    'Both of them were wet.',
    'Afterwards we slept.',
    'Put one under the lamp.',
  ])('%s', (text) => expect(read(text)).toMatchObject({ leaning: 1, opensLeaning: true }));
  it.each([
    'The valve stands between two spokes.',
    'Pump the tyre until the gauge jumps.',
    'A tent of good size needs a second rack beside the panniers, and they need hooks.',
    'Salt is hard on a chain.',
  ])('is not: %s', (text) => expect(read(text)).toMatchObject({ leaning: 0, opensLeaning: false }));
  it('is counted wherever it stands, and told where it opens a paragraph', () =>
    expect(read('The valve leaks. It wants a new core. The core is small.')).toMatchObject({
      leaning: 1,
      opensLeaning: false,
    }));
});

describe('what sentences are like', () => {
  const alike = (one: string, other: string) => {
    const [a, b] = [read(one).traits, read(other).traits];
    return a.reduce((sum, count, at) => sum + Math.min(count, b[at]), 0);
  };
  it('tells orders from stories and from what is said of the reader', () => {
    const order = 'Lay the tent on the rack.';
    expect(alike(order, 'Roll the tent on the grass.')).toBeGreaterThan(
      alike(order, 'Last year she rode to Marl and slept in a barn behind the old mill.'),
    );
    const story = 'She rode to Marl and slept in a barn.';
    expect(alike(story, 'She pitched it in the yard and went home.')).toBeGreaterThan(
      alike(story, 'You will need 12 litres if the day is hot.'),
    );
  });
  it('counts each trait once a sentence, whatever the words are called', () => {
    const { traits, leaning } = read(
      'constructor toString. __proto__ hasOwnProperty valueOf. Constructor it is.',
    );
    expect(traits).toHaveLength(TRAITS);
    for (const count of traits) expect(count).toBeLessThanOrEqual(3);
    expect(leaning).toBe(1);
  });
});
