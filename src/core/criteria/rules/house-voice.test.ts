import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../../draft/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { emptyScene, scorePost } from '../../scoring/index.ts';
import { indexedPost, unknownSite } from '../../site/index.ts';
import { learnVoice } from '../../writing/index.ts';
import { DraftReadings, defaultProfile, type Profile } from '../index.ts';
import { PROSE } from '../judge.test-data.ts';

const voice = learnVoice([readMarkdown(Array.from({ length: 6 }, () => PROSE).join('\n\n')).draft])!;
const weighing = (weight: number): Profile => ({
  ...defaultProfile,
  weights: { ...defaultProfile.weights, 'house-voice': weight },
});

function line(
  md: string,
  {
    weight = 5,
    heard = true,
    language = '',
    house = '',
  }: { weight?: number; heard?: boolean; language?: string; house?: string } = {},
) {
  const read = readMarkdown(md);
  const document = { ...read, fields: { ...read.fields, language } };
  const scene = {
    ...emptyScene(),
    site: { ...unknownSite(), language: house, profile: weighing(weight) },
    voice: heard ? voice : null,
  };
  const { report } = scorePost(document, indexedPost('p', document), scene, new DraftReadings());
  return report.criteria.find(({ id }) => id === 'house-voice')!;
}

const OTHER = Array.from(
  { length: 3 },
  () =>
    'I am of the opinion that organisational interdependencies, notwithstanding their considerable administrative implications, necessitate comprehensive reconsideration by every participating department; I remain convinced of it!',
).join(' ');

describe('house-voice', () => {
  it('earns nothing and costs nothing unless the house gives it a weight and has a voice', () => {
    expect([line(PROSE, { weight: 0 }).applies, line(PROSE, { heard: false }).applies]).toEqual([
      false,
      false,
    ]);
    expect(defaultProfile.weights['house-voice']).toBe(0);
  });
  it('is full for a text like the samples', () => {
    const { applies, points, available, measured } = line(`${PROSE} We came home late.\n\n${PROSE}`);
    expect([applies, points === available]).toEqual([true, true]);
    expect(measured).toBeGreaterThanOrEqual(80);
  });
  it('says of another text how far it is, what differs most, and where', () => {
    const { points, available, measured, advice, evidence } = line(`${PROSE}\n\n${OTHER}`);
    expect(points).toBeLessThan(available);
    expect(measured).toBeLessThan(80);
    expect(advice).toMatch(
      /^It is \d+ of 100 near to the voice of the house\. .+; in the voice|the voice has/,
    );
    expect(evidence.map(({ quote }) => quote)).toEqual([OTHER]);
  });
  it('may be held against a text of any word', () => {
    for (const word of HOSTILE_WORDS)
      expect(Number.isFinite(line(`${PROSE} The ${word} is ${word}, and ${word}.`).points)).toBe(true);
  });
  it('is not held against a post in another language than that of the house', () => {
    const applies = (language: string, house: string) => line(PROSE, { language, house }).applies;
    expect([applies('de', 'en'), applies('en-GB', 'en'), applies('', 'en-GB'), applies('en', '')]).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });
  it('waits for text enough to hear a voice', () => expect(line('Short.').applies).toBe(false));
});

describe('a profile that was kept before a criterion and its limit came', () => {
  it('has the defaults for them, and scores', () => {
    const { 'house-voice': _weight, ...weights } = defaultProfile.weights;
    const { voiceNearness: _limit, ...limits } = defaultProfile.limits;
    const kept = { version: 1, weights: { ...weights, timely: 9 }, limits } as unknown as Profile;
    const document = readMarkdown(PROSE);
    const scoreBy = (profile: Profile) =>
      scorePost(
        document,
        indexedPost('p', document),
        { ...emptyScene(), site: { ...unknownSite(), profile } },
        new DraftReadings(),
      ).report;
    const whole = { ...defaultProfile, weights: { ...defaultProfile.weights, timely: 9 } };
    expect(scoreBy(kept)).toEqual(scoreBy(whole));
  });
});
