/** The server could not be asked about an address; the message is a sentence. */
export class NetworkProblem extends Error {}

const AWAY =
  'Addresses outside the site cannot be asked for: the server of Dune Sparrow is not running. Start it and try again.';

let token: Promise<string> | null = null;

async function askToken(): Promise<string> {
  const response = await fetch('/network/token', { cache: 'no-store' });
  const answer = (await response.json()) as { token?: unknown };
  if (!response.ok || typeof answer.token !== 'string') throw new NetworkProblem(AWAY);
  return answer.token;
}

/**
 * Asks the server about an address (`check`: does anything stand there; `page`: what stands there). The answer is that of
 * the wished shape. Throws {@link NetworkProblem}, or the signal's reason.
 */
export async function askNetwork<Answer>(
  what: 'check' | 'page',
  address: string,
  isAnswer: (value: unknown) => value is Answer,
  signal: AbortSignal,
): Promise<Answer> {
  // A server that was started anew has another token.
  for (let attempt = 0; ; attempt++) {
    let response: Response;
    try {
      token ??= askToken();
      response = await fetch(`/network/${what}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-dune-sparrow': await token },
        body: JSON.stringify({ address }),
        signal,
      });
    } catch (error) {
      token = null;
      if (signal.aborted) throw error;
      throw error instanceof NetworkProblem ? error : new NetworkProblem(AWAY);
    }
    const answer: unknown = await response.json().catch(() => null);
    if (response.ok && isAnswer(answer)) return answer;
    token = null;
    if (response.status !== 403 || attempt > 0) {
      const said = (answer as { problem?: unknown } | null)?.problem;
      throw new NetworkProblem(typeof said === 'string' ? said : `The server answered ${response.status}.`);
    }
  }
}
