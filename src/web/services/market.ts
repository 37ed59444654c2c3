import { readMarketAnswer } from '../../core/formats/index.ts';
import type {
  Keyword,
  KeywordSource,
  Question,
  QuestionSource,
  ResultPage,
  ResultSource,
} from '../../core/research/index.ts';

/** The source of figures could not be asked, or did not answer; the message is a sentence. */
export class MarketProblem extends Error {}

async function ask(
  path: string,
  query: [name: string, value: string][],
): Promise<ReturnType<typeof readMarketAnswer>> {
  const words = new URLSearchParams(query).toString();
  let response: Response;
  try {
    response = await fetch(`/market/${path}?${words}`);
  } catch {
    throw new MarketProblem(
      'The source of figures cannot be reached: the server of Dune Sparrow is not running. Start it, or bring figures of your own.',
    );
  }
  const answer: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const said = (answer as { problem?: unknown } | null)?.problem;
    throw new MarketProblem(
      typeof said === 'string' ? said : `The source of figures answered ${response.status}.`,
    );
  }
  try {
    return readMarketAnswer(answer);
  } catch (error) {
    throw new MarketProblem(`The source of figures ${(error as Error).message}`);
  }
}

const seedQuery = (seeds: readonly string[], region: string): [string, string][] => [
  ...seeds.map((seed): [string, string] => ['seed', seed]),
  ['region', region],
];

/** The simulated market of this server, as any source of figures is asked. */
export const market: KeywordSource & QuestionSource & ResultSource = {
  keywords: async (seeds, region): Promise<Keyword[]> =>
    (await ask('keywords', seedQuery(seeds, region))).keywords ?? [],
  questions: async (seeds, region): Promise<Question[]> =>
    (await ask('questions', seedQuery(seeds, region))).questions ?? [],
  results: async (query, region, limit): Promise<ResultPage[]> =>
    (
      await ask('results', [
        ['query', query],
        ['region', region],
        ['limit', String(limit)],
      ])
    ).pages ?? [],
};
