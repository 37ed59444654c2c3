import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { detectLanguage, isEnglish } from './detect.ts';
import { areVariants, inflectionCandidates } from './inflections.ts';
import { normalForm } from './normal.ts';
import { fleschKincaidGrade, fleschReadingEase } from './readability.ts';
import { asHeading } from './sentence-case.ts';
import { sentenceBreaks } from './sentences.ts';
import { stem } from './stems.ts';
import { syllablesOf } from './syllables.ts';
import { tokenize } from './tokens.ts';
import { Vocabulary } from './vocabulary.ts';

const vocabulary = new Vocabulary();
const read = (text: string) => tokenize(text, vocabulary);
const words = (text: string) => {
  const tokens = read(text);
  return Array.from(tokens.starts, (start, at) => text.slice(start, tokens.ends[at]));
};

describe('words', () => {
  it.each([
    ["The rider's map, 3.5 km at 1,200 m.", ['The', "rider's", 'map', '3.5', 'km', 'at', '1,200', 'm']],
    [
      'See saltmarsh.example for IMG_2041.jpg today.',
      ['See', 'saltmarsh.example', 'for', 'IMG_2041.jpg', 'today'],
    ],
    ['Stop.Go again', ['Stop', 'Go', 'again']],
    ['In the U.S. and e.g. here', ['In', 'the', 'U.S', 'and', 'e.g', 'here']],
    ['Überfahrt nach Süden', ['Überfahrt', 'nach', 'Süden']],
    ['— – …', []],
  ])('of "%s"', (text, expected) => expect(words(text)).toEqual(expected));

  it('counts hyphenated parts as one word for the reader', () => {
    const tokens = read('A well-known two-day tour');
    expect([tokens.length, tokens.words]).toEqual([6, 4]);
  });
  it('segments Japanese, Chinese and Thai', () => {
    expect(words('自転車で旅行します。').length).toBeGreaterThan(2);
    expect(words('我们骑自行车旅行').length).toBeGreaterThan(2);
    expect(words('ปั่นจักรยานเที่ยว').length).toBeGreaterThan(1);
  });
  it('keeps offsets in order and inside the text for any input', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (text) => {
        const tokens = read(text);
        let last = 0;
        for (let at = 0; at < tokens.length; at++) {
          expect(tokens.starts[at]).toBeGreaterThanOrEqual(last);
          expect(tokens.ends[at]).toBeGreaterThan(tokens.starts[at]);
          last = tokens.ends[at];
        }
        expect(last).toBeLessThanOrEqual(text.length);
      }),
    );
  });
});

describe('what a text that was read keeps', () => {
  it('is its own: nothing that is read after it changes it', () => {
    const text = 'Two riders met at the lock.';
    const before = words(text);
    const tokens = read(text);
    read('Something else, much longer than the first, and in other places altogether.');
    expect(Array.from(tokens.starts, (start, at) => text.slice(start, tokens.ends[at]))).toEqual(before);
  });
  it('is all of it, however many words it has', () => {
    const many = Array.from({ length: 10_000 }, (_, at) => `word${at}`);
    expect(words(many.join(' '))).toEqual(many);
  });
  it('is the same word in any case and composition', () => {
    const ids = ['Ångström', 'ÅNGSTRÖM', 'ångström', 'A\u030angstro\u0308m'].map((word) =>
      vocabulary.idOf(word),
    );
    expect(new Set(ids).size).toBe(1);
    expect(vocabulary.form(ids[0])).toBe('ångström');
  });
});

describe('sentences', () => {
  it('end at the marks of Arabic, Urdu and Hindi too', () => {
    expect(read('كم تكلف؟ قليلا.').sentenceCount).toBe(2);
    expect(read('یہ ہے۔ وہ ہے۔').sentenceCount).toBe(2);
    expect(read('यह है। वह है।').sentenceCount).toBe(2);
  });
  it.each([
    ['One. Two! Three? Four', 4],
    ['It costs 3.50 a day. Dr. Marsh rents it.', 2],
    ['Bring tools, e.g. a pump. Then ride.', 2],
    ['"Stop!" she said. He did.', 2],
    ['Wait… what? Yes.', 2],
    ['See packing.md. Then go.', 2],
    ['J. Reed rode on. I did too.', 2],
    ['No. That is wrong. See no. 4.', 3],
    ['雨です。行きません。', 2],
    ['Line one\nLine two', 2],
  ])('"%s" has %i', (text, count) => expect(read(text).sentenceCount).toBe(count));
  it('agree with the Unicode rules on plain prose', () => {
    const text =
      'We set out at dawn. The tide was low! Who had the map? Nobody did. By noon we had ridden forty kilometres, and the wind turned.';
    const ours = sentenceBreaks(text);
    const theirs = [...new Intl.Segmenter('en', { granularity: 'sentence' }).segment(text)]
      .map((part) => part.index)
      .slice(1);
    expect(ours).toEqual(theirs);
  });
});

describe('inflections', () => {
  const variants = (a: string, b: string) => {
    const [x, y] = [normalForm(a), normalForm(b)];
    return areVariants(x, inflectionCandidates(x), y, inflectionCandidates(y));
  };
  it.each(
    'bike/bikes tour/touring plan/planned plan/planning hope/hoping carry/carries carry/carried child/children ride/rode ride/riding box/boxes organise/organized blog/blogging pannier/panniers paste/pasting foot/feet buy/bought lens/lens'.split(
      ' ',
    ),
  )('%s are variants', (pair) => expect(variants(...(pair.split('/') as [string, string]))).toBe(true));
  it.each(
    'universe/university organ/organize news/new general/generate past/pasting rat/rating ring/red plan/planed hop/hoping bus/bu car/caring need/nee organ/organic'.split(
      ' ',
    ),
  )('%s are not', (pair) => expect(variants(...(pair.split('/') as [string, string]))).toBe(false));
});

describe('single words', () => {
  it('stems for grouping', () => expect([stem('touring'), stem('tours')]).toEqual(['tour', 'tour']));
  it.each([
    ['bicycle', 3],
    ['ride', 1],
    ['etc', 4],
    ['html', 4],
    ['estuary', 4],
    ['42', 2],
  ])('%s has %i syllables', (word, count) => expect(syllablesOf(word)).toBe(count));
  it('reading formulas give the published values', () => {
    // 100 words, 5 sentences, 130 syllables: 206.835 - 20.3 - 109.98; 7.8 + 15.34 - 15.59.
    expect(fleschReadingEase({ words: 100, sentences: 5, syllables: 130 })).toBeCloseTo(76.555, 9);
    expect(fleschKincaidGrade({ words: 100, sentences: 5, syllables: 130 })).toBeCloseTo(7.55, 9);
    expect(fleschReadingEase({ words: 0, sentences: 0, syllables: 0 })).toBeNull();
  });
});

describe('where a sentence ends', () => {
  it.each([
    ['He came on sat. The rest left.', 2],
    ['We sat. The rain fell.', 2],
    ['It is Plan B. We go.', 2],
    ['Take vitamin C. It helps.', 2],
    ['Ask Dr. Moss. She knows.', 2],
    ['J. Marsh wrote it.', 1],
    ['See fig. 3 for it.', 1],
    ['A ripe fig. The end.', 2],
    ['At 5 p.m. the ferry goes.', 1],
    ['Open Mon. 9 to 5.', 1],
  ])('"%s" is %i', (text, count) => expect(tokenize(text, new Vocabulary()).sentenceCount).toBe(count));
});

describe('English by its tag', () => {
  it.each([
    ['en', true],
    ['en-GB', true],
    ['en_US', true],
    ['EN', true],
    ['de', false],
    ['enm', false],
  ])('%s: %s', (tag, english) => expect(isEnglish(tag)).toBe(english));
});

describe('a phrase as a heading', () => {
  it.each([
    ['diy gps mount', 'DIY GPS mount'],
    ['how to read a pdf', 'How to read a PDF'],
    ['ios backup', 'iOS backup'],
    ['tide tables', 'Tide tables'],
  ])('"%s" is "%s"', (phrase, heading) => expect(asHeading(phrase)).toBe(heading));
});

describe('language of a text', () => {
  it.each([
    ['en', 'The tide was low and we had to wait for the ferry to the other side of the water.'],
    ['de', 'Wir haben auf die Fähre gewartet und sind dann mit dem Rad an der Küste entlang gefahren.'],
    ['fr', 'Nous avons pris le bac pour aller de l’autre côté, et la route était belle dans les dunes.'],
    ['ja', '春の自転車旅行はたのしいです。'],
    ['zh', '我们骑自行车去海边旅行。'],
    ['ar', 'ذهبنا إلى البحر على الدراجة من المدينة في الصباح ثم عدنا إلى البيت.'],
    ['en', ''],
    ['en', 'Panniers'],
  ])('%s', (language, text) => expect(detectLanguage(text)).toBe(language));
});
