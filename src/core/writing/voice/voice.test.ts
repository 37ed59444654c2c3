import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../../draft/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { type HouseVoice, houseVoice, learnVoice, voiceAlong, voiceNearness, voiceRules } from './index.ts';
import { voiceCounts } from './reading.ts';

const folder = new URL('../../../demo/posts/', import.meta.url);
const posts = readdirSync(folder)
  .sort()
  .map((name) => ({ id: name, ...readMarkdown(readFileSync(new URL(name, folder), 'utf8')) }))
  .filter(({ fields }) => fields.status === 'published');
const samples = posts.slice(0, 12);
const voice = houseVoice(samples, { id: 'v', name: 'The workshop', now: '2026-11-30T00:00:00Z' })!;
const draftOf = (md: string) => readMarkdown(md).draft;
const world = new URL('../../../server/market/world/pages/', import.meta.url);

describe('a voice that is learnt from the demo’s posts', () => {
  it('has these figures', () => {
    const {
      posts: count,
      words,
      sentences,
      sentenceWords,
      paragraphWords,
      person,
      contractions,
      exclamations,
      ease,
    } = voice.figures;
    expect({ count, words, sentences, sentenceWords, paragraphWords, contractions, exclamations }).toEqual({
      count: 12,
      words: 7427,
      sentences: 430,
      sentenceWords: { lower: 12, median: 18, upper: 23, long: 29 },
      paragraphWords: { lower: 39, median: 54, upper: 69, long: 76 },
      contractions: 0,
      exclamations: 0,
    });
    expect(person.you).toBeCloseTo(15.9, 1);
    expect(person.we).toBeCloseTo(10, 1);
    expect(person.i).toBe(0);
    expect(ease).toBeCloseTo(68, 0);
  });
  it('is said as rules, each with its figures', () => {
    const rules = new Map(voice.lines.map(({ id, rule }) => [id, rule]));
    expect(rules.get('sentences')).toBe('Sentences have 12 to 23 words, and hardly ever more than 29.');
    expect(rules.get('person')).toBe(
      'It speaks to the reader as "you" and speaks of the house as "we"; it does not say "I".',
    );
    expect(rules.get('contractions')).toBe('Words are written in full: "it is", "do not", "you will".');
    expect(rules.get('exclamations')).toBe('No exclamation marks.');
    for (const { rule, figures, examples } of voice.lines) {
      expect(rule).toMatch(/\.$/);
      expect(figures).toMatch(/\d|never|Fewer/);
      for (const example of examples)
        expect(
          samples.some(({ draft }) =>
            draft.blocks.some(({ text }) => text.replace(/\s+/g, ' ').includes(example)),
          ),
        ).toBe(true);
    }
  });
  it('has two passages of its own, from two posts', () => {
    expect(voice.passages).toHaveLength(2);
    const from = voice.passages.map((passage) =>
      samples.findIndex(({ draft }) =>
        draft.blocks.some(({ text }) => text.replace(/\s+/g, ' ').trim() === passage),
      ),
    );
    expect(new Set(from).size).toBe(2);
    expect(Math.min(...from)).toBeGreaterThanOrEqual(0);
  });
  it('goes along as the house says it: own words, further rules, nothing that is off', () => {
    const own: HouseVoice = {
      ...voice,
      lines: voice.lines.map((line) =>
        line.id === 'sentences'
          ? { ...line, own: 'Keep sentences under thirty words.' }
          : { ...line, off: line.id === 'ease' },
      ),
      further: ['Never explain a joke.'],
    };
    const { rules } = voiceAlong(own);
    expect(rules[0]).toBe('Keep sentences under thirty words.');
    expect(rules.at(-1)).toBe('Never explain a joke.');
    expect(rules).not.toContain(voice.lines.find(({ id }) => id === 'ease')!.rule);
    expect(voiceRules(voiceAlong(own))).toMatch(
      /^The voice of the house:\n- Keep sentences[\s\S]+\n\nPassages that sound like it/,
    );
  });
  it('keeps what the house said of it when it is learnt anew', () => {
    const before = {
      ...voice,
      name: 'Ours',
      lines: voice.lines.map((line) => ({
        ...line,
        own: line.id === 'person' ? 'We and you.' : '',
        off: line.id === 'ease',
      })),
      further: ['Rule'],
    };
    const again = houseVoice(posts.slice(4, 14), { id: 'v', name: 'x', now: '', before })!;
    expect([again.name, again.further]).toEqual(['Ours', ['Rule']]);
    expect(again.lines.find(({ id }) => id === 'person')!.own).toBe('We and you.');
    expect(again.lines.find(({ id }) => id === 'ease')!.off).toBe(true);
    expect(again.figures.words).not.toBe(voice.figures.words);
  });
  it('is none of too little prose', () => expect(learnVoice([draftOf('One tide. Two tides.')])).toBeNull());
});

describe('a text that is held against a voice', () => {
  it('is nearer where it is of the house than where others wrote it, nineteen times in twenty', () => {
    // Each own post against a voice of the others.
    const own = posts.map(
      (post) =>
        voiceNearness(post.draft, learnVoice(posts.filter((one) => one !== post).map(({ draft }) => draft))!)
          .near!,
    );
    const theirs = readdirSync(world).flatMap((dir) =>
      readdirSync(new URL(`${dir}/`, world)).map(
        (file) =>
          voiceNearness(draftOf(readFileSync(new URL(`${dir}/${file}`, world), 'utf8')), voice.figures).near!,
      ),
    );
    let nearer = 0;
    for (const a of own) for (const b of theirs) nearer += a > b ? 1 : a === b ? 0.5 : 0;
    expect(theirs.length).toBeGreaterThan(100);
    expect(nearer / (own.length * theirs.length)).toBeGreaterThan(0.94);
  });
  it('is told what differs, with both figures, and by paragraph', () => {
    const { near, differences, paragraphs } = voiceNearness(
      draftOf(
        `I really love tide tables! I've read them all my life, and I'm telling you it's just the best thing ever!\n\n${'I think they are great! '.repeat(20)}`,
      ),
      voice.figures,
    );
    expect(near!).toBeLessThan(50);
    expect(differences[0].apart).toBeGreaterThanOrEqual(differences.at(-1)!.apart);
    expect(differences.map(({ says }) => says).join(' ')).toMatch(
      /"I" and "my" stand [\d.]+ times in 1,000 words; in the voice 0\.0 times\./,
    );
    expect(paragraphs[0].differences).toEqual(
      expect.arrayContaining([
        'An exclamation mark; the voice uses none.',
        'It says "I" or "my"; the voice does not.',
        expect.stringMatching(/words short/),
        expect.stringMatching(/"really"/),
      ]),
    );
  });
  it('has no nearness where it is short, and no remark where it is empty', () => {
    expect(voiceNearness(draftOf('Two bags.'), voice.figures).near).toBeNull();
    expect(voiceNearness(draftOf(''), voice.figures)).toEqual({
      near: null,
      differences: [],
      paragraphs: [],
    });
  });
  it('may be made of any words', () => {
    for (const word of HOSTILE_WORDS) {
      const found = voiceNearness(draftOf(`${word} is ${word}. `.repeat(40)), voice.figures);
      expect(JSON.stringify(found)).not.toMatch(/NaN|undefined/);
      expect(Number.isFinite(found.near ?? 0)).toBe(true);
    }
  });
});

describe('what is counted of prose', () => {
  it('is its words, persons, short forms and marks', () => {
    expect(voiceCounts(["We don't wait, and you can not.", 'Is it I who said "my"?', 'No!'])).toMatchObject({
      words: 14,
      sentences: 3,
      we: 1,
      you: 1,
      i: 2,
      contracted: 1,
      full: 1,
      questions: 1,
      exclamations: 1,
      commas: 1,
    });
  });
});
