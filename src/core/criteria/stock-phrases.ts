import { plainWords } from '../language/index.ts';

/** Phrases that stand before a statement and add nothing to it: they can go, with what follows begun anew. */
const OPENERS = [
  'it is important to note that ',
  "it's important to note that ",
  'it is worth noting that ',
  "it's worth noting that ",
  'it is worth mentioning that ',
  'it should be noted that ',
  'it goes without saying that ',
  'it is no secret that ',
  "it's no secret that ",
  'the fact of the matter is that ',
  'the truth is that ',
  'needless to say, ',
  'as we all know, ',
  'as you may know, ',
  'at the end of the day, ',
  'when all is said and done, ',
  'last but not least, ',
  'first and foremost, ',
  'in conclusion, ',
  'all things considered, ',
  'in a nutshell, ',
];
/** Phrases that fill where something could have been said. */
const FILLERS = [
  "in today's world",
  "in today's fast-paced",
  "in today's digital",
  'in this day and age',
  'in the ever-changing',
  'in the ever-evolving',
  'ever-evolving landscape',
  'in the world of today',
  'since the dawn of time',
  'without further ado',
  'look no further',
  "let's dive in",
  'let us dive in',
  "let's take a closer look",
  'dive deep into',
  'take it to the next level',
  'to the next level',
  'a game changer',
  'a game-changer',
  'the possibilities are endless',
  'the sky is the limit',
  'only time will tell',
  'think outside the box',
  'one-stop shop',
  'your needs and preferences',
  'a testament to',
  'unlock the full potential',
  'unlock the power of',
  'harness the power of',
  'plays a crucial role',
  'plays a vital role',
  'play a crucial role',
  'play a vital role',
  'whether you are a beginner or',
  "whether you're a beginner or",
  'in this article, we will',
  "in this article, we'll",
  'in this blog post, we will',
  "in this blog post, we'll",
  'in this post, we will explore',
  'has become increasingly important',
  'have become increasingly important',
  'when it comes to',
  'at this point in time',
];

/** All of them, as they are looked for. */
export const STOCK_PHRASES: readonly string[] = [...OPENERS, ...FILLERS];

/** A rare word of each, by which it is looked for. */
const RARE = new Set(
  (
    "note noting mentioning noted goes secret fact truth needless know day done least foremost conclusion considered nutshell today's " +
    'age changing evolving today dawn ado further dive closer deep level changer endless sky tell outside shop preferences testament unlock ' +
    'harness crucial vital beginner article blog explore increasingly comes point'
  ).split(' '),
);

const BY_RARE = new Map<string, { phrase: string; opener: boolean }[]>();
for (const [phrases, opener] of [
  [OPENERS, true],
  [FILLERS, false],
] as const)
  for (const phrase of phrases)
    for (const word of new Set(plainWords(phrase)))
      if (RARE.has(word)) BY_RARE.set(word, [...(BY_RARE.get(word) ?? []), { phrase, opener }]);

/** Words one of which stands in every stock phrase. */
export const STOCK_HINTS: ReadonlySet<string> = RARE;

/** A stock phrase and where it stands; one that opens a sentence can go with its last character. */
export interface StockPhrase {
  start: number;
  end: number;
  /** Whether what follows is the whole statement. */
  opener: boolean;
}

const NONE: StockPhrase[] = [];

/** The stock phrases of a text, in its order; `hints` are those of {@link STOCK_HINTS} that it holds. */
export function stockPhrasesIn(text: string, hints: readonly string[]): StockPhrase[] {
  const wanted = new Set(hints.flatMap((hint) => BY_RARE.get(hint) ?? []));
  if (wanted.size === 0) return NONE;
  const low = text.toLowerCase().replaceAll('’', "'");
  // A few letters grow when their case changes: places would not be those of the text.
  if (low.length !== text.length) return NONE;
  const found = new Map<number, StockPhrase>();
  for (const { phrase, opener } of wanted)
    for (let at = low.indexOf(phrase); at >= 0; at = low.indexOf(phrase, at + phrase.length)) {
      if (/[\p{L}\p{N}]/u.test(text[at - 1] ?? '')) continue;
      const begins = at === 0 || /[.!?]["'”’)]?\s+$/.test(text.slice(Math.max(0, at - 4), at));
      found.set(at, { start: at, end: at + phrase.trimEnd().length, opener: opener && begins });
    }
  return found.size === 0 ? NONE : [...found.values()].sort((a, b) => a.start - b.start);
}
