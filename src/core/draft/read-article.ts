import type { Element, Root, RootContent } from 'hast';
import { pruned, weigh } from './article-furniture.ts';
import { countingIds, type NextId } from './draft.ts';
import { findElement, textOf } from './hast-reading.ts';
import { manualTitle, withProseOfPre } from './manual-pages.ts';
import { parsePage } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { documentFromTree } from './read-html.ts';

const HOLDERS = new Set(['article', 'main', 'section', 'div', 'td', 'body']);
const TEXTS = new Set(['p', 'li', 'td', 'th', 'blockquote', 'pre', 'h2', 'h3', 'h4', 'dd', 'dt']);
/** Elements that part a text; a holder without any of them holds running text itself. */
const PARTING = new Set([
  ...HOLDERS,
  ...TEXTS,
  'ul',
  'ol',
  'dl',
  'table',
  'h1',
  'h5',
  'h6',
  'header',
  'figure',
]);
/** The element in which so much of the page's running text stands is the article. */
const ENOUGH = 0.8;

const isElement = (node: RootContent): node is Element => node.type === 'element';

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
      // Some publishers write each paragraph into a holder of its own.
      else if (HOLDERS.has(child.tagName) && !findElement(child, (inner) => PARTING.has(inner.tagName)))
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
 * name, and by how much of them is links; what is left is the deepest element that holds four fifths of the running
 * text. Title, description and dates come from the head as for any page. Any input gives a document.
 */
export function readArticle(html: string, nextId: NextId = countingIds()): PostDocument {
  const tree = parsePage(html);
  const body = findElement(tree, (el) => el.tagName === 'body');
  if (!body) return documentFromTree(tree, nextId);
  const clean = pruned(withProseOfPre(body), weigh(body).text);
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
  return manualTitle(documentFromTree(root, nextId));
}
