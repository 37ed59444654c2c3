import { type Block, isRead, linksOf } from '../draft/index.ts';
import {
  fold,
  MATCH_COUNTS,
  MATCH_VALUES,
  type Match,
  PhraseMatcher,
  TermCounter,
  type Tokens,
  tokenize,
  type Vocabulary,
  type WordBases,
} from '../language/index.ts';
import { isClaim } from './claims.ts';
import type { StudyFacts } from './surroundings.ts';

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
  syllables: number;
  /** Running text: paragraphs, list items, quotes; not headings, captions, table cells. */
  prose: boolean;
  /** A paragraph of its own: prose outside lists. */
  paragraph: boolean;
  uses: KeywordUse[];
  /** Weighted number of uses. */
  useCount: number;
  /** Best match value of the primary keyword, 0 where it is not there. */
  keywordValue: number;
  /** Indices of the supporting keywords found, each with its best match value. */
  supporting: { index: number; value: number }[];
  /** Sentences of prose: how many, and those over the limit. */
  longSentences: { start: number; end: number; words: number }[];
  /** Sentences that state a figure, and whether a link stands in them or in the next. */
  claims: { start: number; end: number; quote: string; linked: boolean }[];
  /** Links with their words, also folded and without marks, as vague words are looked up. */
  links: { start: number; end: number; href: string; text: string; plain: string }[];
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
}

/** What a reading depends on beside the block. */
export interface ReadingTarget {
  english: boolean;
  keyword: string;
  supporting: readonly string[];
  sentenceWords: number;
  study: StudyFacts | null;
}

/** Stems by which a study's topics are known, each once, in the order in which they are met. */
export function topicStemsOf(study: StudyFacts | null): string[] {
  return [...new Set((study?.topics ?? []).flatMap(({ stems }) => stems.map(([stem]) => stem)))];
}

/** A text that ends as a sentence does, closing quotes and brackets apart. */
const ENDED = /[.!?…。！？]["'”’»)\]」』）]{0,3}\s{0,9}$/;

const NO_USES: BlockReading['termUses'] = [];
const NO_STEMS: number[] = [];

/**
 * Reads blocks for one target and remembers every reading by the block's identity, so that after a keystroke only
 * the changed block is read again.
 */
export class BlockReader {
  readonly matcher: PhraseMatcher;
  private readonly memo = new WeakMap<Block, BlockReading>();
  private readonly terms: TermCounter | null;
  /** Indices of topic stems by the number of the stem. */
  private readonly stems: Map<number, number> | null;

  constructor(
    readonly vocabulary: Vocabulary,
    readonly target: ReadingTarget,
    private readonly tokenMemo: WeakMap<Block, Tokens>,
    private readonly bases: WordBases,
  ) {
    const { study } = target;
    this.terms = study?.terms.length
      ? new TermCounter(
          study.terms.map(({ key }) => key),
          bases,
        )
      : null;
    this.stems = study?.topics.length
      ? new Map(topicStemsOf(study).map((stem, at) => [bases.stemNumber(stem), at]))
      : null;
    this.matcher = new PhraseMatcher([target.keyword, ...target.supporting], vocabulary, target.english);
  }

  /** Matches in a text that is no block: a title, a description, an alternative text. */
  matchText(text: string): Match[] {
    return this.matcher.match(text, tokenize(text, this.vocabulary));
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
      tokens = tokenize(isRead(block) ? block.text : '', this.vocabulary);
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
    let syllables = 0;
    if (this.target.english)
      for (let at = 0; at < tokens.length; at++) syllables += this.vocabulary.syllables(tokens.ids[at]);
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
    const sentences = prose ? sentenceSpans(block.text, tokens) : [];
    const longSentences = sentences.filter((sentence) => sentence.words > this.target.sentenceWords);
    const heading = block.kind === 'heading' ? block.text.replace(/\s+/g, ' ').trim() : '';
    return {
      block,
      level: block.kind === 'heading' ? (block.level ?? 2) : 0,
      heading,
      headingKey: heading.toLowerCase(),
      termUses: this.termUsesOf(block, tokens),
      topicStems: this.topicStemsIn(tokens),
      tokens,
      words: tokens.words,
      sentences: prose || ENDED.test(block.text) ? tokens.sentenceCount : 0,
      loads: block.image !== undefined || (block.embeds?.length ?? 0) > 0,
      container: block.path.length ? `${block.path[0].type}${block.path[0].key}` : '',
      syllables,
      prose,
      paragraph: prose && !inList,
      uses,
      useCount,
      keywordValue,
      supporting: [...supporting].map(([index, value]) => ({ index, value })),
      longSentences,
      claims: this.target.english ? claimsOf(block.text, sentences, links) : [],
      links,
    };
  }

  private termUsesOf(block: Block, tokens: Tokens): BlockReading['termUses'] {
    if (!this.terms || tokens.length === 0 || (block.kind === 'heading' && block.level === 1)) return NO_USES;
    return this.terms
      .uses(tokens)
      .map(({ term, first, last }) => ({ term, start: tokens.starts[first], end: tokens.ends[last] }));
  }

  private topicStemsIn(tokens: Tokens): number[] {
    if (!this.stems || tokens.length === 0) return NO_STEMS;
    const here = new Set<number>();
    for (let at = 0; at < tokens.length; at++) {
      const index = this.stems.get(this.bases.stem(tokens.ids[at]));
      if (index !== undefined) here.add(index);
    }
    return [...here];
  }
}

const plainOf = (text: string) =>
  fold(text)
    .replace(/[\s\p{P}]+/gu, ' ')
    .trim();

function wordIndices(tokens: Tokens): Int32Array {
  const out = new Int32Array(tokens.length);
  let word = -1;
  for (let at = 0; at < tokens.length; at++) {
    if (tokens.gaps[at] !== 1 || at === 0) word += 1;
    out[at] = word;
  }
  return out;
}

/** The sentences of a block, from the first character of one to where the next begins, trimmed. */
export function sentenceSpans(text: string, tokens: Tokens): { start: number; end: number; words: number }[] {
  const spans: { start: number; end: number; words: number }[] = [];
  for (let at = 0; at < tokens.length; at++) {
    const sentence = tokens.sentences[at];
    if (sentence >= spans.length) spans.push({ start: tokens.starts[at], end: tokens.ends[at], words: 0 });
    const span = spans[sentence];
    span.end = tokens.ends[at];
    if (tokens.gaps[at] !== 1) span.words += 1;
  }
  // Closing marks belong to the sentence: up to the next one's first word, less white space and opening marks.
  spans.forEach((span, at) => {
    const limit = spans[at + 1]?.start ?? text.length;
    span.end += /^[^\s]*/.exec(text.slice(span.end, limit))![0].length;
  });
  return spans;
}

function claimsOf(
  text: string,
  sentences: { start: number; end: number }[],
  links: { start: number; end: number }[],
) {
  const linkedIn = (span: { start: number; end: number } | undefined) =>
    span !== undefined && links.some((link) => link.start < span.end && link.end > span.start);
  return sentences.flatMap((span, at) => {
    const quote = text.slice(span.start, span.end);
    if (!isClaim(quote)) return [];
    return [
      { start: span.start, end: span.end, quote, linked: linkedIn(span) || linkedIn(sentences[at + 1]) },
    ];
  });
}
