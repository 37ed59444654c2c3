import Dexie, { type Table } from 'dexie';
import type { OutsideAnswer } from '../../core/site/index.ts';
import { database } from './database.ts';

/**
 * What is known of addresses outside the site, in a database of its own: it can be asked for again at any time, and a change of
 * its shape must not touch what holds a writer's words.
 */
class AddressChecks extends Dexie {
  answers!: Table<OutsideAnswer, string>;

  constructor(name: string) {
    super(name);
    this.version(1).stores({ answers: 'address' });
  }
}

let opened: AddressChecks | null = null;

function checks(): AddressChecks {
  const name = `${database().name}-addresses`;
  if (opened?.name !== name) opened = new AddressChecks(name);
  return opened;
}

/** What is known of addresses, by address; of those that were never checked, or where nothing can be kept, nothing. */
export async function addressChecks(
  addresses: readonly string[],
): Promise<ReadonlyMap<string, OutsideAnswer>> {
  if (addresses.length === 0) return new Map();
  try {
    const rows = await checks().answers.bulkGet([...addresses]);
    return new Map(rows.flatMap((row) => (row ? [[row.address, row]] : [])));
  } catch (error) {
    console.error('What is known of addresses cannot be read:', error);
    return new Map();
  }
}

/** Keeps how an address stood. Where nothing can be kept it is asked for again the next time. */
export async function keepAddressCheck(answer: OutsideAnswer): Promise<void> {
  try {
    await checks().answers.put(answer);
  } catch (error) {
    console.error('How an address stood could not be kept:', error);
  }
}
