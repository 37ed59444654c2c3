import type { OutsideAnswer } from '../../core/site/index.ts';
import { askNetwork } from './network.ts';

const isCheck = (value: unknown): value is Omit<OutsideAnswer, 'at'> => {
  const { address, state, says } = (value ?? {}) as Partial<OutsideAnswer>;
  return (
    typeof address === 'string' &&
    typeof says === 'string' &&
    (state === 'fine' || state === 'moved' || state === 'gone' || state === 'unsure')
  );
};

/** Asks the server whether anything stands at an address. Throws `NetworkProblem`, or the signal's reason. */
export const checkAddress = (address: string, signal: AbortSignal): Promise<Omit<OutsideAnswer, 'at'>> =>
  askNetwork('check', address, isCheck, signal);
