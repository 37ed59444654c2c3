import { emptyFields, type PostFields } from '../draft/index.ts';
import type { FormatWish } from '../pictures/index.ts';
import type { LanguageRules } from '../proofreading/index.ts';
import { defaultResearchRules, type KeywordWish, type ResearchRules } from '../research/index.ts';
import type { HouseVoice, Pattern, TextWay } from '../writing/index.ts';

/** A point of the house's own checklist, which no program can judge. */
export interface ChecklistItem {
  id: string;
  text: string;
}

/** What a house decides once, for all of its posts. */
export interface House {
  /** What the site offers, in the house's own words. */
  offer: string;
  /** Briefs begin with these. */
  goal: string;
  audience: string[];
  tone: string;
  /** Words; null: no wish. */
  targetWords: number | null;
  authors: string[];
  checklist: ChecklistItem[];
  /** Weights and click curve of research; absent: as they come. */
  research?: ResearchRules;
  /** The format that pictures are put in; absent: what suits each. */
  pictureFormat?: FormatWish;
  /** Colours of pictures with a sentence; absent: dark on paper. */
  pictureColours?: { ground: string; words: string; line: string };
  /** Words of the house, and what is not spoken of; absent: nothing is decided. */
  language?: LanguageRules;
  /** How the site's own pages look, for the reader's view: its style sheet, and the pixels of the text's column. */
  reader?: { css: string; column: number };
  /** Where text comes from, and the voice that goes along (by its id; empty: none); absent: the stand-in, without a voice. */
  writing?: { way: TextWay; voice: string };
  /** Voices, learnt from posts. */
  voices?: HouseVoice[];
  /** The house's own patterns, in the order in which they are listed. */
  patterns?: Pattern[];
  /** Filters, order and columns of the keyword table under a name. */
  keywordViews?: { name: string; wish: KeywordWish; columns: string[] }[];
}

/** A house that has decided nothing. */
export const emptyHouse = (): House => ({
  offer: '',
  goal: '',
  audience: [],
  tone: '',
  targetWords: null,
  authors: [],
  checklist: [],
});

/** Fields of a new post: the brief as the house sets it, and the author where there is only one. */
export const houseFields = ({ goal, audience, tone, targetWords, authors }: House): PostFields => ({
  ...emptyFields(),
  goal,
  audience,
  tone,
  targetWords,
  author: authors.length === 1 ? authors[0] : '',
});

/** A house's rules of research. */
export const researchRulesOf = ({ research }: House): ResearchRules => research ?? defaultResearchRules();

/** Where text comes from at first. */
export const STAND_IN: TextWay = { kind: 'stand-in', base: '', model: '' };

/** Where a house's text comes from, and in which voice. */
export const writingOf = ({ writing }: House): { way: TextWay; voice: string } =>
  writing ?? { way: STAND_IN, voice: '' };

/** The voice in which a house has text written; null: none is chosen. */
export const voiceOf = (house: House): HouseVoice | null =>
  house.voices?.find(({ id }) => id === writingOf(house).voice) ?? null;
