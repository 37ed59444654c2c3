import {
  CORPUS_WORDS,
  isFunctionWord,
  partOfSpeech,
  plainWords,
  stem,
  wordCount,
} from '../../language/index.ts';

/** Words of a phrase. */
const LONGEST = 3;
/** Digits and single letters name nothing. */
const isTelling = (word: string) => !isFunctionWord(word) && /^\p{L}{3}/u.test(word);
/** Adverbs and verbs neither begin nor end a name: "often wet", "take panniers". */
const mayBound = (word: string) => !/^(?:v|r|b)$/.test(partOfSpeech(word) ?? 'n') && !/ly$/.test(word);

/**
 * Phrases that a text is about: runs of up to three telling words, by how often they stand there and how rare they are in English
 * (co-occurrence of content words after S. Rose et al., "Automatic keyword extraction from individual documents", 2010). None
 * within another; in the order of the text.
 */
export function keyPhrases(text: string, most: number): string[] {
  const runs: string[][] = [[]];
  for (const part of text.split(/[.,;:!?()"“”\n–—]+/)) {
    runs.push([]);
    for (const word of plainWords(part)) {
      if (isTelling(word)) runs[runs.length - 1].push(word);
      else runs.push([]);
    }
  }
  const found = new Map<string, { phrase: string; uses: number; at: number }>();
  let at = 0;
  for (const run of runs)
    for (let from = 0; from < run.length; from++)
      for (let to = from + 1; to <= Math.min(run.length, from + LONGEST); to++) {
        const words = run.slice(from, to);
        at += 1;
        if (!mayBound(words[0]) || !mayBound(words[words.length - 1])) continue;
        const key = words.map(stem).join(' ');
        const known = found.get(key);
        if (known) known.uses += 1;
        else found.set(key, { phrase: words.join(' '), uses: 1, at });
      }
  const rarity = (word: string) => Math.log(CORPUS_WORDS / (wordCount(word) + 30));
  const rated = [...found.values()]
    .map((one) => {
      const words = one.phrase.split(' ');
      const rare = words.reduce((sum, word) => sum + rarity(word), 0) / words.length;
      return {
        ...one,
        rate: (one.uses - (words.length > 1 ? 0.5 : 0.7)) * rare * (1 + 0.35 * (words.length - 1)),
      };
    })
    .sort((a, b) => b.rate - a.rate || a.at - b.at);
  const chosen: typeof rated = [];
  for (const one of rated) {
    if (chosen.length === most) break;
    const stems = new Set(one.phrase.split(' ').map(stem));
    if (chosen.some(({ phrase }) => phrase.split(' ').some((word) => stems.has(stem(word))))) continue;
    chosen.push(one);
  }
  return chosen.sort((a, b) => a.at - b.at).map(({ phrase }) => phrase);
}
