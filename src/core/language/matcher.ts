import { hopBetween, type Occurrence, ownWords, type Sentence, WIDEST_GAP } from './between.ts';
import type { Matching } from './matching.ts';
import { compilePhrase, isJoint, type Phrase } from './phrase.ts';
import { plainHop, plainlyTurned } from './plain-hops.ts';
import type { Tokens } from './tokens.ts';
import { turnedRound } from './turned.ts';
import type { Vocabulary } from './vocabulary.ts';
import { type Role, WordRoles } from './word-roles.ts';

/** The kinds of a match, best first. */
export const MATCH_KINDS = ['exact', 'joined', 'inflected', 'split', 'reordered'] as const;
export type MatchKind = (typeof MATCH_KINDS)[number];

/** What presence of a kind is worth where a share is computed from it. */
export const MATCH_VALUES: Record<MatchKind, number> = {
  exact: 1,
  joined: 1,
  inflected: 0.9,
  split: 0.6,
  reordered: 0.6,
};

/** What a use of a kind counts where uses are counted. */
export const MATCH_COUNTS: Record<MatchKind, number> = {
  exact: 1,
  joined: 1,
  inflected: 1,
  split: 0.6,
  reordered: 0.6,
};

/** One place where a phrase was found; offsets are UTF-16 code units of the text. */
export interface Match {
  /** Index of the phrase as given to the matcher. */
  phrase: number;
  kind: MatchKind;
  start: number;
  end: number;
  firstToken: number;
  lastToken: number;
}

/**
 * Finds many phrases at once in tokenised texts. What a word can stand for is worked out once per distinct word,
 * so a pass costs the words of the text plus what is found.
 */
export class PhraseMatcher {
  readonly phrases: (Phrase | null)[];
  private readonly inflects: boolean;
  private readonly isEnglish: boolean;
  private readonly roles: WordRoles;
  private readonly masks: Int32Array;
  private readonly found: Occurrence[][];
  private readonly literals: { phrase: number; text: string }[] = [];

  constructor(
    phrases: readonly string[],
    private readonly vocabulary: Vocabulary,
    private readonly matching: Matching,
  ) {
    this.inflects = matching.code !== '';
    this.isEnglish = matching.code === 'en';
    this.phrases = phrases.map((text) => compilePhrase(text, vocabulary, matching));
    this.masks = new Int32Array(phrases.length);
    this.found = phrases.map(() => []);
    this.roles = new WordRoles(this.phrases, vocabulary, matching);
    this.phrases.forEach((phrase, index) => {
      if (phrase && phrase.literalText !== null)
        this.literals.push({ phrase: index, text: phrase.literalText });
    });
  }

  /** All matches in a text, by phrase, then place; matches of one phrase never overlap, the better kind wins. */
  match(text: string, tokens: Tokens): Match[] {
    const out: Match[] = [];
    if (this.literals.length) this.matchLiterals(text, tokens, out);
    const touched: number[] = [];
    let sentenceStart = 0;
    for (let at = 0; at <= tokens.length; at++) {
      if (at === tokens.length || tokens.sentences[at] !== tokens.sentences[sentenceStart]) {
        for (const phrase of touched) {
          const full = 2 ** this.phrases[phrase]!.slots.length - 1;
          if (this.masks[phrase] === full)
            this.matchSentence(phrase, { text, tokens, vocabulary: this.vocabulary }, sentenceStart, at, out);
          this.masks[phrase] = 0;
          this.found[phrase].length = 0;
        }
        touched.length = 0;
        sentenceStart = at;
        if (at === tokens.length) break;
      }
      const roles = this.roles.of(tokens.ids[at]);
      if (roles) this.note(roles, at, tokens, touched);
    }
    return out.sort((a, b) => a.phrase - b.phrase || a.start - b.start);
  }

  private note(roles: Role[], at: number, tokens: Tokens, touched: number[]): void {
    for (const role of roles) {
      let last = at;
      let quality = role.quality;
      if (role.tail !== null) {
        const next = at + 1;
        if (
          next >= tokens.length ||
          tokens.sentences[next] !== tokens.sentences[at] ||
          !isJoint(tokens.gaps[next])
        )
          continue;
        const normal = this.matching.normal(this.vocabulary, tokens.ids[next]);
        if (normal !== role.tail) {
          if (!this.isEnglish || !this.vocabulary.candidates(tokens.ids[next]).includes(role.tail)) continue;
          quality = 2;
        }
        last = next;
      }
      if (this.found[role.phrase].length === 0) touched.push(role.phrase);
      for (let slot = role.from; slot <= role.to; slot++) this.masks[role.phrase] |= 2 ** slot;
      this.found[role.phrase].push({ first: at, last, from: role.from, to: role.to, quality });
    }
  }

  private matchLiterals(text: string, tokens: Tokens, out: Match[]): void {
    const low = text.toLowerCase();
    // A few characters grow when lower-cased; their offsets could not be trusted.
    if (low.length !== text.length) return;
    for (const { phrase, text: wanted } of this.literals) {
      let first = 0;
      for (let at = low.indexOf(wanted); at !== -1; at = low.indexOf(wanted, at + wanted.length)) {
        const end = at + wanted.length;
        while (first + 1 < tokens.length && tokens.ends[first] <= at) first += 1;
        let last = first;
        while (last + 1 < tokens.length && tokens.starts[last + 1] < end) last += 1;
        out.push({ phrase, kind: 'exact', start: at, end, firstToken: first, lastToken: last });
      }
    }
  }

  private matchSentence(index: number, sentence: Sentence, from: number, to: number, out: Match[]): void {
    const { tokens } = sentence;
    const phrase = this.phrases[index]!;
    const occurrences = this.found[index];
    const hits: Match[] = [];
    // Parts that nothing can follow: with words that repeat they would be tried again and again.
    const dead = new Set<number>();
    for (const [place, start] of occurrences.entries()) {
      if (start.from === 0) {
        const chain = this.ordered(phrase, sentence, occurrences, place, dead);
        if (chain) {
          const exact = this.wholePhrase(phrase, tokens, chain, from, to);
          if (exact) hits.push(hitOf(index, tokens, exact.first, exact.last, exact.kind));
          else if (!phrase.strict || chain.every((part) => part.quality < 2) || this.inflects) {
            const kind = this.kindOf(phrase, sentence, chain);
            if (!(phrase.strict && kind === 'split'))
              hits.push(hitOf(index, tokens, chain[0].first, chain.at(-1)!.last, kind));
          }
        }
      }
      if (phrase.reorderable) {
        const loose = this.isEnglish
          ? turnedRound(phrase, sentence, occurrences, place)
          : plainlyTurned(phrase, sentence, this.matching, occurrences, place);
        if (loose) hits.push(hitOf(index, tokens, loose.first, loose.last, 'reordered'));
      }
    }
    if (hits.length === 0) return;
    hits.sort(
      (a, b) =>
        MATCH_KINDS.indexOf(a.kind) - MATCH_KINDS.indexOf(b.kind) ||
        a.firstToken - b.firstToken ||
        a.lastToken - b.lastToken,
    );
    const taken = new Set<number>();
    for (const hit of hits) {
      const { firstToken, lastToken } = hit;
      let free = true;
      for (let token = firstToken; token <= lastToken && free; token++) free = !taken.has(token);
      if (!free) continue;
      for (let token = firstToken; token <= lastToken; token++) taken.add(token);
      out.push(hit);
    }
  }

  /**
   * The nearest way to place the slots in order from the occurrence at `place` on, which stand in the order of the text;
   * null where there is none. `dead` are places that are known to lead nowhere.
   */
  private ordered(
    phrase: Phrase,
    sentence: Sentence,
    all: readonly Occurrence[],
    place: number,
    dead: Set<number>,
  ): Occurrence[] | null {
    const last = all[place];
    if (last.to === phrase.slots.length - 1) return [last];
    if (dead.has(place)) return null;
    const limit = last.last + 1 + (phrase.strict ? 0 : WIDEST_GAP + ownWords(phrase, last.to).length);
    for (let at = place + 1; at < all.length && all[at].first <= limit; at++) {
      const next = all[at];
      if (next.from !== last.to + 1 || next.first <= last.last) continue;
      if (!this.directionHolds(phrase, sentence.tokens, last, next)) continue;
      if (!phrase.strict && this.hop(phrase, sentence, last, next) === null) continue;
      const rest = this.ordered(phrase, sentence, all, at, dead);
      if (rest) return [last, ...rest];
    }
    dead.add(place);
    return null;
  }

  private hop(
    phrase: Phrase,
    sentence: Sentence,
    left: Occurrence,
    right: Occurrence,
  ): 'near' | 'split' | null {
    return this.isEnglish
      ? hopBetween(phrase, sentence, left, right)
      : plainHop(sentence, this.matching, left, right);
  }

  private directionHolds(phrase: Phrase, tokens: Tokens, left: Occurrence, right: Occurrence): boolean {
    const wanted = phrase.directions[left.to];
    if (!wanted || wanted === 'none') return true;
    for (let at = left.last + 1; at < right.first; at++) {
      const direction = this.matching.directionOf(this.vocabulary.form(tokens.ids[at]));
      if (direction !== 'none' && direction !== wanted) return false;
    }
    return true;
  }

  /** Exact or joined where the words of the text, function words included, are those of the phrase. */
  private wholePhrase(
    phrase: Phrase,
    tokens: Tokens,
    chain: Occurrence[],
    from: number,
    to: number,
  ): { first: number; last: number; kind: MatchKind } | null {
    if (chain.some((part) => part.quality === 2)) return null;
    const first = chain[0].first - phrase.slots[0].token;
    const last = chain.at(-1)!.last + (phrase.forms.length - 1 - phrase.slots.at(-1)!.token);
    if (first < from || last >= to) return null;
    let kind: MatchKind = 'exact';
    let text = first;
    let part = 0;
    for (let token = 0; token < phrase.forms.length; ) {
      const inPart =
        part < chain.length && phrase.slots[chain[part].from].token === token ? chain[part] : null;
      if (inPart) {
        if (inPart.first !== text) return null;
        if (inPart.quality === 1) kind = 'joined';
      } else if (this.vocabulary.form(tokens.ids[text]) !== phrase.forms[token]) return null;
      if (token > 0 && tokens.gaps[text] !== phrase.gaps[token]) {
        if (!isJoint(tokens.gaps[text]) || !isJoint(phrase.gaps[token])) return null;
        kind = 'joined';
      }
      text = inPart ? inPart.last + 1 : text + 1;
      token = inPart ? phrase.slots[inPart.to].token + 1 : token + 1;
      if (inPart) part += 1;
    }
    return text === last + 1 ? { first, last, kind } : null;
  }

  private kindOf(phrase: Phrase, sentence: Sentence, chain: Occurrence[]): MatchKind {
    for (let at = 1; at < chain.length; at++)
      if (this.hop(phrase, sentence, chain[at - 1], chain[at]) !== 'near') return 'split';
    return this.isTypedShort(phrase, sentence.tokens, chain) ? 'exact' : 'inflected';
  }

  /** Whether only the articles are new that people leave out as they type: "clean a bike chain" of "clean bike chain". */
  private isTypedShort(phrase: Phrase, { ids }: Tokens, chain: Occurrence[]): boolean {
    if (phrase.forms.length !== phrase.slots.length) return false;
    for (let at = 0; at < chain.length; at++) {
      if (chain[at].quality !== 0) return false;
      for (
        let between = at > 0 ? chain[at - 1].last + 1 : chain[0].first;
        between < chain[at].first;
        between++
      )
        if (!this.matching.isArticle(this.vocabulary.form(ids[between]))) return false;
    }
    return true;
  }
}

const hitOf = (phrase: number, tokens: Tokens, first: number, last: number, kind: MatchKind): Match => ({
  phrase,
  kind,
  start: tokens.starts[first],
  end: tokens.ends[last],
  firstToken: first,
  lastToken: last,
});
