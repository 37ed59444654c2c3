import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Block } from '../../core/draft/index.ts';
import { spliced, splicedById, spliceOf } from './blocks-splice.ts';

const block = (id: string, text = id): Block => ({ id, kind: 'paragraph', path: [], text, marks: [] });
const pool = 'abcdefgh'.split('').map((id) => block(id));
const lists = fc.array(fc.constantFrom(...pool), { maxLength: 8 });
const texts = (blocks: readonly Block[]) => blocks.map(({ text }) => text).join('');

describe('the stretch in which blocks differ', () => {
  it('is no more than what was touched', () => {
    const [a, b, c] = pool;
    const x = block('b', 'x');
    expect(spliceOf([[a, b, c]], [a, x, c])).toEqual({ kept: 1, keptBehind: 1, blocks: [x] });
    expect(spliceOf([[a, b, c]], [a, b, c])).toEqual({ kept: 3, keptBehind: 0, blocks: [] });
  });
  it('put into any of its bases gives what stands now', () =>
    fc.assert(
      fc.property(lists, lists, lists, (one, two, now) => {
        const splice = spliceOf([one, two], now);
        expect(texts(spliced(one, splice))).toBe(texts(now));
        expect(texts(spliced(two, splice))).toBe(texts(now));
      }),
    ));
  it('put into blocks that were rewritten loses none of theirs but those it rewrote itself', () => {
    const [a, b, c] = pool;
    const typed = block('b', 'B, and more');
    const added = block('n', 'New');
    const splice = spliceOf([[a, b, c]], [a, typed, added, c]);
    const other = [block('a', 'A elsewhere'), b, block('z', 'Z')];
    expect(splicedById(other, splice).map(({ text }) => text)).toEqual([
      'A elsewhere',
      'B, and more',
      'New',
      'Z',
    ]);
  });
});
