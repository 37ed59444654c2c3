import type { BlogSite, SitePage } from './blog.ts';
import { el, pageHtml, wholeAddress } from './page-shell.ts';

/** The page of the site at a path, with or without its closing slash; null where there is none. */
export const pageOf = ({ pages }: BlogSite, path: string): SitePage | null =>
  pages.find((page) => page.path === (path.replace(/\/+$/, '') || '/')) ?? null;

/** A page of the site that is no post. */
export const sitePage = (site: BlogSite, { path, title, description, html }: SitePage): string =>
  pageHtml(
    site,
    {
      title: `${title} | ${site.name}`,
      description,
      canonical: wholeAddress(site, path),
      robots: '',
      language: site.language,
      share: { title, description, picture: '', kind: 'website' },
      data: [],
    },
    [el('h1', {}, title), el('div', { className: ['e-content'] }, { type: 'raw', value: html })],
  );
