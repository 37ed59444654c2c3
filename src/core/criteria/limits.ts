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
  /** How near a text is to the voice of its house, of 100. */
  voiceNearness: Ramp;
  /** One list, table or quote for so many words. */
  wordsPerScanPoint: number;
  /** Words from which a draft is a post, where no length was wished. */
  postWords: number;
  /** Words of body from which the absence of faults counts. */
  judgeableWords: number;
}

/** The limits of a house that has set nothing. */
export const defaultLimits: Limits = {
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
  voiceNearness: [65, 80, null, null],
  wordsPerScanPoint: 800,
  postWords: 150,
  judgeableWords: 50,
};
