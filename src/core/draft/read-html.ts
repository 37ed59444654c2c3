import type { Element, ElementContent, Root, RootContent } from 'hast';
import { sanitize } from 'hast-util-sanitize';
import { toHtml } from 'hast-util-to-html';
import { BlockCollector } from './block-collector.ts';
import { countingIds, type Draft, type NextId, noteRef } from './draft.ts';
import { leadingToNotes, listFootnotes, noteIdsIn } from './footnotes-markup.ts';
import { attribute, childElements, classNames, findElement, textOf } from './hast-reading.ts';
import { collapse, EMBED, FEATURED, headFields, NEXT_STEP } from './head-fields.ts';
import { parsePage } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { keptSchema, TRANSCRIPT_FOLD } from './sanitise.ts';
import { cellSpan, listStart } from './shape-numbers.ts';

/** Page furniture by element: no part of a post's text outside an article; navigation nowhere. */
const FURNITURE = new Set(['header', 'footer', 'aside']);
const NAVIGATION = new Set(['nav', 'form', 'dialog', 'menu', 'search']);
const IGNORED = new Set([
  'script',
  'style',
  'noscript',
  'template',
  'head',
  'link',
  'meta',
  'title',
  'base',
  'svg',
  'canvas',
  'button',
  'input',
  'select',
  'textarea',
  'object',
  'embed',
  'applet',
  'math',
]);
const KEPT = new Set(['video', 'audio']);

/**
 * Reads HTML, a whole page or a piece of one. Of a page, the article (else main, else body) is the body and its
 * furniture is left out; title, meta description, canonical address and language are taken from the head.
 * Any input gives a document, but for markup nested beyond measure (throws `UnreadableFile`); what could run is dropped.
 */
export function readHtml(html: string, nextId: NextId = countingIds()): PostDocument {
  return documentFromTree(parsePage(html), nextId);
}

/** The document of a parsed page or fragment. */
export function documentFromTree(tree: Root, nextId: NextId): PostDocument {
  const fields = headFields(tree);
  listFootnotes(tree);
  const root = bodyOf(tree);
  const featured = fields.image ? featuredFigure(root, fields.image) : null;
  if (featured) {
    fields.imageAlt = attribute(featured.img, 'alt') ?? null;
    // It is a field, no picture of the text.
    featured.figure.properties = { ...featured.figure.properties, hidden: true };
  }
  const isArticle = root.type === 'element' && root.tagName === 'article';
  const draft = readBody(root, nextId, !isArticle);
  const firstH1 = draft.blocks.find(
    (block) => block.kind === 'heading' && block.level === 1 && block.text !== '',
  );
  // A page may set its title above the article.
  const outside = firstH1 ? null : findElement(tree, (el) => el.tagName === 'h1');
  const heading = collapse(firstH1?.text ?? (outside ? textOf(outside).replace(/[¶#]\s*$/u, '') : ''));
  fields.title = titleOf(heading, fields.metaTitle);
  if (firstH1 && fields.title !== heading) {
    firstH1.text = fields.title;
    firstH1.marks = [];
  }
  return { fields, draft };
}

/** The figure that a page shows as its featured picture; null where it has none that says so. */
function featuredFigure(root: Root | Element, src: string): { figure: Element; img: Element } | null {
  const figure = findElement(root, (el) => el.tagName === 'figure' && classNames(el).includes(FEATURED));
  const img = figure && findElement(figure, (el) => el.tagName === 'img' && attribute(el, 'src') === src);
  return figure && img ? { figure, img } : null;
}

/** A heading that only counts or names the kind of its page: "12.3", "Chapter 4", "NAME". */
const NUMBER_ONLY =
  /^(?:(?:chapter|part|section|appendix|step|lesson|unit)\s*)?(?:[\divxlc]+\s*[.:)]?\s*)*$/i;
const MANUAL_PART = /^(?:name|synopsis|contents|table of contents|index|home)$/i;
/** What stands between a page's title and the site's name. */
const SITE_JOINT = /\s+[|–—·»:-]\s+/;

/** The title of a page: its first heading; the `<title>` less the site's name where that heading is a number or a part of it. */
function titleOf(heading: string, pageTitle: string): string {
  if (pageTitle === '') return heading;
  const own = pageTitle.split(SITE_JOINT)[0].trim();
  if (NUMBER_ONLY.test(heading) || MANUAL_PART.test(heading)) return own || heading;
  const isPart =
    heading.length < own.length &&
    !/\s/.test(heading) &&
    own.toLowerCase().split(/\s+/).includes(heading.toLowerCase());
  return isPart ? own : heading;
}

/** The element that holds the text. */
function bodyOf(tree: Root): Root | Element {
  const body = findElement(tree, (el) => el.tagName === 'body') ?? tree;
  const articles = childElements(body, 'article', true);
  // A page with one article is about it; with several (a list of teasers) it is about all of them.
  if (articles.length === 1) return articles[0];
  return findElement(body, (el) => el.tagName === 'main' || attribute(el, 'role') === 'main') ?? body;
}

/** Reads the children of an element into blocks. */
function readBody(root: Root | Element, nextId: NextId, dropFurniture: boolean): Draft {
  const collector = new BlockCollector(nextId, noteIdsIn(root));
  walk(root.children as RootContent[], collector, dropFurniture);
  collector.flush();
  return { version: 1, blocks: collector.blocks.map((block) => leadingToNotes(block, collector.blockOfId)) };
}

const BLOCKS = new Set(
  'address article blockquote body center dd details div dl dt fieldset figcaption figure h1 h2 h3 h4 h5 h6 hgroup hr html legend li main ol p pre section summary table tbody td tfoot th thead tr ul caption'.split(
    ' ',
  ),
);

type InlineMark = 'bold' | 'italic' | 'underline' | 'strike' | 'code' | 'superscript' | 'subscript';

const INLINE_MARKS: ReadonlyMap<string, InlineMark> = new Map<string, InlineMark>(
  Object.entries({
    b: 'bold',
    strong: 'bold',
    i: 'italic',
    em: 'italic',
    cite: 'italic',
    u: 'underline',
    ins: 'underline',
    s: 'strike',
    strike: 'strike',
    del: 'strike',
    code: 'code',
    kbd: 'code',
    samp: 'code',
    tt: 'code',
    sup: 'superscript',
    sub: 'subscript',
  }),
);

function isFurniture(el: Element, outsideArticle: boolean): boolean {
  const role = attribute(el, 'role') ?? '';
  if (NAVIGATION.has(el.tagName) || ['navigation', 'search', 'dialog', 'menu'].includes(role)) return true;
  if (!outsideArticle) return false;
  // A header that holds the title is text; what it holds besides is judged by itself.
  if (el.tagName === 'header') return !findElement(el, (inner) => inner.tagName === 'h1');
  return FURNITURE.has(el.tagName) || ['banner', 'contentinfo', 'complementary'].includes(role);
}

/** The comment by which many programs mark where lists stop. */
const READ_MORE = /^\s*more\s*$/i;

function walk(nodes: RootContent[], out: BlockCollector, dropFurniture: boolean): void {
  for (const node of nodes) {
    if (node.type === 'text') out.text(node.value);
    if (node.type === 'comment' && READ_MORE.test(node.value)) out.more();
    if (node.type === 'element') element(node, out, dropFurniture);
  }
}

function element(el: Element, out: BlockCollector, drop: boolean): void {
  const tag = el.tagName;
  const inner = () => walk(el.children as RootContent[], out, drop && tag !== 'article');
  if (IGNORED.has(tag) || attribute(el, 'hidden') !== undefined) return;
  if (isFurniture(el, drop) || attribute(el, 'id') === 'footnote-label') return;
  const isFold = tag === 'details' && classNames(el).includes(TRANSCRIPT_FOLD);
  if (KEPT.has(tag) || isFold) return out.kept(...keptMarkup(el));
  if (tag === 'iframe') return out.framed(el);
  if (tag === 'br') return out.lineBreak();
  if (tag === 'img') return out.image(el);
  if (tag === 'figure') return figure(el, out, drop);
  if (tag === 'picture') {
    const img = findElement(el, (inner) => inner.tagName === 'img');
    return img ? out.image(img) : undefined;
  }
  if (/^h[1-6]$/.test(tag)) return out.within({ kind: 'heading', level: Number(tag[1]) }, inner);
  if (tag === 'hr') return out.divider();
  if (tag === 'pre') return out.code(el);
  if (tag === 'blockquote') return out.container((key) => ({ type: 'quote', key }), inner);
  if (tag === 'ul' || tag === 'ol') {
    const start = tag === 'ol' ? listStart(attribute(el, 'start')) : 1;
    return out.container(
      (key) => ({ type: 'list', key, ordered: tag === 'ol', ...(start > 1 ? { start } : {}) }),
      () => listItems(el, out, drop),
    );
  }
  if (tag === 'li') return out.container((key) => ({ type: 'item', key }), inner);
  if (tag === 'table') return table(el, out, drop);
  if (tag === 'a' && (isPermalink(el) || isWayBack(el))) return;
  if (tag === 'a') return anchor(el, out, inner);
  if (tag === 'p' && classNames(el).includes(NEXT_STEP)) return out.step(classNames(el), inner);
  const mark = INLINE_MARKS.get(tag);
  // Word processors wrap a whole paste in a bold element that is told not to be bold.
  if (mark && !/font-weight:\s*(?:normal|400)/.test(attribute(el, 'style') ?? ''))
    return out.mark(mark, inner);
  if (mark) return inner();
  if (BLOCKS.has(tag)) return out.paragraph(inner);
  styled(el, out, inner);
}

function anchor(el: Element, out: BlockCollector, inner: () => void): void {
  const href = attribute(el, 'href');
  if (href?.startsWith('#') && out.notes.has(href.slice(1))) return out.note(noteRef(href.slice(1)));
  out.link(
    {
      href,
      title: attribute(el, 'title'),
      ...(classNames(el, 'rel').includes('nofollow') ? { nofollow: true } : {}),
      ...(attribute(el, 'target')?.toLowerCase() === '_blank' ? { newWindow: true } : {}),
    },
    inner,
  );
}

/** What leads from a footnote back to the text. */
const isWayBack = (el: Element): boolean =>
  attribute(el, 'role') === 'doc-backlink' ||
  /^#(?:user-content-)?(?:fnref|footnote-ref|endnote-ref)/i.test(attribute(el, 'href') ?? '');

/** Marks beside a heading that lead to itself ("¶", "#"), as documentation has them: no words of the text. */
const isPermalink = (el: Element): boolean =>
  /^[\s¶#§🔗\u{200b}]*$/u.test(textOf(el)) &&
  (attribute(el, 'href') ?? '').startsWith('#') &&
  findElement(el, (inner) => inner.tagName === 'img') === null;

/** Formats that a span may carry as its style. Underlined links are links. */
const STYLES: readonly [RegExp, InlineMark][] = [
  [/font-weight:\s*(?:bold|[6-9]00)/, 'bold'],
  [/font-style:\s*italic/, 'italic'],
  [/text-decoration(?:-line)?:[^;]{0,40}line-through/, 'strike'],
  [/vertical-align:\s*super/, 'superscript'],
  [/vertical-align:\s*sub(?:;|$)/, 'subscript'],
];

/** Spans that carry their format as a style (word processors and editors in pages write these). */
function styled(el: Element, out: BlockCollector, inner: () => void): void {
  const style = el.tagName === 'span' ? (attribute(el, 'style') ?? '').toLowerCase() : '';
  let read = inner;
  if (style !== '')
    for (const [pattern, mark] of STYLES)
      if (pattern.test(style)) {
        const within = read;
        read = () => out.mark(mark, within);
      }
  read();
}

const isList = (node: ElementContent): node is Element =>
  node.type === 'element' && (node.tagName === 'ul' || node.tagName === 'ol');

/** An item without words of its own, there only to set a list in. */
const onlySetsIn = (item: Element): boolean =>
  item.children.some(isList) &&
  item.children.every(
    (child) =>
      isList(child) || child.type === 'comment' || (child.type === 'text' && child.value.trim() === ''),
  );

/**
 * The items of a list, each with the lists that belong to it: those within it, and those that stand after it straight in
 * the list or in an item of their own. Text straight inside a list is an item of its own.
 */
function listItems(el: Element, out: BlockCollector, drop: boolean): void {
  const items: ElementContent[][] = [];
  for (const child of el.children) {
    const last = items.at(-1);
    if (last && isList(child)) last.push(child);
    else if (last && child.type === 'element' && child.tagName === 'li' && onlySetsIn(child))
      last.push(...child.children);
    else if (child.type === 'element' || (child.type === 'text' && child.value.trim() !== ''))
      items.push([child]);
  }
  for (const [first, ...below] of items) {
    const id = first.type === 'element' ? attribute(first, 'id') : undefined;
    // A note to which a text refers twice comes twice from a word processor.
    if (id !== undefined && out.notes.has(id) && out.blockOfId.has(id)) continue;
    out.container(
      (key) => ({ type: 'item', key }),
      () => {
        const own = first.type === 'element' && first.tagName === 'li' ? first.children : [first];
        out.named(id);
        walk([...own, ...below] as RootContent[], out, drop);
      },
    );
  }
}

function table(el: Element, out: BlockCollector, drop: boolean): void {
  const caption = childElements(el, 'caption')[0];
  if (caption) out.paragraph(() => walk(caption.children as RootContent[], out, drop));
  out.container(
    (key) => ({ type: 'table', key }),
    () => {
      for (const row of childElements(el, 'tr', true)) {
        out.container(
          (key) => ({ type: 'row', key }),
          () => {
            for (const cell of row.children) {
              if (cell.type !== 'element' || (cell.tagName !== 'td' && cell.tagName !== 'th')) continue;
              const [colspan, rowspan] = [
                cellSpan(attribute(cell, 'colSpan')),
                cellSpan(attribute(cell, 'rowSpan')),
              ];
              out.container(
                (key) => ({
                  type: 'cell',
                  key,
                  header: cell.tagName === 'th',
                  ...(colspan > 1 ? { colspan } : {}),
                  ...(rowspan > 1 ? { rowspan } : {}),
                }),
                // An empty cell keeps its place with an empty paragraph.
                () => out.cell(() => walk(cell.children as RootContent[], out, drop)),
              );
            }
          },
        );
      }
    },
  );
}

function figure(el: Element, out: BlockCollector, drop: boolean): void {
  if (classNames(el).includes(EMBED)) return out.embed(el);
  const img = findElement(el, (inner) => inner.tagName === 'img');
  if (!img) return out.paragraph(() => walk(el.children as RootContent[], out, drop));
  const caption = findElement(el, (inner) => inner.tagName === 'figcaption');
  const anchor = findElement(
    el,
    (inner) => inner.tagName === 'a' && findElement(inner, (deep) => deep === img) !== null,
  );
  out.figure(img, caption, anchor ? attribute(anchor, 'href') : undefined, el, (nodes) =>
    walk(nodes, out, drop),
  );
}

function keptMarkup(el: Element): [html: string, embeds: string[]] {
  const clean = sanitize({ type: 'root', children: [el as ElementContent] }, keptSchema) as Root;
  const embeds: string[] = [];
  const visit = (node: Root | RootContent) => {
    if (node.type === 'element') {
      const src = attribute(node, 'src');
      if (src) embeds.push(src);
    }
    if ('children' in node) for (const child of node.children) visit(child as RootContent);
  };
  visit(clean);
  return [toHtml(clean), embeds];
}
