import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PhraseMatcher } from './matcher.ts';
import { matchingOf } from './matching.ts';
import { tokenize } from './tokens.ts';
import { Vocabulary } from './vocabulary.ts';

const vocabulary = new Vocabulary();

function find(keyword: string, text: string, english = true) {
  return new PhraseMatcher([keyword], vocabulary, matchingOf(english ? 'en' : '')).match(
    text,
    tokenize(text, vocabulary),
  );
}
const kinds = (keyword: string, text: string, english = true) =>
  find(keyword, text, english).map((match) => match.kind);

describe('kinds of a match', () => {
  it.each([
    ['bike tour packing list', 'Our Bike Tour Packing List is short.', 'exact'],
    ['bike tour packing list', 'Our bike-tour packing list is short.', 'joined'],
    ['ecommerce blog', 'An e-commerce blog for riders.', 'joined'],
    ['e-commerce blog', 'An ecommerce blog for riders.', 'joined'],
    ['set up', 'The setup takes an hour.', 'joined'],
    ['setup', 'We set up camp at six.', 'joined'],
    ['blog traffic with photos', 'Where blogging traffic from photos comes from', 'inflected'],
    ['touring bike', 'Two touring bikes stand ready.', 'inflected'],
    ['touring bike', "The touring bike's frame is steel.", 'inflected'],
    ['waterproof panniers', 'A waterproof pannier costs more.', 'inflected'],
    ['choose a child seat', 'We chose a seat; choosing child seats is hard', 'inflected'],
    ['bike touring tips', 'These bike and ferry touring tips help.', 'split'],
    ['bike tour packing list', 'Bike tour: packing list for April', 'split'],
    ['touring brake pads', 'Brake pads for touring last longer.', 'reordered'],
    ['how to pack a bike', 'A bike to pack', 'reordered'],
    ['convert word to pdf', 'They convert Word into PDF.', 'inflected'],
  ])('%s in "%s" is %s', (keyword, text, kind) => {
    expect(kinds(keyword, text)).toContain(kind);
  });

  it.each([
    ['universe map', 'A university map.'],
    ['news', 'A new saddle.'],
    ['pasting', 'In the past.'],
    ['organ', 'To organize a ride.'],
    ['bike tour packing list', 'A bike tour list'],
    ['bike tour', 'Take your bike. Tour the coast.'],
    ['word to pdf', 'PDF to Word in one step.'],
    ['word to pdf', 'Word from PDF in one step.'],
    ['cycle touring', 'Tours, and a cycle.'],
    ['general advice', 'We generate advice.'],
    ['tent without poles', 'A tent with poles.'],
    ['rat bike', 'Rating bike.'],
  ])('%s is not in "%s"', (keyword, text) => {
    expect(kinds(keyword, text)).toEqual([]);
  });

  it('gives each place once, to the best kind', () => {
    const text = 'Bike tours, a bike tour and a tour by bike.';
    expect(kinds('bike tour', text)).toEqual(['inflected', 'exact', 'reordered']);
  });

  it('says where it stands, in code units of the text', () => {
    const text = 'Rent 🚲 touring bikes here';
    const [match] = find('touring bike', text);
    expect(text.slice(match.start, match.end)).toBe('touring bikes');
  });

  it('finds hundreds of phrases in one pass as if each were alone', () => {
    const phrases = Array.from(
      { length: 300 },
      (_, i) => ['bike bag', 'tent peg', 'ferry time', 'rain cape'][i % 4] + (i > 3 ? ` ${i}` : ''),
    );
    const text = 'Bags for bikes. A bike bag, tent pegs and a rain cape 7 for the ferry times.';
    const together = new PhraseMatcher(phrases, vocabulary, matchingOf('en')).match(
      text,
      tokenize(text, vocabulary),
    );
    for (const [index, phrase] of phrases.entries()) {
      expect(together.filter((match) => match.phrase === index).map((match) => match.start)).toEqual(
        find(phrase, text).map((match) => match.start),
      );
    }
  });
});

describe('other languages', () => {
  it('matches whole words by case only', () => {
    expect(kinds('Radreise Packliste', 'Die RADREISE PACKLISTE ist kurz.', false)).toEqual(['exact']);
    expect(kinds('Radreise', 'Zwei Radreisen.', false)).toEqual([]);
    expect(kinds('قائمة الرحلة', 'هذه قائمة الرحلة القصيرة.', false)).toEqual(['exact']);
  });
  it('finds phrases in scripts without spaces by their characters', () => {
    expect(kinds('自転車旅行', '春の自転車旅行はたのしい。自転車旅行の準備。', false)).toEqual([
      'exact',
      'exact',
    ]);
  });
});

describe('the matcher', () => {
  it('never throws and never overlaps, whatever the text and the phrase', () => {
    const words = fc.constantFrom(
      'bike',
      'bikes',
      'tour',
      'touring',
      'the',
      'to',
      'e',
      'list',
      ',',
      '.',
      '-',
      '\ud800',
      '自転車',
      '’s',
    );
    const some = fc.array(words, { maxLength: 30 }).map((list) => list.join(' '));
    fc.assert(
      fc.property(
        fc.oneof(some, fc.string()),
        fc.oneof(some, fc.string({ maxLength: 30 })),
        fc.boolean(),
        (text, phrase, english) => {
          const matches = find(phrase, text, english);
          for (const [at, match] of matches.entries()) {
            expect(match.end).toBeGreaterThan(match.start);
            if (at > 0) expect(match.start).toBeGreaterThanOrEqual(matches[at - 1].end);
          }
        },
      ),
      { numRuns: 400 },
    );
  });
});
