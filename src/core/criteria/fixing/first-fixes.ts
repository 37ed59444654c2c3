import { type Fix, MOST_FIXES } from '../criterion.ts';

/** Places that are looked at for changes. */
const LOOKED_AT = 300;

/** The first changes that some places of a draft offer: as many as anybody reads, of as many places as anybody waits for. */
export function firstFixes<Item>(items: Iterable<Item>, fixesOf: (item: Item) => readonly Fix[]): Fix[] {
  const fixes: Fix[] = [];
  let looked = 0;
  for (const item of items) {
    fixes.push(...fixesOf(item));
    looked += 1;
    if (fixes.length >= MOST_FIXES || looked >= LOOKED_AT) break;
  }
  return fixes;
}
