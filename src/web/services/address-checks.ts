import type { OutsideAnswer } from '../../core/site/index.ts';

/** The server could not be asked about an address; the message is a sentence. */
export class CheckProblem extends Error {}

const AWAY =
  'Addresses outside the site cannot be checked: the server of Dune Sparrow is not running. Start it and try again.';

let token: Promise<string> | null = null;

async function askToken(): Promise<string> {
  const response = await fetch('/network/token', { cache: 'no-store' });
  const answer = (await response.json()) as { token?: unknown };
  if (!response.ok || typeof answer.token !== 'string') throw new CheckProblem(AWAY);
  return answer.token;
}

const isCheck = (value: unknown): value is Omit<OutsideAnswer, 'at'> => {
  const { address, state, says } = (value ?? {}) as Partial<OutsideAnswer>;
  return (
    typeof address === 'string' &&
    typeof says === 'string' &&
    (state === 'fine' || state === 'moved' || state === 'gone' || state === 'unsure')
  );
};

/** Asks the server whether anything stands at an address. Throws {@link CheckProblem}, or the signal's reason. */
export async function checkAddress(address: string, signal: AbortSignal): Promise<Omit<OutsideAnswer, 'at'>> {
  // A server that was started anew has another token.
  for (let attempt = 0; ; attempt++) {
    let response: Response;
    try {
      token ??= askToken();
      response = await fetch('/network/check', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-dune-sparrow': await token },
        body: JSON.stringify({ address }),
        signal,
      });
    } catch (error) {
      token = null;
      if (signal.aborted) throw error;
      throw error instanceof CheckProblem ? error : new CheckProblem(AWAY);
    }
    const answer: unknown = await response.json().catch(() => null);
    if (response.ok && isCheck(answer)) return answer;
    token = null;
    if (response.status !== 403 || attempt > 0) {
      const said = (answer as { problem?: unknown } | null)?.problem;
      throw new CheckProblem(typeof said === 'string' ? said : `The server answered ${response.status}.`);
    }
  }
}
