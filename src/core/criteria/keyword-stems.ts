import {
  CORPUS_WORDS,
  type Match,
  type Tokens,
  tokenize,
  type Vocabulary,
  type WordBases,
  wordCount,
} from '../language/index.ts';

/** A stem of the keyword's words; the rarer the word in general English, the greater its weight. */
export interface KeywordStem {
  stem: number;
  weight: number;
}

/** Stems of a keyword's words, each once. */
export function keywordStemsOf(keyword: string, vocabulary: Vocabulary, bases: WordBases): KeywordStem[] {
  const { ids } = tokenize(keyword, vocabulary);
  const found = new Map<number, number>();
  for (const id of ids) {
    const stem = bases.stem(id);
    if (stem < 0) continue;
    // How rare a word is is known of English alone: elsewhere each weighs the same.
    const count =
      bases.code === 'en'
        ? Math.max(wordCount(vocabulary.form(id)), wordCount(bases.text(bases.base(id))))
        : wordCount('');
    found.set(stem, Math.log(CORPUS_WORDS / count));
  }
  return [...found].map(([stem, weight]) => ({ stem, weight }));
}

/** For each stem, the sentences that hold it nowhere but within uses of the phrase. */
export function boundStems(
  { length, ids, sentences }: Tokens,
  uses: readonly { match: Match }[],
  stems: readonly KeywordStem[],
  bases: WordBases,
): number[] {
  const wanted = stems.map(({ stem }) => stem);
  const bound = wanted.map(() => 0);
  // By the stems: whether the sentence holds it within a use, and apart from all.
  const within = new Uint8Array(wanted.length);
  const apart = new Uint8Array(wanted.length);
  let use = 0;
  for (let from = 0; from < length; ) {
    let to = from;
    let any = false;
    for (; to < length && sentences[to] === sentences[from]; to++) {
      const at = wanted.indexOf(bases.stem(ids[to]));
      if (at < 0) continue;
      any = true;
      while (use < uses.length && uses[use].match.lastToken < to) use += 1;
      const isWithin = use < uses.length && uses[use].match.firstToken <= to;
      (isWithin ? within : apart)[at] = 1;
    }
    if (any) {
      for (let at = 0; at < wanted.length; at++) if (within[at] > apart[at]) bound[at] += 1;
      within.fill(0);
      apart.fill(0);
    }
    from = to;
  }
  return bound;
}

/** Part of the keyword's words, by their weight, by which a short text names its subject: "canal-towpath-lock" of canal towpath cycling. */
const NAMES_IT = 0.4;

/** Whether a short text beside a picture (its name, its alt text) names what the keyword is about, by enough of its words. */
export function namesSubject(
  text: string,
  {
    keywordStems,
    vocabulary,
    bases,
  }: { keywordStems: readonly KeywordStem[]; vocabulary: Vocabulary; bases: WordBases },
): boolean {
  if (keywordStems.length < 2) return false;
  const held = new Set(Array.from(tokenize(text, vocabulary).ids, (id) => bases.stem(id)));
  const sum = (stems: readonly KeywordStem[]) => stems.reduce((all, { weight }) => all + weight, 0);
  return sum(keywordStems.filter(({ stem }) => held.has(stem))) >= NAMES_IT * sum(keywordStems);
}
