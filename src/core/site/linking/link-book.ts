import { keywordStemsOf } from '../../criteria/index.ts';
import { isMostlyVerb, partOfSpeech, tokenize, type Vocabulary, WordBases } from '../../language/index.ts';
import type { LinkTarget } from './link-target.ts';

/** A phrase by which a page may be spoken of, as the stems of its words. */
export interface PageName {
  /** Index of the page among the book's. */
  target: number;
  /** In the order in which they stand, each once. */
  stems: readonly number[];
  /** Base forms of these words. */
  bases: readonly number[];
  /** How much each tells of the page: the rarer in English, and among the pages of the site, the more. */
  weights: readonly number[];
  total: number;
  /** What a link by it is worth, 0-1: the keyword most, a title least. */
  worth: number;
  /** How surely one word alone names the page, 0-1: a noun does, a word that is noun or verb less, a verb never. */
  alone: number;
}

const KEYWORD_WORTH = 1;
const SUPPORTING_WORTH = 0.85;
const TITLE_WORTH = 0.75;
const SLUG_WORTH = 0.75;

/** Share of a name's weight that the words which are missing in a passage may have: whatever is offered holds a word of the rest. */
export const MAY_LACK = 0.4;

/** Words of a name that are looked for: whatever is longer is no name by which anybody speaks of a page. */
const MOST_STEMS = 16;

/** The last part of a path as words. */
const wordsOfPath = (path: string) => (path.split('/').at(-1) ?? '').replace(/[-_.+]+/g, ' ');

/** The pages of a site by the words that speak of them. One for a site; its vocabulary is that of the drafts looked at. */
export class LinkBook {
  readonly names: PageName[] = [];
  readonly bases: WordBases;
  private readonly byStem = new Map<number, number[]>();
  private readonly pagesWith = new Map<number, number>();

  constructor(
    readonly targets: readonly LinkTarget[],
    readonly vocabulary: Vocabulary,
  ) {
    this.bases = WordBases.of(vocabulary);
    const phrases = targets.map((target) => this.phrasesOf(target));
    for (const own of phrases)
      for (const stem of new Set(own.flatMap(({ stems }) => stems.map(({ stem }) => stem))))
        this.pagesWith.set(stem, (this.pagesWith.get(stem) ?? 0) + 1);
    phrases.forEach((own, target) => {
      for (const { text, stems, worth } of own) this.add(target, text, stems, worth);
    });
  }

  /** Names that cannot be in a text without this stem, or one of few others under which they stand too. */
  namesUnder(stem: number): readonly number[] {
    return this.byStem.get(stem) ?? NONE;
  }

  /** How far a stem tells the pages of the site from each other, 0-1. */
  private telling(stem: number): number {
    const all = this.targets.length;
    return Math.log(1 + all / (this.pagesWith.get(stem) ?? 1)) / Math.log(1 + all);
  }

  private phrasesOf({ keyword, supporting, title, path, postId }: LinkTarget) {
    const phrases: { text: string; worth: number }[] = [];
    if (keyword) phrases.push({ text: keyword, worth: KEYWORD_WORTH });
    for (const text of supporting) phrases.push({ text, worth: SUPPORTING_WORTH });
    phrases.push({ text: title, worth: TITLE_WORTH });
    if (postId === null || !keyword) phrases.push({ text: wordsOfPath(path), worth: SLUG_WORTH });
    const seen = new Set<string>();
    return phrases.flatMap(({ text, worth }) => {
      const stems = keywordStemsOf(text, this.vocabulary, this.bases).slice(0, MOST_STEMS);
      const key = stems.map(({ stem }) => stem).join(' ');
      if (stems.length === 0 || seen.has(key)) return [];
      seen.add(key);
      return [{ text, worth, stems }];
    });
  }

  private add(
    target: number,
    text: string,
    stems: readonly { stem: number; weight: number }[],
    worth: number,
  ): void {
    const weights = stems.map(({ stem, weight }) => weight * this.telling(stem));
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const index = this.names.length;
    const baseOf = new Map(
      Array.from(tokenize(text, this.vocabulary).ids, (id) => [this.bases.stem(id), this.bases.base(id)]),
    );
    this.names.push({
      target,
      stems: stems.map(({ stem }) => stem),
      bases: stems.map(({ stem }) => baseOf.get(stem)!),
      weights,
      total,
      worth,
      alone: stems.length === 1 ? nameAlone(text, this.vocabulary, this.bases) : 1,
    });
    // Under its rarest words, as many as no passage may lack together.
    const rarest = stems
      .map(({ stem }, at) => ({ stem, weight: weights[at] }))
      .sort((a, b) => b.weight - a.weight);
    let covered = 0;
    for (const { stem, weight } of rarest) {
      const list = this.byStem.get(stem);
      if (list) list.push(index);
      else this.byStem.set(stem, [index]);
      covered += weight;
      if (covered > MAY_LACK * total) break;
    }
  }
}

const NONE: readonly number[] = [];

/** What a word that may be a verb is worth as a name. */
const NOUN_OR_VERB = 0.8;

/** How surely the one word of a name speaks of a thing wherever it stands. */
function nameAlone(text: string, vocabulary: Vocabulary, bases: WordBases): number {
  const [id] = Array.from(tokenize(text, vocabulary).ids).filter((one) => bases.stem(one) >= 0);
  const base = bases.text(bases.base(id));
  // "don't" and the like are no things.
  if (vocabulary.form(id).includes("'") || isMostlyVerb(base)) return 0;
  const part = partOfSpeech(base);
  if (part === 'v' || part === 'a' || part === 'r') return 0;
  return part === 'm' ? NOUN_OR_VERB : 1;
}
