import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { addressChecks, keepAddressCheck } from './address-checks.ts';
import { openDatabase } from './database.ts';

const answer = (address: string, state: 'gone' | 'fine') => ({
  address,
  state,
  status: state === 'gone' ? 404 : 200,
  to: null,
  says: '',
  at: '2026-11-29T09:00:00.000Z',
});

it('what is known of addresses is kept, the last answer counts, and of others nothing is said', async () => {
  openDatabase('dune-sparrow-addresses-test');
  const address = 'https://miller.example/';
  await keepAddressCheck(answer(address, 'fine'));
  await keepAddressCheck(answer(address, 'gone'));
  expect(await addressChecks([address, 'constructor'])).toEqual(
    new Map([[address, answer(address, 'gone')]]),
  );
  expect(await addressChecks([])).toEqual(new Map());
});
