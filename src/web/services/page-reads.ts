import { askNetwork } from './network.ts';

/** A page of the network, or why it could not be read. */
export interface PageRead {
  address: string;
  /** The address that answered in the end; null: none did. */
  found: string | null;
  format: 'html' | 'markdown' | 'text' | null;
  text: string;
  /** UTC instant at which it was read. */
  at: string;
  /** In words; empty: it was read. */
  problem: string;
}

const isPage = (value: unknown): value is PageRead => {
  const { address, text, at, problem, format } = (value ?? {}) as Partial<PageRead>;
  return (
    typeof address === 'string' &&
    typeof text === 'string' &&
    typeof at === 'string' &&
    typeof problem === 'string' &&
    (problem !== '' || format === 'html' || format === 'markdown' || format === 'text')
  );
};

/** Asks the server to read the page at an address. Throws `NetworkProblem`, or the signal's reason. */
export const readPageAt = (address: string, signal: AbortSignal): Promise<PageRead> =>
  askNetwork('page', address, isPage, signal);
