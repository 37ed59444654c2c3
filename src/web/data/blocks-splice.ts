import type { Block } from '../../core/draft/index.ts';

/** A stretch of a list of blocks with what stands there now; what lies before and behind it is unchanged. */
export interface BlocksSplice {
  /** How many blocks before the stretch are unchanged. */
  kept: number;
  /** How many blocks behind it are. */
  keptBehind: number;
  blocks: Block[];
}

/**
 * The stretch in which `now` differs from any of the bases; put into whichever of them, it gives `now`. Blocks are
 * compared by identity: one that was not touched is the same object.
 *
 * @example spliceOf([[a, b, c]], [a, x, c]) // { kept: 1, keptBehind: 1, blocks: [x] }
 */
export function spliceOf(bases: readonly (readonly Block[])[], now: readonly Block[]): BlocksSplice {
  const shortest = Math.min(now.length, ...bases.map((base) => base.length));
  let kept = 0;
  while (kept < shortest && bases.every((base) => base[kept] === now[kept])) kept += 1;
  let keptBehind = 0;
  while (
    keptBehind < shortest - kept &&
    bases.every((base) => base[base.length - 1 - keptBehind] === now[now.length - 1 - keptBehind])
  )
    keptBehind += 1;
  return { kept, keptBehind, blocks: now.slice(kept, now.length - keptBehind) };
}

/** A base with the stretch in it. */
export const spliced = (base: readonly Block[], { kept, keptBehind, blocks }: BlocksSplice): Block[] => [
  ...base.slice(0, kept),
  ...blocks,
  ...base.slice(base.length - keptBehind),
];

/**
 * The stretch put into blocks that are none of its bases: a block that is there already gives way to the one with its
 * id, the others come behind it. Nothing of either side is lost but what the stretch itself rewrote.
 */
export function splicedById(other: readonly Block[], { blocks }: BlocksSplice): Block[] {
  const result = [...other];
  let at = result.length - 1;
  for (const block of blocks) {
    const known = result.findIndex(({ id }) => id === block.id);
    if (known >= 0) {
      result[known] = block;
      at = known;
    } else {
      at += 1;
      result.splice(at, 0, block);
    }
  }
  return result;
}
