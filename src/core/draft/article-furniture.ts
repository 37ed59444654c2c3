import type { Element, RootContent } from 'hast';
import { attribute, classNames, findElement, textOf } from './hast-reading.ts';

/** Names of classes and ids by which publishers mark what is not the article. */
const FURNITURE =
  /(?:^|[-_ ])(?:menu|nav|navbar|navigation|sidebar|side|aside|foot|footer|masthead|comments?|related|similar|share|social|cookie|consent|newsletter|subscribe|promo|banner|advert|ads?|crumbs?|breadcrumbs?|skip|reply|online|panel|bar|top|path|pagination|tags|widget|popup|modal|site-title|byline|meta|updated|authors?|authorgroup|legalnotice|licen[cs]e|copyright|pubdate|revhistory|colophon)(?:$|[-_ ])/i;
const ROLES = new Set(['navigation', 'search', 'dialog', 'menu', 'banner', 'contentinfo', 'complementary']);
const NEVER = new Set([
  'nav',
  'aside',
  'footer',
  'form',
  'dialog',
  'script',
  'style',
  'noscript',
  'template',
  'small',
]);
/** An element that holds so much of a page's text is its article, whatever it is called. */
const TOO_MUCH = 0.5;
const LISTS = new Set(['ul', 'ol', 'dl']);
/** Names by which publishers mark a list of a page's own headings. */
const CONTENTS = /(?:^|[-_ ])(?:toc|table-?of-?contents|contents|docnav|nav(?:header|footer)?)(?:$|[-_ ])/i;
/** What publishers hang on a heading so that it can be linked to. */
const PERMALINK = /^[\s¶§#\u{1F517}]*$/u;

const isElement = (node: RootContent): node is Element => node.type === 'element';

/** Characters of running text below an element, and those within links. */
export function weigh(el: Element): { text: number; linked: number } {
  let text = 0;
  let linked = 0;
  const visit = (node: Element, inLink: boolean) => {
    for (const child of node.children) {
      if (child.type === 'text') {
        const length = child.value.trim().length;
        text += length;
        if (inLink) linked += length;
      } else if (isElement(child) && !NEVER.has(child.tagName)) visit(child, inLink || child.tagName === 'a');
    }
  };
  visit(el, el.tagName === 'a');
  return { text, linked };
}

/** Whether an element is furniture, by what it is, what it is called, and how much of it is links. */
function isFurniture(el: Element, whole: number): boolean {
  if (NEVER.has(el.tagName) || ROLES.has(attribute(el, 'role') ?? '')) return true;
  const { text, linked } = weigh(el);
  if (text > whole * TOO_MUCH) return false;
  const named = FURNITURE.test(
    [...classNames(el), attribute(el, 'id') ?? '', attribute(el, 'ariaLabel') ?? ''].join(' '),
  );
  const holdsTitle = findElement(el, (inner) => inner.tagName === 'h1') !== null;
  if (named && !holdsTitle) return true;
  if (el.tagName === 'header') return !holdsTitle;
  if (isContents(el, text, linked)) return true;
  // A list in which nearly every word leads away is a menu.
  return LISTS.has(el.tagName) && text > 0 && linked / text > 0.9 && text < 2000;
}

/** A list of the page's own headings: it is called so, or nearly all of its words lead to places of the page itself. */
function isContents(el: Element, text: number, linked: number): boolean {
  if (text === 0 || linked / text < 0.6) return false;
  const named = CONTENTS.test([...classNames(el), attribute(el, 'id') ?? ''].join(' '));
  if (named) return true;
  if (!LISTS.has(el.tagName) || linked / text < 0.8) return false;
  let all = 0;
  let within = 0;
  findElement(el, (inner) => {
    if (inner.tagName !== 'a') return false;
    all += 1;
    if (attribute(inner, 'href')?.includes('#')) within += 1;
    return false;
  });
  return all > 2 && within / all > 0.8;
}

/** A mark that links a heading to itself. */
const isPermalink = (el: Element): boolean =>
  el.tagName === 'a' &&
  attribute(el, 'href') !== undefined &&
  textOf(el) !== '' &&
  PERMALINK.test(textOf(el)) &&
  !findElement(el, (inner) => inner.tagName === 'img');

/** An element without what is furniture below it; `whole` is the number of characters of the text. */
export function pruned(el: Element, whole: number): Element {
  return {
    ...el,
    children: el.children
      .filter((child) => !isElement(child) || !(isPermalink(child) || isFurniture(child, whole)))
      .map((child) => (isElement(child) ? pruned(child, whole) : child)),
  };
}
