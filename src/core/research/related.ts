import type { FoundPage } from './keyword.ts';
import { isQuestion, phraseStems } from './phrase-stems.ts';

/** Why a phrase is related to a seed, the strongest reason first. */
export type Relation = 'seed' | 'contains' | 'question' | 'stems' | 'pages';

/** What is asked of a phrase to relate it. */
export interface Relatable {
  phrase: string;
  found: readonly Pick<FoundPage, 'address'>[] | null;
}

export interface Related {
  /** Index in the phrases given. */
  index: number;
  relation: Relation;
  /** The seed that it is related to. */
  seed: string;
  /** In words: what is shared. */
  reason: string;
}

/** Of the ten first pages so many must be the same. */
const SHARED_PAGES = 4;

const firstPages = ({ found }: Relatable) =>
  new Set((found ?? []).slice(0, 10).map(({ address }) => address));

/**
 * Phrases related to seeds: those that contain one, ask about it (all of its stems in a question), share its stems
 * (all of them, or at least two that are two thirds of the seed), or are found by at least four of the same ten first
 * pages. Each with its strongest reason; in the order given.
 */
export function relatedPhrases(seeds: readonly string[], phrases: readonly Relatable[]): Related[] {
  const best = new Map<number, Related>();
  const order: Relation[] = ['seed', 'contains', 'question', 'stems', 'pages'];
  const offer = (related: Related) => {
    const known = best.get(related.index);
    if (!known || order.indexOf(related.relation) < order.indexOf(known.relation))
      best.set(related.index, related);
  };
  const stemLists = phrases.map(({ phrase }) => phraseStems(phrase));
  for (const raw of seeds) {
    const seed = raw.toLowerCase().replace(/\s+/g, ' ').trim();
    const wanted = phraseStems(seed);
    if (!seed || wanted.length === 0) continue;
    const inside = new RegExp(
      `(?<![\\p{L}\\p{N}])${seed.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\p{N}])`,
      'u',
    );
    const pages = new Set<string>();
    phrases.forEach(({ phrase }, index) => {
      const text = phrase.toLowerCase();
      if (text === seed) {
        offer({ index, relation: 'seed', seed, reason: 'the seed itself' });
        for (const page of firstPages(phrases[index])) pages.add(page);
        return;
      }
      const shared = wanted.filter((stem) => stemLists[index].includes(stem));
      if (inside.test(text)) {
        offer({
          index,
          relation: isQuestion(text) ? 'question' : 'contains',
          seed,
          reason: isQuestion(text) ? `asks about "${seed}"` : `contains "${seed}"`,
        });
        return;
      }
      const enough =
        shared.length === wanted.length || (shared.length >= 2 && shared.length / wanted.length >= 2 / 3);
      if (!enough) return;
      if (isQuestion(text)) offer({ index, relation: 'question', seed, reason: `asks about "${seed}"` });
      else
        offer({
          index,
          relation: 'stems',
          seed,
          reason: `shares ${shared.length} of ${wanted.length} word stems`,
        });
    });
    if (pages.size === 0) continue;
    phrases.forEach((phrase, index) => {
      const same = [...firstPages(phrase)].filter((page) => pages.has(page)).length;
      if (same >= SHARED_PAGES && phrase.phrase.toLowerCase() !== seed)
        offer({ index, relation: 'pages', seed, reason: `${same} of the first ten pages are the same` });
    });
  }
  return [...best.values()].sort((a, b) => a.index - b.index);
}
