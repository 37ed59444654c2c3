import express, { type NextFunction, type Request, type Response, Router } from 'express';
import { valuesOf, wholeAddress } from '../../core/blog/index.ts';
import { UnreadableFile } from '../../core/draft/index.ts';
import type { BlogStore, KeptPost } from './blog-store.ts';
import { isForm, mayDo } from './may-do.ts';
import { mediaRoute } from './media-route.ts';
import {
  MicropubError,
  type MicropubRequest,
  readFormRequest,
  readJsonRequest,
  updatedProperties,
} from './micropub-request.ts';

/** As long as a post may be that is handed over. */
const MOST_BYTES = '10mb';

function asked(request: Request): MicropubRequest {
  const body = request.body as unknown;
  if (typeof body !== 'string')
    throw new MicropubError(415, 'invalid_request', 'Send the entry as JSON or as a form.');
  if (isForm(request)) return readFormRequest(new URLSearchParams(body));
  let json: unknown;
  try {
    json = JSON.parse(body);
  } catch {
    throw new MicropubError(400, 'invalid_request', 'The body is no JSON.');
  }
  return readJsonRequest(json);
}

/** Answers an error as the recommendation says; anything else goes on. */
export function micropubErrors(
  error: unknown,
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (error instanceof MicropubError)
    response.status(error.status).json({ error: error.code, error_description: error.message });
  else if (error instanceof UnreadableFile)
    response
      .status(400)
      .json({ error: 'invalid_request', error_description: `The content ${error.message}` });
  else if ((error as { type?: string }).type === 'entity.too.large')
    response
      .status(413)
      .json({ error: 'invalid_request', error_description: `An entry may have ${MOST_BYTES} at most.` });
  else next(error);
}

/** The Micropub endpoint of the blog (W3C Recommendation of 23 May 2017): create, update, delete, undelete, queries, media. */
export function micropubRoutes(store: BlogStore): Router {
  const router = Router();
  const { site } = store;
  const addressOf = (post: KeptPost) => wholeAddress(site, store.pathOf(post));
  const postAt = (url: string): KeptPost => {
    const post = store.byAddress(url);
    if (!post) throw new MicropubError(400, 'invalid_request', `No entry of this blog stands at ${url}.`);
    return post;
  };
  const text = express.text({
    type: ['application/json', 'application/x-www-form-urlencoded'],
    limit: MOST_BYTES,
  });

  router.get('/micropub', (request, response) => {
    mayDo(store, request, null);
    const { q, url } = request.query as Record<string, unknown>;
    const wanted = [request.query['properties[]'] ?? request.query['properties'] ?? []].flat().map(String);
    if (q === 'config')
      response.json({
        'media-endpoint': `${site.address}/media`,
        'syndicate-to': [],
        categories: store.site.categories.map(({ name }) => name),
        q: ['config', 'source', 'category', 'syndicate-to'],
        'post-types': [{ type: 'article', name: 'Post' }],
      });
    else if (q === 'syndicate-to') response.json({ 'syndicate-to': [] });
    else if (q === 'category') response.json({ categories: store.site.categories.map(({ name }) => name) });
    else if (q === 'source' && typeof url === 'string') {
      const { properties, version } = postAt(url);
      const shown =
        wanted.length === 0
          ? properties
          : Object.fromEntries(
              wanted.flatMap((name) => {
                const values = valuesOf(properties, name);
                return values.length > 0 ? [[name, values]] : [];
              }),
            );
      response.setHeader('etag', `"${version}"`);
      response.json(wanted.length === 0 ? { type: ['h-entry'], properties: shown } : { properties: shown });
    } else if (q === 'source')
      response.json({
        items: store
          .allPosts()
          .filter(({ isDeleted }) => !isDeleted)
          .map((post) => ({ type: ['h-entry'], url: addressOf(post), properties: post.properties })),
      });
    else throw new MicropubError(400, 'invalid_request', `This question is not known: q=${String(q ?? '')}.`);
  });

  router.post('/micropub', text, (request, response) => {
    // Whose token is none learns nothing of what is wrong with the rest.
    mayDo(store, request, null);
    const request_ = asked(request);
    mayDo(store, request, request_.action === 'undelete' ? 'delete' : request_.action);
    if (request_.action === 'create') {
      const post = store.create(request_.properties);
      response.status(201).location(addressOf(post)).end();
      return;
    }
    const post = postAt(request_.url);
    if (request_.action === 'update') {
      const known = request.headers['if-match'];
      // Whoever says which version they know changes no other.
      if (known !== undefined && known !== `"${post.version}"`) {
        response
          .status(412)
          .json({ error: 'invalid_request', error_description: 'The entry was changed since.' });
        return;
      }
      const next = store.change(post, updatedProperties(post.properties, request_));
      if (next.slug === post.slug) response.status(204).end();
      else response.status(201).location(addressOf(next)).end();
      return;
    }
    store.setDeleted(post, request_.action === 'delete');
    response.status(204).end();
  });

  router.post('/media', mediaRoute(store));
  router.use(micropubErrors);
  return router;
}
