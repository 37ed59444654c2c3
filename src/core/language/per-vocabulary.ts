import type { Vocabulary } from './vocabulary.ts';

/**
 * What is worked out of words, made once for each vocabulary and key and the same for all who ask: a site's posts share most of their
 * words. It goes with its vocabulary.
 */
export function perVocabulary<Key, Made>(
  make: (vocabulary: Vocabulary, key: Key) => Made,
): (vocabulary: Vocabulary, key: Key) => Made {
  const known = new WeakMap<Vocabulary, Map<Key, Made>>();
  return (vocabulary, key) => {
    let all = known.get(vocabulary);
    if (!all) {
      all = new Map();
      known.set(vocabulary, all);
    }
    let made = all.get(key);
    if (made === undefined) {
      made = make(vocabulary, key);
      all.set(key, made);
    }
    return made;
  };
}
