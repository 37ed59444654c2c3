import { existsSync, readFileSync } from 'node:fs';
import { type Request, type Response, Router } from 'express';
import { packKeywords } from '../../core/research/index.ts';
import { World } from './world.ts';

/** Seeds that one request may hold, and the characters of each. */
const MOST_SEEDS = 20;
const MAX_PHRASE_CHARACTERS = 200;

const listOf = (value: unknown): string[] =>
  (Array.isArray(value) ? value : [value]).filter((part): part is string => typeof part === 'string');

/** The sentence for a request that cannot be answered. */
function refuse(response: Response, sentence: string): void {
  response.status(400).json({ problem: sentence });
}

/** Seeds and region of a request; null, with the answer given, where they make no sense. */
function asked(
  request: Request,
  response: Response,
  name: string,
): { words: string[]; region: string } | null {
  const words = listOf(request.query[name])
    .map((word) => word.trim())
    .filter(Boolean);
  const region = listOf(request.query['region'])[0] ?? '';
  if (words.length === 0 || words.length > MOST_SEEDS)
    refuse(response, `Name 1 to ${MOST_SEEDS} phrases as \`${name}\`.`);
  else if (words.some((word) => word.length > MAX_PHRASE_CHARACTERS))
    refuse(response, `A phrase has at most ${MAX_PHRASE_CHARACTERS} characters.`);
  else if (!/^[A-Z]{2}$/.test(region)) refuse(response, 'Name a region by two letters, such as GB.');
  else return { words, region };
  return null;
}

/** Answers about phrases, questions and pages found, out of the simulated world in a file of the build. */
export function marketRoutes(file: string): Router {
  const router = Router();
  let world: World | null = null;
  router.use((_request, response, next) => {
    if (!world && existsSync(file)) world = new World(JSON.parse(readFileSync(file, 'utf8')));
    if (world) next();
    else
      response
        .status(503)
        .json({ problem: 'The simulated market is not built. Start the server with npm start.' });
  });
  router.get('/regions', (_request, response) => {
    response.json({ regions: world!.regions });
  });
  router.get('/keywords', (request, response) => {
    const query = asked(request, response, 'seed');
    if (query) response.json(packKeywords(world!.related(query.words, query.region)));
  });
  router.get('/questions', (request, response) => {
    const query = asked(request, response, 'seed');
    if (query) response.json({ questions: world!.questions(query.words, query.region) });
  });
  router.get('/results', (request, response) => {
    const query = asked(request, response, 'query');
    if (!query) return;
    const limit = Number(listOf(request.query['limit'])[0] ?? 20);
    if (!Number.isInteger(limit) || limit < 1 || limit > 50)
      refuse(response, 'Ask for 1 to 50 pages as `limit`.');
    else response.json({ pages: world!.results(query.words[0], query.region, limit) });
  });
  return router;
}
