import type { Criterion } from '../criterion.ts';
import { count, measure } from '../judging.ts';

export const scannable: Criterion = {
  id: 'scannable',
  group: 'reading',
  title: 'Lists, tables, quotes',
  place: 'text',
  applies: () => true,
  target: (limits) => `one list, table or quote for every ${limits.wordsPerScanPoint} words`,
  measure({ blocks, words, settings: { limits } }) {
    let found = 0;
    let last = '';
    for (const { path } of blocks) {
      const [outer] = path;
      const key = outer ? `${outer.type}${outer.key}` : '';
      if (outer && key !== last) found += 1;
      last = key;
    }
    const share = found === 0 ? 0 : words === 0 ? 1 : Math.min(1, (found * limits.wordsPerScanPoint) / words);
    return measure(
      share,
      found,
      `${count(found, 'list, table or quote', 'lists, tables or quotes')} in ${count(words, 'word')}. Turn an enumeration into a list.`,
    );
  },
};
