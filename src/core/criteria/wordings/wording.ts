/** By what sentences that state figures are told from others. */
export interface ClaimWords {
  /** What every figure has one of: most sentences have none, and are not gone through for each form. */
  mayBe: RegExp;
  /** A share, a multiple or a ratio: a figure by itself. */
  figure: RegExp;
  money: RegExp;
  /** Who speaks of their own prices is their source: the house. */
  ownVoice: RegExp;
  /** Words by which a figure names the writer's own count as its source: "flats that we see", "in our workshop". */
  ownCount: RegExp;
  /** How something is set is no figure about the world. */
  setting: RegExp;
  /** A year that something is dated by; global. */
  dated: RegExp;
  /** A figure that counts something: no year, no number of a version or a standard ("Debian 7", "RFC 1945", "1.0"). */
  counted: RegExp;
  /** How a sentence begins that goes on from the one before, whose link is its own: "A study followed 200. It found twice as many." */
  goesOn: RegExp;
  /** Whether a sentence tells the reader to do something: advice, whatever number stands in it. */
  isAdvice(sentence: string): boolean;
}

/** Words that are true on the day on which they are written, and how a figure is dated. */
export interface AgeingWords {
  /** Global. */
  words: RegExp;
  /** Every one of those holds one of these words, folded. */
  hints: ReadonlySet<string>;
  /** A dated figure with its year as the first group; global. */
  dated: RegExp;
}

/** Phrases that say nothing, in lower case. */
export interface StockWords {
  /** Those that stand before a statement: they can go, with what follows begun anew, and the sentence is right. */
  openers: readonly string[];
  /** Those that fill where something could have been said. */
  fillers: readonly string[];
  /** Words by which they are looked for, one of each phrase at least; absent: the longest word of each. */
  rare?: ReadonlySet<string>;
}

/** In what form a query is answered. */
export type AnswerForm = 'definition' | 'steps' | 'number' | 'price' | 'comparison' | 'statement';

/** By what a sentence is told to answer a query. */
export interface AnswerWords {
  /** The form that a query asks for, by its folded words; the first that fits. */
  forms: readonly [RegExp, AnswerForm][];
  /** Verbs that say something of what stands before them; global where `isVerb` is null. */
  linking: RegExp;
  price: RegExp;
  number: RegExp;
  comparing: RegExp;
  /** Sentences that show what they are about: "Here are thirty touring terms". */
  showing: RegExp;
  /** Whether a sentence tells the reader to do something, as a step does. */
  isOrder(sentence: string): boolean;
  /** Whether a folded word is hardly ever anything but such a verb; null where all that are known are in the list. */
  isVerb: ((form: string) => boolean) | null;
}

/** By what sentences are told that are alike, and those that lean on one before. All words folded. */
export interface StyleWords {
  /** Words that open a sentence which goes on from another. */
  openers: ReadonlySet<string>;
  /** Words that stand for something named before. */
  pointing: ReadonlySet<string>;
  /** Of whom it speaks: you, we, I, she, he, they, it. */
  persons: readonly ReadonlySet<string>[];
  modals: ReadonlySet<string>;
  negations: ReadonlySet<string>;
  conditions: ReadonlySet<string>;
  isPast(form: string): boolean;
  articles: ReadonlySet<string>;
  prepositions: ReadonlySet<string>;
  /** As what a word begins a sentence: as an order, as a noun, or neither. */
  beginsAs(form: string): 'order' | 'noun' | null;
}

/** How a language says what the criteria look for. */
export interface Wording {
  claims: ClaimWords;
  ageing: AgeingWords;
  stock: StockWords;
  answers: AnswerWords;
  style: StyleWords;
}
