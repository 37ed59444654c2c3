import { type Block, isNoteRef, isRead, linksOf } from '../draft/index.ts';
import {
  fold,
  type LanguageRules,
  languageRules,
  MATCH_COUNTS,
  MATCH_VALUES,
  type Match,
  type MeasuredWords,
  matchingOf,
  PhraseMatcher,
  perVocabulary,
  proseLikeness,
  TermCounter,
  type Tokens,
  tokenize,
  type Vocabulary,
  type WordBases,
  WordMeasure,
} from '../language/index.ts';
import { kinOf } from '../meaning/index.ts';
import { saidIn, sentenceSpans, wordIndices } from './block-sentences.ts';
import { type Claim, claimsOf, mayClaim } from './claims.ts';
import { type DatedWords, datedWords } from './dated-words.ts';
import { boundStems, type KeywordStem, keywordStemsOf } from './keyword-stems.ts';
import type { OrderReading, SaidSentence } from './order-reading.ts';
import { SentenceStyles } from './sentence-style.ts';
import { StemCounter } from './stem-counts.ts';
import { type StockPhrase, type StockPhrases, stockPhrasesOf } from './stock-phrases.ts';
import type { StudyFacts } from './surroundings.ts';
import { WordHints } from './word-hints.ts';
import { type Wording, wordingOf } from './wordings/index.ts';

/** A use of the primary keyword in a block; words are counted from the block's first. */
export interface KeywordUse {
  match: Match;
  firstWord: number;
  lastWord: number;
}

/** What is known about one block for one target: worked out once, kept as long as the block is the same object. */
export interface BlockReading {
  block: Block;
  tokens: Tokens;
  words: number;
  /**
   * Sentences: of running text all, the last one ended by a mark or by its block; of headings, captions and table cells,
   * which are labels, those of a text that ends as a sentence does (`.`, `!`, `?`).
   */
  sentences: number;
  /** What reading formulas count of its words; nothing where no formula is known for its language. */
  measured: MeasuredWords;
  /** Running text: paragraphs, list items, quotes; not headings, captions, table cells. */
  prose: boolean;
  /** A paragraph of its own: prose outside lists. */
  paragraph: boolean;
  uses: KeywordUse[];
  /** Weighted number of uses. */
  useCount: number;
  /** For each stem of the keyword, sentences that hold it nowhere but in uses of the whole phrase; empty without uses. */
  bound: readonly number[];
  /** Best match value of the primary keyword, 0 where it is not there. */
  keywordValue: number;
  /** Indices of the supporting keywords found, each with its best match value. */
  supporting: { index: number; value: number }[];
  /** Sentences of prose: how many, and those over the limit. */
  longSentences: { start: number; end: number; words: number }[];
  /** Sentences that state a figure. */
  claims: Claim[];
  /** How likely its words follow each other as in sentences of its language: sum and steps, to be added up; null where it is not told. */
  likeness: { sum: number; steps: number } | null;
  /** Sentences whose words follow each other as in none. */
  disorderly: { start: number; end: number }[];
  /** What it tells of the order of sentences; null where it has none. */
  order: OrderReading | null;
  /** Its longer sentences, by which those that stand twice are found. */
  said: SaidSentence[];
  /** Phrases that say nothing; of running text. */
  stockPhrases: StockPhrase[];
  /** Words that age, and years. */
  dated: DatedWords[];
  /** Links with their words, also folded and without marks, as vague words are looked up. */
  links: { start: number; end: number; href: string; text: string; plain: string }[];
  /** True where it refers to footnotes. */
  hasNotes: boolean;
  /** True for pictures and kept markup with embeds. */
  loads: boolean;
  /** The outermost list, table or quote that the block stands in; empty outside. */
  container: string;
  /** Level of a heading; 0 for other blocks. */
  level: number;
  /** The text of a heading on one line; empty for other blocks. */
  heading: string;
  /** The same in lower case, by which headings are told apart. */
  headingKey: string;
  /** Uses of the study's terms, by their index; none in the title. */
  termUses: { term: number; start: number; end: number }[];
  /** Those stems of the study's topics that stand here, by their index. */
  topicStems: number[];
  /**
   * Its words that may name something, sentence after sentence, and where each sentence ends among them and among all words;
   * null until somebody asks.
   */
  named: { bases: Int32Array; baseEnds: Int32Array; wordEnds: Int32Array } | null;
}

/** What a reading depends on beside the block. */
export interface ReadingTarget {
  /** The language by whose rules words are compared and counted: a code of `matchingOf`. */
  language: string;
  keyword: string;
  supporting: readonly string[];
  sentenceWords: number;
  study: StudyFacts | null;
}

const topicStems = new WeakMap<StudyFacts, readonly string[]>();

/** Stems by which a study's topics are known, and the kin of these, each once, in the order in which they are met. */
export function topicStemsOf(study: StudyFacts): readonly string[] {
  let stems = topicStems.get(study);
  if (!stems) {
    const own = study.topics.flatMap((topic) => topic.stems.map(([stem]) => stem));
    stems = [...new Set([...own, ...own.flatMap((stem) => [...kinOf(stem).keys()])])];
    topicStems.set(study, stems);
  }
  return stems;
}

/** A text that ends as a sentence does, closing quotes and brackets apart. */
const ENDED = /[.!?…。！？]["'”’»)\]」』）†]{0,3}\s{0,9}$/;

/** Words of a sentence from which its order can be told. */
const TOLD_BY = 7;
/** Below this a sentence's words follow each other as in none; see {@link proseLikeness}. */
const DISORDERLY = -0.4;
// What is read is read in one go: one counter does for all.
const counter = new StemCounter();
/** Words of a sentence among which one that stands again is looked for. */
const LONGEST_LOOK = 60;

const NOTHING_SAID: SaidSentence[] = [];
const NO_USES: BlockReading['termUses'] = [];
const NO_CLAIMS: BlockReading['claims'] = [];
const NOTHING_MEASURED: MeasuredWords = { syllables: 0, letters: 0, longWords: 0 };
/** Languages of which nothing is known have no words that lean or point; their sentences are told by length alone. */
const ENGLISH = wordingOf('en')!;
/** Words by which stock phrases and words that age are looked for. */
const hintsFor = perVocabulary(
  (vocabulary, { stock, ageing }: Wording) =>
    new WordHints(vocabulary, new Set([...stockPhrasesOf(stock).hints, ...ageing.hints])),
);
const stylesFor = perVocabulary((vocabulary, { style }: Wording) => new SentenceStyles(vocabulary, style));

const NO_HINTS: readonly string[] = [];
const NO_PLACES = new Int32Array(0);
const NO_STEMS: number[] = [];
const NO_PHRASES: StockPhrase[] = [];

/**
 * Reads blocks for one target and remembers every reading by the block's identity, so that after a keystroke only
 * the changed block is read again.
 */
export class BlockReader {
  readonly matcher: PhraseMatcher;
  private readonly measure: WordMeasure;
  private readonly sentenceRules: LanguageRules | null;
  readonly keywordStems: readonly KeywordStem[];
  private readonly memo = new WeakMap<Block, BlockReading>();
  private readonly terms: TermCounter | null;
  /** How the language of the blocks says what is looked for in them; null: not known. */
  readonly wording: Wording | null;
  private readonly stock: StockPhrases | null;
  private readonly hints: WordHints | null;
  private readonly styles: SentenceStyles;
  /** Stems of the sentence that is being read. */
  private readonly lastIn: number[] = [];
  /** By the number of a stem: one more than its index among the topics' stems; 0 for those of none. Empty without topics. */
  private readonly topicStems: Int32Array;

  constructor(
    readonly vocabulary: Vocabulary,
    readonly target: ReadingTarget,
    private readonly tokenMemo: WeakMap<Block, Tokens>,
    readonly bases: WordBases,
  ) {
    const { study } = target;
    this.terms = study?.terms.length
      ? new TermCounter(
          study.terms.map(({ key }) => key),
          bases,
        )
      : null;
    this.topicStems = study?.topics.length ? placesOf(topicStemsOf(study), bases) : NO_PLACES;
    this.wording = wordingOf(target.language);
    this.stock = this.wording && stockPhrasesOf(this.wording.stock);
    this.hints = this.wording && hintsFor(vocabulary, this.wording);
    this.styles = stylesFor(vocabulary, this.wording ?? ENGLISH);
    this.keywordStems = keywordStemsOf(target.keyword, vocabulary, bases);
    this.matcher = new PhraseMatcher(
      [target.keyword, ...target.supporting],
      vocabulary,
      matchingOf(target.language),
    );
    this.measure = new WordMeasure(target.language, vocabulary);
    this.sentenceRules = languageRules(target.language);
  }

  /** Matches in a text that is no block: a title, a description, an alternative text. */
  matchText(text: string): Match[] {
    return this.matcher.match(text, tokenize(text, this.vocabulary, this.sentenceRules));
  }

  read(block: Block): BlockReading {
    let reading = this.memo.get(block);
    if (!reading) {
      reading = this.readFresh(block);
      this.memo.set(block, reading);
    }
    return reading;
  }

  private tokensOf(block: Block): Tokens {
    let tokens = this.tokenMemo.get(block);
    if (!tokens) {
      tokens = tokenize(isRead(block) ? block.text : '', this.vocabulary, this.sentenceRules);
      this.tokenMemo.set(block, tokens);
    }
    return tokens;
  }

  private readFresh(block: Block): BlockReading {
    const tokens = this.tokensOf(block);
    const inTable = block.path.some((part) => part.type === 'cell');
    const inList = block.path.some((part) => part.type === 'list');
    const prose = block.kind === 'paragraph' && !inTable && tokens.length > 0;
    const matches = tokens.length ? this.matcher.match(block.text, tokens) : [];
    const links = block.marks.length
      ? linksOf(block).map((link) => ({ ...link, plain: plainOf(link.text) }))
      : [];
    const uses: KeywordUse[] = [];
    const supporting = new Map<number, number>();
    let useCount = 0;
    let keywordValue = 0;
    const wordAt = matches.some((match) => match.phrase === 0) ? wordIndices(tokens) : null;
    for (const match of matches) {
      const value = MATCH_VALUES[match.kind];
      if (match.phrase > 0) {
        supporting.set(match.phrase - 1, Math.max(value, supporting.get(match.phrase - 1) ?? 0));
        continue;
      }
      uses.push({ match, firstWord: wordAt![match.firstToken], lastWord: wordAt![match.lastToken] });
      useCount += MATCH_COUNTS[match.kind];
      keywordValue = Math.max(keywordValue, value);
    }
    const { wording } = this;
    const read = prose ? proseLikeness(tokens, this.vocabulary, this.target.language) : null;
    const sentences = prose ? sentenceSpans(block.text, tokens) : [];
    const longSentences = sentences.filter((sentence) => sentence.words > this.target.sentenceWords);
    const hints = this.hints && prose ? this.hints.in(tokens) : NO_HINTS;
    const claims =
      wording && sentences.length > 0 && mayClaim(block.text, wording.claims)
        ? claimsOf(block.text, sentences, links, wording.claims)
        : NO_CLAIMS;
    const heading = block.kind === 'heading' ? block.text.replace(/\s+/g, ' ').trim() : '';
    return {
      block,
      level: block.kind === 'heading' ? (block.level ?? 2) : 0,
      heading,
      headingKey: heading.toLowerCase(),
      termUses: this.termUsesOf(block, tokens),
      named: null,
      topicStems: this.topicStemsIn(tokens),
      tokens,
      words: tokens.words,
      sentences: prose || ENDED.test(block.text) ? tokens.sentenceCount : 0,
      hasNotes: block.marks.some(({ href }) => href !== undefined && isNoteRef(href)),
      loads: block.image !== undefined || (block.embeds?.length ?? 0) > 0,
      container: block.path.length ? `${block.path[0].type}${block.path[0].key}` : '',
      measured: this.target.language === '' ? NOTHING_MEASURED : this.measure.of(tokens),
      prose,
      paragraph: prose && !inList,
      uses,
      useCount,
      bound: uses.length > 0 && prose ? boundStems(tokens, uses, this.keywordStems, this.bases) : NO_STEMS,
      keywordValue,
      supporting: [...supporting].map(([index, value]) => ({ index, value })),
      longSentences,
      likeness: read && { sum: read.sum, steps: read.steps },
      disorderly: read
        ? sentences.filter((span, at) => span.words >= TOLD_BY && read.sentences[at] < DISORDERLY)
        : [],
      order:
        tokens.length > 0 && (prose || block.kind === 'heading') ? this.orderOf(block.text, tokens) : null,
      // Points of lists may say the same of several things.
      said: prose && !inList ? saidIn(tokens, sentences) : NOTHING_SAID,
      claims,
      stockPhrases: hints.length > 0 ? this.stock!.in(block.text, hints) : NO_PHRASES,
      dated: wording
        ? datedWords(
            block.text,
            {
              heading: block.kind === 'heading',
              prose,
              hinted: hints.some((hint) => wording.ageing.hints.has(hint)),
            },
            claims,
            wording.ageing,
          )
        : [],
      links,
    };
  }

  private termUsesOf(block: Block, tokens: Tokens): BlockReading['termUses'] {
    if (!this.terms || tokens.length === 0 || (block.kind === 'heading' && block.level === 1)) return NO_USES;
    return this.terms
      .uses(tokens)
      .map(({ term, first, last }) => ({ term, start: tokens.starts[first], end: tokens.ends[last] }));
  }

  private orderOf(text: string, tokens: Tokens): OrderReading {
    const { lastIn, bases } = this;
    lastIn.length = 0;
    for (let at = 0; at < tokens.length; at++) {
      if (at > 0 && tokens.sentences[at - 1] !== tokens.sentences[at]) lastIn.length = 0;
      const stem = bases.stem(tokens.ids[at]);
      // Sentences are short: a look along what was met is quicker than a set.
      if (stem < 0 || lastIn.includes(stem)) continue;
      if (lastIn.length < LONGEST_LOOK) lastIn.push(stem);
      counter.add(stem, 1);
    }
    return { sentences: tokens.sentenceCount, style: this.styles.read(text, tokens), words: counter.take() };
  }

  private topicStemsIn(tokens: Tokens): number[] {
    const { topicStems } = this;
    if (topicStems.length === 0 || tokens.length === 0) return NO_STEMS;
    const here = new Set<number>();
    for (let at = 0; at < tokens.length; at++) {
      const stem = this.bases.stem(tokens.ids[at]);
      if (stem < 0 || stem >= topicStems.length) continue;
      const place = topicStems[stem];
      if (place > 0) here.add(place - 1);
    }
    return [...here];
  }
}

/** By the number of a stem: one more than its index among some; 0 for all others. */
function placesOf(stems: readonly string[], bases: WordBases): Int32Array {
  const numbers = stems.map((stem) => bases.stemNumber(stem));
  const places = new Int32Array(Math.max(-1, ...numbers) + 1);
  numbers.forEach((number, at) => {
    places[number] = at + 1;
  });
  return places;
}

const plainOf = (text: string) =>
  fold(text)
    .replace(/[\s\p{P}]+/gu, ' ')
    .trim();
