import { join } from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import {
  BLOG_STYLE,
  type BlogSite,
  entriesOfCategory,
  entryPath,
  foundEntries,
  gonePage,
  listPage,
  listPart,
  notFoundPage,
  pageOf,
  postPage,
  searchPage,
  sitePage,
} from '../../core/blog/index.ts';
import {
  type CategoryPicture,
  categoryPath,
  categoryTrail,
  folderOfPosts,
  saysCategory,
  slugOf,
} from '../../core/listing/index.ts';
import { hostCheck } from '../host-check.ts';
import { securityHeaders } from '../security-headers.ts';
import type { BlogStore } from './blog-store.ts';
import { feedOf, jsonFeedOf } from './feeds.ts';
import { micropubRoutes } from './micropub-routes.ts';
import { sitemapOf } from './sitemap-of.ts';

/** Pages may show what comes from here, and run nothing. */
const POLICY = {
  defaultSrc: ["'none'"],
  styleSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  formAction: ["'self'"],
  baseUri: ["'none'"],
  frameAncestors: ["'none'"],
};

/** The list of a category that is meant by the beginning of a post's address: `/gear/packing` where posts stand in their categories. */
function listAbove(site: BlogSite, path: string): string | null {
  if (!saysCategory(site.addressPattern)) return null;
  const bare = path.replace(/^\/+|\/+$/g, '');
  const own = site.categories.find(({ slug }) => categoryTrail(site.categories, slug) === bare);
  return own ? categoryPath(site, own.slug) : null;
}

const authorPath = (author: string): string => `/author/${slugOf(author) || 'somebody'}/`;

const html = (response: Response, page: string, status = 200) =>
  response.status(status).type('html').setHeader('cache-control', 'no-cache').send(page);

/** The blog that readers see, and the endpoint by which posts come to it. */
export function createBlog(store: BlogStore, hosts: readonly string[] = []): Express {
  const { site } = store;
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders(POLICY));
  app.use(hostCheck(hosts));
  app.use(micropubRoutes(store));
  app.use(
    '/media',
    express.static(join(store.folder, 'media'), {
      immutable: true,
      maxAge: '1y',
      index: false,
      dotfiles: 'ignore',
    }),
  );
  app.get('/style.css', (_request, response) => {
    response.type('css').setHeader('cache-control', 'no-cache').send(BLOG_STYLE);
  });

  const list = (
    response: Response,
    base: string,
    title: string,
    description: string,
    given: string | undefined,
    of = store.entries(),
    picture?: CategoryPicture,
  ) => {
    const part = listPart(of, given === undefined ? 1 : Number(given), site.perPage);
    if (!part || given === '1') return html(response, notFoundPage(site), 404);
    if (base === '/') response.setHeader('link', `<${site.address}/micropub>; rel="micropub"`);
    return html(response, listPage(site, { base, title, description, picture }, part, store.pixels));
  };
  app.get(['/', '/page/:page'], ({ params }, response) => {
    list(response, '/', '', site.description, (params as Record<string, string | undefined>)['page']);
  });
  app.get(
    [
      '/category/:slug',
      '/category/:slug/page/:page',
      '/category/:parent/:slug',
      '/category/:parent/:slug/page/:page',
    ],
    ({ params }, response, next) => {
      const { slug, parent, page } = params as Record<string, string | undefined>;
      const category = site.categories.find((one) => one.slug === slug && one.parent === (parent ?? ''));
      if (!category) return next();
      const base = `/category/${parent ? `${parent}/` : ''}${category.slug}/`;
      return list(
        response,
        base,
        category.name,
        category.description,
        page,
        entriesOfCategory(store.entries(), category, site.categories),
        category.picture,
      );
    },
  );
  app.get(['/author/:author', '/author/:author/page/:page'], ({ params }, response, next) => {
    const { author, page } = params as Record<string, string | undefined>;
    const own = store.entries().filter((entry) => authorPath(entry.author) === `/author/${author}/`);
    if (own.length === 0) return next();
    return list(response, `/author/${author}/`, own[0].author, `What ${own[0].author} wrote.`, page, own);
  });
  app.get('/rss.xml', (_request, response) => {
    response.type('application/rss+xml').send(feedOf(site, store.entries()).rss);
  });
  app.get('/atom.xml', (_request, response) => {
    response.type('application/atom+xml').send(feedOf(site, store.entries()).atom);
  });
  app.get('/feed.json', (_request, response) => {
    response.type('application/feed+json').send(JSON.stringify(jsonFeedOf(site, store.entries())));
  });
  app.get('/sitemap.xml', async (_request, response) => {
    response.type('application/xml').send(await sitemapOf(site, store.entries()));
  });
  app.get('/robots.txt', (_request, response) => {
    response
      .type('text')
      .send(
        `User-agent: *\nDisallow: /search\nDisallow: /micropub\n\nSitemap: ${site.address}/sitemap.xml\n`,
      );
  });
  app.get('/search', ({ query }, response) => {
    const asked = typeof query['q'] === 'string' ? query['q'].slice(0, 200) : '';
    html(response, searchPage(site, asked, foundEntries(store.entries(), asked)));
  });
  app.get('/{*path}', ({ path, originalUrl }, response) => {
    const found = store.at(path);
    const page = found === null ? pageOf(site, path) : null;
    if (page) {
      if (path !== page.path) response.redirect(301, page.path);
      else html(response, sitePage(site, page));
    } else if (found === null && path.replace(/\/+$/, '') === folderOfPosts(site.addressPattern))
      response.redirect(301, '/');
    else if (found === null) {
      const list = listAbove(site, path);
      if (list === null) html(response, notFoundPage(site), 404);
      else response.redirect(301, list);
    } else if (found === 'gone') html(response, gonePage(site), 410);
    else if ('to' in found) response.redirect(301, found.to);
    else {
      const own = entryPath(site, found.entry);
      // One post, one address: written in another way it leads there.
      if (path !== own) response.redirect(301, `${own}${/\?.*/.exec(originalUrl)?.[0] ?? ''}`);
      else
        html(
          response,
          postPage(site, found.entry, {
            pixels: store.pixels,
            related: store.relatedTo(found.entry.uid),
            authorPath,
            isThere: (other) => {
              const at = store.at(other);
              return at !== null && at !== 'gone' && 'entry' in at;
            },
          }),
        );
    }
  });
  app.use((error: Error & { status?: number }, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    const status = error.status ?? 500;
    if (status >= 500) console.error('The blog could not answer:', error);
    // Nothing of the machine it runs on is told.
    return response
      .status(status)
      .type('text')
      .send(
        status < 500
          ? 'This cannot be answered: the request is not well formed.'
          : 'The blog could not answer.',
      );
  });
  return app;
}
