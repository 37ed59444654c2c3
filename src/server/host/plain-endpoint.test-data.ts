import express from 'express';

/** What an endpoint was sent, and how it behaves where the recommendation leaves it free. */
export interface PlainEndpoint {
  app: express.Express;
  posts: Map<string, Record<string, string[]>>;
  requests: { type: string; body: string }[];
  behaves: {
    /** Status of the next answers, one each, before anything is done. */
    failsWith: number[];
    /** Does the work, and closes the connection without an answer. */
    losesAnswer: number;
    isAccepted: boolean;
    answersAfter: number;
    takesSource: boolean;
  };
}

/**
 * A second endpoint: forms alone, no place for pictures, `Location` without a host, 202 for a new post, tokens that stop being
 * accepted, slow on demand.
 */
export function plainEndpoint(): PlainEndpoint {
  const app = express();
  const posts = new Map<string, Record<string, string[]>>();
  const requests: PlainEndpoint['requests'] = [];
  const behaves = {
    failsWith: [] as number[],
    losesAnswer: 0,
    isAccepted: true,
    answersAfter: 0,
    takesSource: true,
  };
  app.use(express.text({ type: () => true }));
  app.use((request, response, next) => {
    if (request.headers.authorization !== 'Bearer plain-token' || !behaves.isAccepted) {
      response.status(401).type('text').send('Who are you?');
      return;
    }
    setTimeout(next, behaves.answersAfter);
  });
  app.get('/pub', (request, response) => {
    const { q, url } = request.query;
    if (q === 'config')
      response.json({ categories: ['Bread'], 'syndicate-to': [{ uid: 'board', name: 'The board' }] });
    else if (q === 'source' && behaves.takesSource)
      if (typeof url === 'string') {
        const properties = posts.get(new URL(url).pathname);
        if (properties) response.json({ properties });
        else response.status(404).json({ error: 'not_found' });
      } else
        response.json({
          items: [...posts].map(([path, properties]) => ({ type: ['h-entry'], url: path, properties })),
        });
    else response.status(400).json({ error: 'invalid_request' });
  });
  app.post('/pub', (request, response) => {
    const body = String(request.body);
    requests.push({ type: request.headers['content-type'] ?? '', body });
    const status = behaves.failsWith.shift();
    if (status !== undefined) {
      response.status(status).json({ error: 'busy', error_description: 'Come back later.' });
      return;
    }
    if (!request.is('application/x-www-form-urlencoded')) {
      response.status(415).end();
      return;
    }
    const properties: Record<string, string[]> = {};
    for (const [name, value] of new URLSearchParams(body)) {
      const key = name.replace('[]', '');
      properties[key] = [...(properties[key] ?? []), value];
    }
    const path = `/notes/${posts.size + 1}`;
    posts.set(path, properties);
    if (behaves.losesAnswer > 0) {
      behaves.losesAnswer -= 1;
      request.socket.destroy();
      return;
    }
    response.status(202).location(path).end();
  });
  return { app, posts, requests, behaves };
}
