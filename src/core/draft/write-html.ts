import type { Element, ElementContent, Root } from 'hast';
import { toHtml } from 'hast-util-to-html';
import { type Block, type Draft, isNoteRef, type Mark } from './draft.ts';
import { faqData, faqEntries } from './faq.ts';
import { type Footnotes, footnotesOf, noteNumber } from './footnotes.ts';
import { EMBED, FEATURED, NEXT_STEP, OWN_META } from './head-fields.ts';
import { type Inline, inlineTree, type Nested, nest, type PictureRow, withPictureRows } from './nest.ts';
import { parsePiece } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { recordingData, recordingsOf } from './recordings.ts';
import { shareOf } from './share.ts';
import { translationsIn } from './translations.ts';

const el = (tagName: string, properties: Element['properties'], children: ElementContent[]): Element => ({
  type: 'element',
  tagName,
  properties,
  children,
});
const textNode = (value: string): ElementContent => ({ type: 'text', value });
const NO_NOTES: PageNotes = { numbers: new Map(), lists: new Set(), met: new Set() };

/** The footnotes of a page that is being written, and those that it referred to already: one place is the way back. */
export interface PageNotes extends Footnotes {
  met: Set<number>;
}

/** The footnotes of a draft for one page of it. */
export const pageNotes = (draft: Draft): PageNotes => ({ ...footnotesOf(draft), met: new Set() });

const TAGS: Record<Exclude<Mark['type'], 'link'>, string> = {
  bold: 'strong',
  italic: 'em',
  underline: 'u',
  strike: 's',
  code: 'code',
  superscript: 'sup',
  subscript: 'sub',
};

/** What an element of a link says besides its words. */
export const linkProperties = ({ href, title, nofollow, newWindow }: Mark): Element['properties'] => {
  const rel = [...(nofollow ? ['nofollow'] : []), ...(newWindow ? ['noopener'] : [])];
  return {
    href,
    ...(title ? { title } : {}),
    ...(newWindow ? { target: '_blank' } : {}),
    ...(rel.length ? { rel } : {}),
  };
};

const inlineNodes = (parts: Inline[], notes: PageNotes): ElementContent[] =>
  parts.flatMap((part): ElementContent[] => {
    if ('break' in part) return [el('br', {}, [])];
    if ('text' in part) return [textNode(part.text)];
    const { mark, children } = part;
    if (mark.type !== 'link') return [el(TAGS[mark.type], {}, inlineNodes(children, notes))];
    if (isNoteRef(mark.href ?? '')) return noteRefNodes(mark, notes);
    return [el('a', linkProperties(mark), inlineNodes(children, notes))];
  });

/** The number by which a text refers to a footnote; nothing where the note is gone. */
export function noteRefNodes({ href }: Mark, notes: PageNotes): ElementContent[] {
  const number = noteNumber(href, notes);
  if (number === null) return [];
  const id = notes.met.has(number) ? {} : { id: `fnref-${number}` };
  notes.met.add(number);
  const link = { href: `#fn-${number}`, ...id, role: 'doc-noteref' };
  return [el('sup', {}, [el('a', link, [textNode(String(number))])])];
}

/** The hast of a picture: a bare `img` where nothing else is known, a `figure` otherwise. */
export function pictureNode(block: Block): Element {
  const { src, alt, width, side, across, link, enlarge } = block.image!;
  const img = el('img', { src, ...(alt === null ? {} : { alt }), ...(width ? { width } : {}) }, []);
  const classes = [
    side ? `side-${side}` : '',
    across ? `across-${across}` : '',
    enlarge ? 'enlarge' : '',
  ].filter(Boolean);
  return el('figure', classes.length ? { className: classes } : {}, [
    link ? el('a', { href: link }, [img]) : img,
    ...(block.text ? [el('figcaption', {}, inlineNodes(inlineTree(block), NO_NOTES))] : []),
  ]);
}

/** An embed as any page can show it: a link with its title, its picture and a transcript; nothing loads until it is pressed. */
function embedNode({ text, embed }: Block): Element {
  const { href, kind, picture, transcript } = embed!;
  const shown = picture ? [el('img', { src: picture, alt: '', loading: 'lazy' }, []), textNode(' ')] : [];
  return el('figure', { className: [EMBED, `${EMBED}-${kind}`] }, [
    el('a', { href }, [...shown, textNode(text || href)]),
    ...(transcript
      ? [
          el('figcaption', {}, [
            el('a', { className: ['transcript'], href: transcript }, [textNode('Transcript')]),
          ]),
        ]
      : []),
  ]);
}

function blockNode(block: Block, notes: PageNotes): ElementContent[] {
  const inline = () => inlineNodes(inlineTree(block), notes);
  if (block.kind === 'embed') return [embedNode(block)];
  if (block.kind === 'more') return [{ type: 'comment', value: 'more' }];
  if (block.step && block.text !== '') return [el('p', { className: [NEXT_STEP, block.step] }, inline())];
  if (block.kind === 'heading') return [el(`h${block.level ?? 2}`, {}, inline())];
  if (block.kind === 'divider') return [el('hr', {}, [])];
  if (block.kind === 'image') return [pictureNode(block)];
  if (block.kind === 'kept') return parsePiece(block.html ?? '').children as ElementContent[];
  if (block.kind === 'code') {
    const classes = block.language ? { className: [`language-${block.language}`] } : {};
    return [el('pre', {}, [el('code', classes, [textNode(`${block.text}\n`)])])];
  }
  return block.text === '' ? [] : [el('p', {}, inline())];
}

/**
 * Pictures side by side: plain figures in an element that lays them out by itself, so that a page needs neither script nor style sheet
 * for it. Each is cut to one shape, for equal heights.
 */
export function pictureRowNode({ row, across }: PictureRow): Element {
  const figures = row.map((block) => {
    const figure = pictureNode(block);
    const shown = figure.children[0] as Element;
    const img = (shown.tagName === 'a' ? shown.children[0] : shown) as Element;
    img.properties['style'] = 'width:100%;aspect-ratio:3/2;object-fit:cover';
    return { ...figure, properties: { ...figure.properties, style: 'margin:0' } };
  });
  const style = `display:grid;grid-template-columns:repeat(${across},1fr);gap:12px`;
  return el('div', { className: ['pictures'], style }, figures);
}

/** The notes as they stand at the end of a page, each with the way back to where the text refers to it first. */
function notesNode(items: readonly Nested[], notes: PageNotes): Element {
  const listed = items.flatMap((item): { number: number; node: Element }[] => {
    if ('block' in item) return [];
    const number = notes.numbers.get(item.container.key);
    if (number === undefined) return [];
    const content = hastOf(item.children, notes);
    const back = el('a', { href: `#fnref-${number}`, role: 'doc-backlink', ariaLabel: 'Back to the text' }, [
      textNode('↩'),
    ]);
    const last = content.at(-1);
    if (last?.type === 'element' && last.tagName === 'p') last.children.push(textNode(' '), back);
    else content.push(el('p', {}, [back]));
    return [{ number, node: el('li', { id: `fn-${number}` }, content) }];
  });
  listed.sort((a, b) => a.number - b.number);
  const list = el(
    'ol',
    {},
    listed.map(({ node }) => node),
  );
  return el('section', { className: ['footnotes'], role: 'doc-endnotes' }, [list]);
}

/** The hast of a nested draft. */
export function hastOf(nested: Nested[], notes: PageNotes): ElementContent[] {
  return withPictureRows(nested).flatMap((node): ElementContent[] => {
    if ('row' in node) return [pictureRowNode(node)];
    if ('block' in node) return blockNode(node.block, notes);
    if (node.container.type === 'list' && notes.lists.has(node.container.key))
      return [notesNode(node.children, notes)];
    const { container } = node;
    const only = node.children.length === 1 ? node.children[0] : null;
    // A lone paragraph in an item or cell needs no element of its own.
    const tight = only && 'block' in only && only.block.kind === 'paragraph';
    const children = tight ? inlineNodes(inlineTree(only.block), notes) : hastOf(node.children, notes);
    if (container.type === 'quote') return [el('blockquote', {}, hastOf(node.children, notes))];
    if (container.type === 'item') return [el('li', {}, children)];
    if (container.type === 'list') {
      return [
        el(
          container.ordered ? 'ol' : 'ul',
          container.start ? { start: container.start } : {},
          hastOf(node.children, notes),
        ),
      ];
    }
    if (container.type === 'table') return [el('table', {}, [el('tbody', {}, hastOf(node.children, notes))])];
    if (container.type === 'row') return [el('tr', {}, hastOf(node.children, notes))];
    const spans = {
      ...(container.colspan ? { colSpan: container.colspan } : {}),
      ...(container.rowspan ? { rowSpan: container.rowspan } : {}),
    };
    return [el(container.header ? 'th' : 'td', spans, children)];
  });
}

/** The body of a draft as clean HTML: structure and words, no ids, and no styles but those that set pictures side by side. */
export function writeHtml(draft: Draft): string {
  const nodes = hastOf(nest(draft), pageNotes(draft));
  const spaced = nodes.flatMap((node, at) => (at === 0 ? [node] : [textNode('\n'), node]));
  return toHtml({ type: 'root', children: spaced } as Root);
}

/**
 * A post as a whole page: head with title, description, canonical address and language, an article with its title;
 * questions with answers at its end are stated as structured data too. What no standard element holds (slug, keywords,
 * excerpt, the meta title without the site's pattern) stands in `meta` elements of our own, so that it can be read back;
 * what the brief asks for stays out of a page that goes to readers.
 */
export function writeHtmlPage({ fields, draft }: PostDocument, metaTitle: string): string {
  const titled = draft.blocks.some(
    (block) => block.kind === 'heading' && block.level === 1 && block.text === fields.title,
  );
  const line = (node: Element) => [textNode('\n  '), node];
  const meta = (name: string, content: string) => (content ? line(el('meta', { name, content }, [])) : []);
  const property = (name: string, content: string) =>
    content ? line(el('meta', { property: name, content }, [])) : [];
  const own = (name: keyof typeof OWN_META, contents: readonly string[]) =>
    contents.flatMap((content) => meta(OWN_META[name], content));
  const faq = faqEntries(draft);
  const share = shareOf(fields);
  const recordings = recordingsOf(draft);
  const head = el('head', {}, [
    textNode('\n  '),
    el('meta', { charSet: 'utf-8' }, []),
    ...(metaTitle ? [textNode('\n  '), el('title', {}, [textNode(metaTitle)])] : []),
    ...meta('description', fields.metaDescription),
    ...meta('author', fields.author),
    ...meta('robots', fields.robots),
    ...(fields.canonical ? line(el('link', { rel: ['canonical'], href: fields.canonical }, [])) : []),
    ...translationsIn(fields.translations).flatMap(({ language, address }) =>
      line(el('link', { rel: ['alternate'], hrefLang: language, href: address }, [])),
    ),
    ...property('og:title', share.title),
    ...property('og:description', share.description),
    ...property('og:image', share.picture),
    ...property('article:published_time', fields.date),
    ...property('article:modified_time', fields.updated),
    ...property('article:section', fields.category),
    ...fields.tags.flatMap((tag) => property('article:tag', tag)),
    ...own('slug', [fields.slug]),
    ...own('keyword', [fields.keyword]),
    ...own('supporting', fields.supporting),
    ...own('excerpt', [fields.excerpt]),
    ...own('categories', fields.categories),
    ...own('shareTitle', [fields.shareTitle]),
    ...own('shareDescription', [fields.shareDescription]),
    ...own('shareImage', [fields.shareImage]),
    ...own('comments', [fields.comments]),
    ...own('place', [fields.place]),
    ...own('image', [fields.shareImage ? fields.image : '']),
    // Empty too: it says that the title stands in.
    ...(metaTitle === fields.metaTitle
      ? []
      : line(el('meta', { name: OWN_META.metaTitle, content: fields.metaTitle }, []))),
    ...(faq.length > 0 ? line(el('script', { type: 'application/ld+json' }, [textNode(faqData(faq))])) : []),
    ...(recordings.length > 0
      ? line(
          el('script', { type: 'application/ld+json' }, [
            textNode(
              recordingData(recordings, {
                title: fields.title,
                description: fields.metaDescription || fields.excerpt,
                date: fields.date,
                picture: share.picture,
              }),
            ),
          ]),
        )
      : []),
    textNode('\n'),
  ]);
  const featured = fields.image
    ? [
        el('figure', { className: [FEATURED] }, [
          el('img', { src: fields.image, ...(fields.imageAlt === null ? {} : { alt: fields.imageAlt }) }, []),
        ]),
      ]
    : [];
  const article = [
    ...(fields.title && !titled ? [el('h1', {}, [textNode(fields.title)])] : []),
    ...featured,
    ...hastOf(nest(draft), pageNotes(draft)),
  ].flatMap((node) => [textNode('\n'), node]);
  const body = el('body', {}, [
    textNode('\n'),
    el('article', {}, [...article, textNode('\n')]),
    textNode('\n'),
  ]);
  const html = el('html', fields.language ? { lang: fields.language } : {}, [
    textNode('\n'),
    head,
    textNode('\n'),
    body,
    textNode('\n'),
  ]);
  return `${toHtml({ type: 'root', children: [{ type: 'doctype' }, textNode('\n'), html] } as Root)}\n`;
}
