import type { PublisherKind } from '../../core/research/index.ts';

export interface Publisher {
  host: string;
  name: string;
  kind: PublisherKind;
  /** 0-100. */
  standing: number;
  /** The region in which it is read most. */
  home: string;
  layout: 'magazine' | 'blog' | 'institution' | 'shop' | 'forum' | 'plain';
  tagline: string;
  menu: string[];
  aside: string;
}

/** An article as it is put into a page. */
export interface Article {
  title: string;
  metaTitle: string;
  description: string;
  /** Markup of the body. */
  body: string;
  /** ISO dates; empty where the page states none. */
  date: string;
  updated: string;
  author: string;
  path: string;
  language: string;
}

const escaped = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const slug = (text: string) => text.toLowerCase().replace(/[^a-z0-9]+/g, '-');
const dayOf = (date: string) => date.slice(0, 10);
const menuList = ({ menu }: Publisher) =>
  `<ul>${menu.map((name) => `<li><a href="/${slug(name)}">${escaped(name)}</a></li>`).join('')}</ul>`;
const time = (date: string, words = dayOf(date)) =>
  date ? `<time datetime="${dayOf(date)}">${words}</time>` : '';
const others = (publisher: Publisher, articles: readonly Article[], path: string) =>
  articles
    .filter((article) => article.path !== path)
    .slice(0, 4)
    .map(
      (article) =>
        `<li><a href="https://${publisher.host}${article.path}">${escaped(article.title)}</a></li>`,
    )
    .join('');

type Layout = (publisher: Publisher, article: Article, more: string) => string;

/** How each kind of publisher builds its pages: what is furniture and what is the article differs as it does outside. */
const LAYOUTS: Record<Publisher['layout'], Layout> = {
  magazine: (publisher, article, more) => `<header class="masthead"><a href="/">${escaped(publisher.name)}</a>
<p>${escaped(publisher.tagline)}</p><nav aria-label="Sections">${menuList(publisher)}</nav></header>
<main><article><header><h1>${escaped(article.title)}</h1>
<p class="byline">${article.author ? `By <a rel="author" href="/people/${slug(article.author)}">${escaped(article.author)}</a> ` : ''}${time(article.date)}</p></header>
${article.body}
</article>
<aside><h2>From ${escaped(publisher.name)}</h2><p>${escaped(publisher.aside)}</p><h3>Read next</h3><ul>${more}</ul></aside></main>
<footer><h2>About us</h2>${menuList(publisher)}<p>Newsletter: <a href="/letter">every second Friday</a>. <a href="/privacy">Privacy</a>. <a href="/imprint">Imprint</a>.</p></footer>`,
  blog: (
    publisher,
    article,
    more,
  ) => `<div id="page"><div class="site-title"><a href="/">${escaped(publisher.name)}</a> <span>${escaped(publisher.tagline)}</span></div>
<div class="menu">${menuList(publisher)}</div>
<article class="post"><h1>${escaped(article.title)}</h1><p class="meta">Written by ${escaped(article.author || publisher.name)} on ${time(article.date)}</p>
<div class="entry">${article.body}</div></article>
<div class="sidebar"><h3>Hello</h3><p>${escaped(publisher.aside)}</p><h3>Other posts</h3><ul>${more}</ul></div>
<div class="comments"><h3>Comments</h3><p>Comments are closed. <a href="/post-a-card">Send a postcard</a>.</p></div>
<div class="foot">Made at a kitchen table. <a href="/feed">Feed</a></div></div>`,
  institution: (publisher, article, more) => `<a class="skip" href="#content">Skip to content</a>
<header role="banner"><a href="/">${escaped(publisher.name)}</a><p>${escaped(publisher.tagline)}</p><nav>${menuList(publisher)}</nav><form role="search" action="/search"><label>Search <input name="q"></label></form></header>
<nav aria-label="You are here"><a href="/">Home</a> &gt; <a href="/${slug(publisher.menu[1] ?? 'pages')}">${escaped(publisher.menu[1] ?? 'Pages')}</a></nav>
<main id="content"><h1>${escaped(article.title)}</h1>
${article.body}
<p class="updated">Page last reviewed ${time(article.updated || article.date)}</p></main>
<section aria-label="Related pages"><h2>Related pages</h2><ul>${more}</ul><p>${escaped(publisher.aside)}</p></section>
<footer role="contentinfo">${menuList(publisher)}<p><a href="/accessibility">Accessibility</a> <a href="/privacy">Privacy</a> <a href="/contact">Contact</a></p></footer>`,
  shop: (
    publisher,
    article,
    more,
  ) => `<div class="bar">${escaped(publisher.tagline)} <a href="/basket">Basket (0)</a> <a href="/account">Account</a></div>
<div class="head"><a class="logo" href="/">${escaped(publisher.name)}</a>${menuList(publisher)}</div>
<div class="crumbs"><a href="/">Home</a> / ${escaped(article.title)}</div>
<div class="content"><h1>${escaped(article.title)}</h1>
${article.body}
</div>
<div class="panel"><p>${escaped(publisher.aside)}</p><ul>${more}</ul><form action="/letter"><label>Get offers <input type="email" name="to"></label><button>Sign up</button></form></div>
<div class="footer">${menuList(publisher)}<p>Delivery, returns, terms. Prices include tax.</p></div>`,
  forum: (
    publisher,
    article,
    more,
  ) => `<div class="top"><a href="/">${escaped(publisher.name)}</a> ${menuList(publisher)} <a href="/login">Log in</a> <a href="/join">Join</a></div>
<div class="path"><a href="/">Forums</a> &raquo; <a href="/touring">Touring</a> &raquo; thread</div>
<h1 class="thread">${escaped(article.title)}</h1>
<section class="posts">${article.body}</section>
<div class="reply"><p>You must <a href="/login">log in</a> to reply.</p></div>
<div class="similar"><h4>Similar threads</h4><ul>${more}</ul></div>
<div class="online">${escaped(publisher.aside)} <a href="/rules">Rules</a></div>`,
  plain: (
    publisher,
    article,
    more,
  ) => `<table width="100%"><tr><td colspan="2"><b>${escaped(publisher.name)}</b>. ${escaped(publisher.tagline)}</td></tr>
<tr><td valign="top" width="160">${menuList(publisher)}<p>${escaped(publisher.aside)}</p></td><td valign="top"><h1>${escaped(article.title)}</h1>
${article.body}
<p><small>Put here ${time(article.date)}.</small></p></td></tr>
<tr><td colspan="2"><small>See also</small><ul>${more}</ul></td></tr></table>`,
};

function head(publisher: Publisher, article: Article): string {
  const lines = [
    '<meta charset="utf-8">',
    `<title>${escaped(article.metaTitle || article.title)}</title>`,
    article.description ? `<meta name="description" content="${escaped(article.description)}">` : '',
    `<link rel="canonical" href="https://${publisher.host}${article.path}">`,
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
  ];
  // Where a publisher states dates differs, and forums state none.
  if (publisher.layout === 'magazine') {
    lines.push(`<meta property="article:published_time" content="${dayOf(article.date)}">`);
    if (article.updated)
      lines.push(`<meta property="article:modified_time" content="${dayOf(article.updated)}">`);
  }
  if (publisher.layout === 'shop')
    lines.push(
      `<script type="application/ld+json">${JSON.stringify({ '@context': 'https://schema.org', '@type': 'WebPage', name: article.title, datePublished: dayOf(article.date) })}</script>`,
    );
  return lines.filter(Boolean).join('\n');
}

/** A whole document around an article, with the furniture of its publisher. */
export function pageHtml(publisher: Publisher, article: Article, articles: readonly Article[]): string {
  const body = LAYOUTS[publisher.layout](publisher, article, others(publisher, articles, article.path));
  return `<!doctype html>\n<html lang="${article.language}">\n<head>\n${head(publisher, article)}\n</head>\n<body class="${publisher.layout}">\n${body}\n</body>\n</html>\n`;
}
