import type { OutsideAnswer } from '../../core/site/index.ts';
import { readVisits, writeNow } from './visit-store.ts';

/** What is known of addresses outside the site, by address; of those that were never checked nothing. */
export async function addressChecks(
  addresses: readonly string[],
): Promise<ReadonlyMap<string, OutsideAnswer>> {
  if (addresses.length === 0) return new Map();
  const wanted = new Set(addresses);
  const rows = (await readVisits('addressChecks')).filter(({ address }) => wanted.has(address));
  return new Map(rows.map((row) => [row.address, row]));
}

/** Keeps how an address stood; answers whether it could be kept. */
export const keepAddressCheck = (answer: OutsideAnswer): Promise<boolean> =>
  writeNow('addressChecks', answer.address, answer);
