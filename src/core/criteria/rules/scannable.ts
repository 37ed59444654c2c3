import { criterion, type Fix } from '../criterion.ts';
import { enumerationIn, listOf } from '../fixing/enumerations.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { count, measure } from '../judging.ts';

export const scannable = criterion({
  id: 'scannable',
  group: 'reading',
  title: 'Lists, tables, quotes',
  place: 'text',
  weight: 1,
  needs: [],
  target: (limits) => `one list, table or quote for every ${limits.wordsPerScanPoint} words`,
  measure({ totals: { scanPoints: found }, words, settings: { limits } }) {
    const share = found === 0 ? 0 : words === 0 ? 1 : Math.min(1, (found * limits.wordsPerScanPoint) / words);
    return measure(
      share,
      found,
      `${found === 0 ? 'No list, table or quote' : count(found, 'list, table or quote', 'lists, tables or quotes')} in ${count(words, 'word')}. Turn an enumeration into a list.`,
    );
  },
  fixes({ readings, english }) {
    if (!english) return [];
    return firstFixes(readings, ({ block, paragraph }): Fix[] => {
      const found = paragraph && block.path.length === 0 ? enumerationIn(block.text) : null;
      if (!found) return [];
      return [
        {
          label: `Make a list of ${count(found.items.length, 'point')}`,
          edits: [
            { kind: 'replace-block', blockId: block.id, quote: block.text, blocks: listOf(block, found) },
          ],
          readOver: true,
        },
      ];
    });
  },
});
