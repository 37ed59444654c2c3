import type { Element, Root, RootContent } from 'hast';
import { countingIds, type NextId } from './draft.ts';
import { attribute, classNames, findElement, textOf } from './hast-reading.ts';
import { parsePage } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { documentFromTree } from './read-html.ts';

/** Names of classes and ids by which publishers mark what is not the article. */
const FURNITURE =
  /(?:^|[-_ ])(?:menu|nav|navbar|navigation|sidebar|side|aside|foot|footer|masthead|comments?|related|similar|share|social|cookie|consent|newsletter|subscribe|promo|banner|advert|ads?|crumbs?|breadcrumbs?|skip|reply|online|panel|bar|top|path|pagination|tags|widget|popup|modal|site-title|byline|meta|updated)(?:$|[-_ ])/i;
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
const HOLDERS = new Set(['article', 'main', 'section', 'div', 'td', 'body']);
const TEXTS = new Set(['p', 'li', 'td', 'th', 'blockquote', 'pre', 'h2', 'h3', 'h4', 'dd', 'dt']);
/** An element that holds so much of a page's text is its article, whatever it is called. */
const TOO_MUCH = 0.5;
/** The element in which so much of the page's running text stands is the article. */
const ENOUGH = 0.75;

const isElement = (node: RootContent): node is Element => node.type === 'element';

/** Characters of running text below an element, and those within links. */
function weigh(el: Element): { text: number; linked: number } {
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
  // A list in which nearly every word leads away is a menu.
  return (el.tagName === 'ul' || el.tagName === 'ol') && text > 0 && linked / text > 0.9 && text < 2000;
}

function pruned(el: Element, whole: number): Element {
  return {
    ...el,
    children: el.children
      .filter((child) => !isElement(child) || !isFurniture(child, whole))
      .map((child) => (isElement(child) ? pruned(child, whole) : child)),
  };
}

/** Characters of paragraphs and items straight below, the measure of an article. */
function running(el: Element): number {
  let sum = 0;
  const visit = (node: Element) => {
    for (const child of node.children) {
      if (!isElement(child)) continue;
      if (
        TEXTS.has(child.tagName) &&
        !findElement(child, (inner) => inner !== child && HOLDERS.has(inner.tagName))
      )
        sum += textOf(child).trim().length;
      else visit(child);
    }
  };
  visit(el);
  return sum;
}

/** The deepest element that holds most of a page's running text. */
function articleOf(body: Element): Element {
  const all = running(body);
  let best = body;
  const visit = (el: Element) => {
    for (const child of el.children) {
      if (!isElement(child)) continue;
      if (HOLDERS.has(child.tagName) && running(child) >= all * ENOUGH) best = child;
      if (findElement(child, (inner) => HOLDERS.has(inner.tagName))) visit(child);
    }
  };
  if (all > 0) visit(body);
  return best;
}

/**
 * Reads a page of somebody else's as its article: menus, asides, comments and footers are left out by element, role and
 * name, and by how much of them is links; what is left is the deepest element that holds three quarters of the running
 * text. Title, description and dates come from the head as for any page. Any input gives a document.
 */
export function readArticle(html: string, nextId: NextId = countingIds()): PostDocument {
  const tree = parsePage(html);
  const body = findElement(tree, (el) => el.tagName === 'body');
  if (!body) return documentFromTree(tree, nextId);
  const clean = pruned(body, weigh(body).text);
  const article = articleOf(clean);
  const title = findElement(article, (el) => el.tagName === 'h1')
    ? null
    : findElement(clean, (el) => el.tagName === 'h1');
  const head = findElement(tree, (el) => el.tagName === 'head');
  const root: Root = {
    type: 'root',
    children: [
      {
        type: 'element',
        tagName: 'html',
        properties: findElement(tree, (el) => el.tagName === 'html')?.properties ?? {},
        children: [
          ...(head ? [head] : []),
          {
            type: 'element',
            tagName: 'body',
            properties: {},
            children: [
              {
                type: 'element',
                tagName: 'article',
                properties: {},
                children: [...(title ? [title] : []), article],
              },
            ],
          },
        ],
      },
    ],
  };
  return documentFromTree(root, nextId);
}
