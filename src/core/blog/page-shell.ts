import type { Element, ElementContent, Root } from 'hast';
import { toHtml } from 'hast-util-to-html';
import { categoryPath } from '../listing/index.ts';
import type { BlogSite } from './blog.ts';

/** An element of a page; `children` may be words. */
export const el = (
  tagName: string,
  properties: Element['properties'] = {},
  ...children: (ElementContent | string | null)[]
): Element => ({
  type: 'element',
  tagName,
  properties,
  children: children.flatMap((child): ElementContent[] =>
    child === null || child === ''
      ? []
      : [typeof child === 'string' ? { type: 'text', value: child } : child],
  ),
});

/** What a page says of itself. */
export interface PageHead {
  title: string;
  description: string;
  /** Whole address. */
  canonical: string;
  robots: string;
  language: string;
  /** Open graph. */
  share: { title: string; description: string; picture: string; kind: 'article' | 'website' };
  /** Structured data. */
  data: unknown[];
  /** The page in its languages, itself among them, each as language and whole address; absent: in one alone. */
  languages?: readonly { language: string; address: string }[];
  /** Addresses of the pages before and after this one of a list. */
  before?: string | null;
  after?: string | null;
}

/** Where an address of the blog lies for readers. */
export const wholeAddress = (site: BlogSite, path: string): string =>
  /^https?:\/\//i.test(path) ? path : `${site.address}${path.startsWith('/') ? path : `/${path}`}`;

const meta = (name: string, content: string) => (content ? [el('meta', { name, content })] : []);
const property = (name: string, content: string) =>
  content ? [el('meta', { property: name, content })] : [];

/** Structured data that cannot end its element early. */
const jsonLd = (data: unknown): Element =>
  el('script', { type: 'application/ld+json' }, JSON.stringify(data).replace(/</g, '\\u003c'));

/** Categories that stand by themselves, with those in them. */
function navigation(site: BlogSite): Element | null {
  const top = site.categories.filter(({ parent }) => parent === '');
  if (top.length === 0 && site.pages.length === 0) return null;
  const link = (slug: string, name: string) => el('a', { href: categoryPath(site, slug) }, name);
  return el(
    'nav',
    { ariaLabel: site.pages.length > 0 ? 'Categories and pages' : 'Categories' },
    top.length === 0
      ? null
      : el(
          'ul',
          {},
          ...top.map(({ slug, name }) => {
            const inner = site.categories.filter(({ parent }) => parent === slug);
            return el(
              'li',
              {},
              link(slug, name),
              inner.length > 0
                ? el('ul', {}, ...inner.map((one) => el('li', {}, link(one.slug, one.name))))
                : null,
            );
          }),
        ),
    site.pages.length > 0
      ? el(
          'ul',
          { className: ['site'] },
          ...site.pages.map(({ path, title }) => el('li', {}, el('a', { href: path }, title))),
        )
      : null,
  );
}

/** A whole page of the blog: no script, nothing from elsewhere. */
export function pageHtml(site: BlogSite, head: PageHead, main: (Element | null)[]): string {
  const { share } = head;
  const html = el(
    'html',
    { lang: head.language || site.language || 'en' },
    el(
      'head',
      {},
      el('meta', { charSet: 'utf-8' }),
      el('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
      el('title', {}, head.title),
      ...meta('description', head.description),
      ...meta('robots', head.robots),
      el('link', { rel: ['canonical'], href: head.canonical }),
      ...(head.languages ?? []).map(({ language, address }) =>
        el('link', { rel: ['alternate'], hrefLang: language, href: address }),
      ),
      ...(head.before ? [el('link', { rel: ['prev'], href: head.before })] : []),
      ...(head.after ? [el('link', { rel: ['next'], href: head.after })] : []),
      ...property('og:type', share.kind),
      ...property('og:site_name', site.name),
      ...property('og:title', share.title),
      ...property('og:description', share.description),
      ...property('og:url', head.canonical),
      ...property('og:image', share.picture && wholeAddress(site, share.picture)),
      el('link', { rel: ['alternate'], type: 'application/rss+xml', title: site.name, href: '/rss.xml' }),
      el('link', { rel: ['alternate'], type: 'application/atom+xml', title: site.name, href: '/atom.xml' }),
      el('link', { rel: ['alternate'], type: 'application/feed+json', title: site.name, href: '/feed.json' }),
      el('link', { rel: ['micropub'], href: '/micropub' }),
      el('link', { rel: ['stylesheet'], href: '/style.css' }),
      // None: browsers ask for one that is not named.
      el('link', { rel: ['icon'], href: 'data:,' }),
      ...head.data.map(jsonLd),
    ),
    el(
      'body',
      {},
      el('a', { className: ['skip'], href: '#main' }, 'To the text'),
      el(
        'header',
        { className: ['blog'] },
        el('p', { className: ['name'] }, el('a', { href: '/', rel: ['home'] }, site.name)),
        navigation(site),
      ),
      el('main', { id: 'main' }, ...main),
      el(
        'footer',
        { className: ['blog'] },
        el(
          'p',
          {},
          site.name,
          site.description ? `. ${site.description}` : '',
          ' ',
          el('a', { href: '/rss.xml' }, 'Feed'),
        ),
      ),
    ),
  );
  return `${toHtml({ type: 'root', children: [{ type: 'doctype' }, html] } as Root, { allowDangerousHtml: true, upperDoctype: true })}\n`;
}
