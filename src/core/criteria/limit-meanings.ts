import type { Limits } from './limits.ts';

/** How a limit reads to the person who sets it. */
export interface LimitMeaning {
  name: keyof Limits;
  title: string;
  /** What its numbers count. */
  unit: string;
  meaning: string;
  /** One number, two with their names, or the four corners of a ramp (each may be left open). */
  shape: 'number' | readonly [string, string] | 'ramp';
}

/** Names of a ramp's corners, in order. */
export const RAMP_CORNERS = ['nothing up to', 'full from', 'full to', 'nothing from'] as const;

/** Every limit of a profile with its meaning, in the order of the criteria that use it. */
export const LIMIT_MEANINGS: readonly LimitMeaning[] = [
  {
    name: 'metaTitlePixels',
    title: 'Meta title',
    unit: 'px',
    meaning: 'How wide the meta title may be as results set it, at 20 px.',
    shape: 'ramp',
  },
  {
    name: 'metaDescriptionPixels',
    title: 'Meta description',
    unit: 'px',
    meaning: 'How wide the meta description may be as results set it, at 14 px.',
    shape: 'ramp',
  },
  {
    name: 'phoneCutPixels',
    title: 'Cut on a phone',
    unit: 'px',
    meaning: 'Where a phone cuts the description; the keyword should end before it.',
    shape: 'number',
  },
  {
    name: 'slugWords',
    title: 'Words of a slug',
    unit: 'words',
    meaning: 'So many at most, those of the keyword not counted.',
    shape: 'number',
  },
  {
    name: 'headingRunWords',
    title: 'Words between headings',
    unit: 'words',
    meaning: 'A longer run without a heading loses points.',
    shape: 'number',
  },
  {
    name: 'headingKeywordShare',
    title: 'Headings with a keyword',
    unit: 'share',
    meaning: 'Share of the level 2 and 3 headings that name the keyword or a supporting one (1 is all).',
    shape: 'ramp',
  },
  {
    name: 'headingCharacters',
    title: 'Length of a heading',
    unit: 'characters',
    meaning: 'A heading beyond it counts as a fault.',
    shape: 'number',
  },
  {
    name: 'introWords',
    title: 'Introduction',
    unit: 'words',
    meaning: 'The first words of the body, in which the keyword should stand.',
    shape: 'number',
  },
  {
    name: 'keywordUses',
    title: 'Uses of the keyword',
    unit: 'uses',
    meaning: 'So many are enough; more earn nothing.',
    shape: 'number',
  },
  {
    name: 'keywordRate',
    title: 'Too many uses',
    unit: 'in 100 words',
    meaning: 'From the first number on uses cost points; at the second nothing is left.',
    shape: ['still full', 'nothing left'],
  },
  {
    name: 'wordsPerImage',
    title: 'One picture for',
    unit: 'words',
    meaning: 'How many words one picture is enough for.',
    shape: 'number',
  },
  {
    name: 'altWords',
    title: 'Shortest alt text',
    unit: 'words',
    meaning: 'A shorter one describes nothing.',
    shape: 'number',
  },
  {
    name: 'altCharacters',
    title: 'Longest alt text',
    unit: 'characters',
    meaning: 'Screen readers read it in one go.',
    shape: 'number',
  },
  {
    name: 'imageNameWords',
    title: 'Words of a file name',
    unit: 'words',
    meaning: 'A picture called by so many real words says what it shows.',
    shape: ['at least', 'at most'],
  },
  {
    name: 'imageKilobytes',
    title: 'Weight of a picture',
    unit: 'kB',
    meaning: 'Heavier files slow the page.',
    shape: 'ramp',
  },
  {
    name: 'imagePixels',
    title: 'Width of a picture',
    unit: 'px',
    meaning: 'A wider file earns half.',
    shape: 'number',
  },
  {
    name: 'internalLinks',
    title: 'Links to your own pages',
    unit: 'in 1,000 words',
    meaning: 'Home page and the post itself are not counted.',
    shape: 'ramp',
  },
  {
    name: 'bodyWords',
    title: 'Length without a brief',
    unit: 'words',
    meaning: 'What a post is measured against where its brief names no length.',
    shape: 'number',
  },
  {
    name: 'bodyLength',
    title: 'Length against the target',
    unit: 'times',
    meaning: 'Words of the body over the target (1 is just as long).',
    shape: 'ramp',
  },
  {
    name: 'readingEase',
    title: 'Reading ease',
    unit: 'Flesch',
    meaning: 'The band of the Flesch Reading Ease that your readers like; higher is easier.',
    shape: ['from', 'to'],
  },
  {
    name: 'readingEaseMargin',
    title: 'Distance from that band',
    unit: 'Flesch',
    meaning: 'So far outside of it nothing is left.',
    shape: 'number',
  },
  {
    name: 'paragraphWords',
    title: 'Longest paragraph',
    unit: 'words',
    meaning: 'A longer one loses readers on a phone.',
    shape: 'number',
  },
  {
    name: 'sentenceWords',
    title: 'Long sentence',
    unit: 'words',
    meaning: 'A sentence with more counts as long.',
    shape: 'number',
  },
  {
    name: 'sentenceShare',
    title: 'Sentences that are not long',
    unit: 'share',
    meaning: 'Share of the sentences within that length (1 is all).',
    shape: 'ramp',
  },
  {
    name: 'voiceNearness',
    title: 'Near to the voice',
    unit: 'of 100',
    meaning: 'How near a text is to the voice of the house; it counts where that is given a weight.',
    shape: 'ramp',
  },
  {
    name: 'wordsPerScanPoint',
    title: 'One list, table or quote for',
    unit: 'words',
    meaning: 'What lets a reader skim.',
    shape: 'number',
  },
  {
    name: 'postWords',
    title: 'Words of a post',
    unit: 'words',
    meaning: 'Below it, or below a third of the length wished, all else counts for less.',
    shape: 'number',
  },
  {
    name: 'judgeableWords',
    title: 'Words to be judged by',
    unit: 'words',
    meaning: 'Below it, the absence of faults earns nothing yet.',
    shape: 'number',
  },
];
