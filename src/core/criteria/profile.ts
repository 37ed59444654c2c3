import type { CriterionId } from './criterion-ids.ts';
import { CRITERION_IDS } from './criterion-ids.ts';
import validate from './generated/profile-validator.js';

/** Corners of a ramp: 0 up to the first, 1 from the second to the third, 0 from the fourth; null leaves a side open. */
export type Ramp = [number | null, number | null, number | null, number | null];

/** Every limit that a criterion uses; units are in the names or beside them. */
export interface Limits {
  metaTitlePixels: Ramp;
  metaDescriptionPixels: Ramp;
  /** Where a phone cuts a description, in pixels. */
  phoneCutPixels: number;
  /** Words of a slug beside the keyword's. */
  slugWords: number;
  /** Words between two headings. */
  headingRunWords: number;
  headingKeywordShare: Ramp;
  headingCharacters: number;
  introWords: number;
  keywordUses: number;
  /** Uses per 100 words: full up to the first, nothing from the second. */
  keywordRate: [number, number];
  /** One picture for so many words. */
  wordsPerImage: number;
  altWords: number;
  altCharacters: number;
  imageNameWords: [number, number];
  imageKilobytes: Ramp;
  imagePixels: number;
  /** Internal links per 1,000 words. */
  internalLinks: Ramp;
  /** Words of a post without a brief. */
  bodyWords: number;
  /** Words over the target. */
  bodyLength: Ramp;
  readingEase: [number, number];
  /** Distance outside the band at which nothing is earned. */
  readingEaseMargin: number;
  paragraphWords: number;
  sentenceWords: number;
  sentenceShare: Ramp;
  /** One list, table or quote for so many words. */
  wordsPerScanPoint: number;
  /** Words of body from which the absence of faults counts. */
  judgeableWords: number;
}

/** Limits and weights by which drafts are scored. */
export interface Profile {
  version: 1;
  weights: Record<CriterionId, number>;
  limits: Limits;
}

/** The profile of a house that has set nothing. */
export const defaultProfile: Profile = {
  version: 1,
  weights: {
    'meta-title-width': 5,
    'meta-title-keyword': 4,
    'meta-title-distinct': 1,
    'meta-description-width': 5,
    'meta-description-keyword': 3,
    'slug-shape': 2,
    'slug-keyword': 2,
    'title-single': 3,
    'heading-order': 2,
    'heading-spacing': 4,
    'heading-keyword': 3,
    'heading-distinct': 2,
    'keyword-title': 4,
    'keyword-intro': 4,
    'keyword-rate': 4,
    'keyword-spread': 2,
    'supporting-keywords': 3,
    'keyword-free': 3,
    'staple-terms': 7,
    'supporting-terms': 3,
    'topics-covered': 4,
    'questions-answered': 2,
    'image-present': 3,
    'alt-present': 4,
    'alt-quality': 2,
    'alt-keyword': 2,
    'image-name': 2,
    'image-weight': 2,
    'links-internal': 4,
    'links-external': 2,
    'link-words': 2,
    'links-live': 2,
    'body-length': 4,
    'reading-ease': 3,
    'paragraph-length': 2,
    'sentence-length': 2,
    scannable: 1,
    'claims-sourced': 2,
  },
  limits: {
    metaTitlePixels: [0, 380, 580, 700],
    metaDescriptionPixels: [0, 640, 920, 1300],
    phoneCutPixels: 680,
    slugWords: 6,
    headingRunWords: 300,
    headingKeywordShare: [0, 0.15, 0.75, 1.2],
    headingCharacters: 70,
    introWords: 100,
    keywordUses: 3,
    keywordRate: [2.5, 5],
    wordsPerImage: 700,
    altWords: 2,
    altCharacters: 125,
    imageNameWords: [2, 8],
    imageKilobytes: [null, null, 200, 1000],
    imagePixels: 2400,
    internalLinks: [0, 2, 10, 25],
    bodyWords: 700,
    bodyLength: [0, 0.9, 1.6, 3],
    readingEase: [50, 75],
    readingEaseMargin: 25,
    paragraphWords: 120,
    sentenceWords: 25,
    sentenceShare: [0.4, 0.75, null, null],
    wordsPerScanPoint: 800,
    judgeableWords: 50,
  },
};

/** A profile read from outside: the whole one, or why it cannot be used. */
export type ProfileReading = { profile: Profile; problem: null } | { profile: null; problem: string };

/**
 * Reads a profile from parsed JSON. It may leave out weights and limits (the defaults stand); unknown names,
 * wrong shapes, weights that are all zero and ramps that do not rise are refused with a sentence.
 */
export function readProfile(json: unknown): ProfileReading {
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
    const extra = error?.params?.additionalProperty
      ? ` ("${error.params.additionalProperty}" is not known)`
      : '';
    return {
      profile: null,
      problem: `The profile is not valid${where}: ${error?.message ?? 'unknown shape'}${extra}.`,
    };
  }
  const given = json as { weights?: Partial<Profile['weights']>; limits?: Partial<Limits> };
  const profile: Profile = {
    version: 1,
    weights: { ...defaultProfile.weights, ...given.weights },
    limits: { ...defaultProfile.limits, ...given.limits },
  };
  if (CRITERION_IDS.every((id) => profile.weights[id] === 0))
    return {
      profile: null,
      problem: 'The profile gives every criterion the weight 0: nothing could be scored.',
    };
  for (const [name, value] of Object.entries(profile.limits)) {
    if (!Array.isArray(value)) continue;
    const corners = value.filter((corner): corner is number => corner !== null);
    if (corners.some((corner, at) => at > 0 && corner < corners[at - 1]))
      return { profile: null, problem: `The profile's limit ${name} must rise from left to right.` };
  }
  return { profile, problem: null };
}
