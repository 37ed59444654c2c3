import type { Block } from '../../core/draft/index.ts';
import {
  type DictionaryFiles,
  type English,
  LanguageCheck,
  type LanguageRules,
  type PlacedRemark,
  Speller,
} from '../../core/proofreading/index.ts';

const FILES: Record<English, { aff: URL; dic: URL }> = {
  GB: {
    aff: new URL('../../../node_modules/dictionary-en-gb/index.aff', import.meta.url),
    dic: new URL('../../../node_modules/dictionary-en-gb/index.dic', import.meta.url),
  },
  US: {
    aff: new URL('../../../node_modules/dictionary-en/index.aff', import.meta.url),
    dic: new URL('../../../node_modules/dictionary-en/index.dic', import.meta.url),
  },
};

async function read(file: URL): Promise<string> {
  const answer = await fetch(file);
  if (!answer.ok) throw new Error('The dictionary could not be read. Reload the page.');
  return answer.text();
}

const spellers = new Map<English, Promise<Speller>>();

/** The speller of an English; its dictionary is read once. */
function spellerOf(english: English): Promise<Speller> {
  let speller = spellers.get(english);
  if (!speller) {
    const { aff, dic } = FILES[english];
    speller = Promise.all([read(aff), read(dic)]).then(
      ([rules, words]) => new Speller({ aff: rules, dic: words } satisfies DictionaryFiles, english),
    );
    // One that failed is tried again.
    speller.catch(() => spellers.delete(english));
    spellers.set(english, speller);
  }
  return speller;
}

let held: { key: string; check: LanguageCheck } | null = null;

/** The language of a draft looked through; in a worker, as its dictionary is large. */
export const language = {
  /**
   * All remarks on the language of some blocks, in the order of the text. `english` null: another language, in which only house
   * words are looked for. `right` are words that are right besides the house's own.
   */
  async remarksOf(
    english: English | null,
    rules: LanguageRules,
    right: readonly string[],
    blocks: readonly Block[],
  ): Promise<PlacedRemark[]> {
    const key = JSON.stringify([english, rules, right]);
    if (held?.key !== key) {
      const speller = english === null ? null : await spellerOf(english);
      speller?.accept([...rules.own, ...right]);
      held = { key, check: new LanguageCheck(speller, rules) };
    }
    return held.check.check(blocks);
  },

  /** What could have been meant by a word; may take half a second. */
  suggest: async (english: English, word: string): Promise<string[]> =>
    (await spellerOf(english)).suggest(word),
};

export type Language = typeof language;
