import { useLiveQuery as useDexieQuery } from 'dexie-react-hooks';
import { useRef } from 'react';

/**
 * What a query of the database answers, now and whenever that changes; undefined until it first does. Where the
 * database cannot be read - it was closed under the page, its disk is full, one row of it is damaged - what was read
 * last still stands: a screen that vanishes then would take along what is typed in it.
 */
export function useLiveQuery<Answer>(
  query: () => Promise<Answer>,
  given: readonly unknown[] = [],
): Answer | undefined {
  const last = useRef<{ given: readonly unknown[]; answer: Answer } | null>(null);
  return useDexieQuery(async () => {
    try {
      const answer = await query();
      last.current = { given, answer };
      return answer;
    } catch (error) {
      const known = last.current;
      // Nothing to show: the screen says that it stopped, and why.
      if (!known?.given.every((one, at) => one === given[at])) throw error;
      console.error('The database cannot be read just now:', error);
      return known.answer;
    }
  }, [...given]);
}
