import {
  type Block,
  type Container,
  type Draft,
  type Mark,
  type NextId,
  PICTURE_SIDES,
  PICTURES_ACROSS,
  type Picture,
  tidyMarks,
} from './draft.ts';
import { type Nested, nest, runsOf } from './nest.ts';
import { cellSpan, listStart, pictureWidth } from './shape-numbers.ts';

/** The editor's document as JSON: ProseMirror nodes with the names of this product's schema. */
export interface EditorNode {
  type: string;
  attrs?: Record<string, unknown>;
  content?: EditorNode[];
  text?: string;
  marks?: { type: string; attrs?: Record<string, unknown> }[];
}

const LEAVES: ReadonlyMap<string, Block['kind']> = new Map<string, Block['kind']>(
  Object.entries({
    paragraph: 'paragraph',
    heading: 'heading',
    codeBlock: 'code',
    horizontalRule: 'divider',
    figure: 'image',
    kept: 'kept',
  }),
);

const MARKS: Mark['type'][] = [
  'bold',
  'italic',
  'underline',
  'strike',
  'code',
  'superscript',
  'subscript',
  'link',
];

/** How the walker looks at a tree, so that the live editor's nodes need not be turned to JSON first. */
export interface TreeAccess<T> {
  type(node: T): string;
  attrs(node: T): Record<string, unknown>;
  children(node: T): readonly T[];
  /** The block of a leaf; may be remembered as long as `place` (its containers in words) stays the same. */
  leaf(node: T, path: Container[], place: string): Block;
}

/** Reads an editor document into a draft. */
export function readEditorTree<T>(root: T, access: TreeAccess<T>): Draft {
  const blocks: Block[] = [];
  const walk = (node: T, path: Container[], place: string): void => {
    const type = access.type(node);
    if (LEAVES.has(type)) {
      blocks.push(access.leaf(node, path, place));
      return;
    }
    const container =
      type === 'doc' ? null : containerOf(type, access.attrs(node), firstLeafId(node, access));
    const inner = container ? [...path, container] : path;
    const innerPlace = container ? `${place}/${JSON.stringify(container)}` : place;
    for (const child of access.children(node)) walk(child, inner, innerPlace);
  };
  walk(root, [], '');
  return { version: 1, blocks };
}

function firstLeafId<T>(node: T, access: TreeAccess<T>): string {
  let at = node;
  while (!LEAVES.has(access.type(at))) {
    const [first] = access.children(at);
    if (first === undefined) return '';
    at = first;
  }
  return String(access.attrs(at)['blockId'] ?? '');
}

function containerOf(type: string, attrs: Record<string, unknown>, key: string): Container | null {
  if (type === 'bulletList') return { type: 'list', key, ordered: false };
  if (type === 'orderedList') {
    const start = listStart(attrs['start']);
    return { type: 'list', key, ordered: true, ...(start > 1 ? { start } : {}) };
  }
  if (type === 'listItem') return { type: 'item', key };
  if (type === 'blockquote') return { type: 'quote', key };
  if (type === 'table') return { type: 'table', key };
  if (type === 'tableRow') return { type: 'row', key };
  if (type === 'tableCell' || type === 'tableHeader') {
    const [colspan, rowspan] = [cellSpan(attrs['colspan']), cellSpan(attrs['rowspan'])];
    return {
      type: 'cell',
      key,
      header: type === 'tableHeader',
      ...(colspan > 1 ? { colspan } : {}),
      ...(rowspan > 1 ? { rowspan } : {}),
    };
  }
  return null;
}

/** The block of one leaf of the editor's document. */
export function blockOfLeaf(node: EditorNode, path: Container[]): Block {
  const attrs = node.attrs ?? {};
  const block: Block = {
    id: String(attrs['blockId'] ?? ''),
    kind: LEAVES.get(node.type)!,
    path,
    text: '',
    marks: [],
  };
  const marks: Mark[] = [];
  for (const child of node.content ?? []) {
    const start = block.text.length;
    block.text += child.type === 'hardBreak' ? '\n' : (child.text ?? '');
    for (const { type, attrs: markAttrs } of child.marks ?? []) {
      if (!MARKS.includes(type as Mark['type'])) continue;
      const mark: Mark = { type: type as Mark['type'], start, end: block.text.length };
      if (type === 'link') {
        mark.href = String(markAttrs?.['href'] ?? '');
        if (markAttrs?.['title']) mark.title = String(markAttrs['title']);
      }
      marks.push(mark);
    }
  }
  block.marks = tidyMarks(marks, block.text);
  if (block.kind === 'heading') block.level = Number(attrs['level'] ?? 2);
  if (block.kind === 'code' && attrs['language']) block.language = String(attrs['language']);
  if (block.kind === 'kept') {
    block.html = String(attrs['html'] ?? '');
    block.embeds = (attrs['embeds'] as string[] | undefined) ?? [];
  }
  if (block.kind === 'image') {
    block.image = pictureOf(attrs);
    block.text = String(attrs['caption'] ?? '');
  }
  return block;
}

function pictureOf(attrs: Record<string, unknown>): Picture {
  const alt = attrs['alt'];
  const picture: Picture = {
    src: String(attrs['src'] ?? ''),
    alt: alt === null || alt === undefined ? null : String(alt),
  };
  const side = PICTURE_SIDES.find((one) => one === attrs['side']);
  if (side) picture.side = side;
  const across = PICTURES_ACROSS.find((one) => one === attrs['across']);
  if (across) picture.across = across;
  const width = pictureWidth(attrs['width']);
  if (width !== null) picture.width = width;
  if (attrs['link']) picture.link = String(attrs['link']);
  if (attrs['enlarge']) picture.enlarge = true;
  return picture;
}

/** Reads editor JSON; leaves without an id get one. */
export function readEditor(doc: EditorNode, nextId: NextId): Draft {
  const named = withIds(doc, nextId);
  return readEditorTree(named, {
    type: (node) => node.type,
    attrs: (node) => node.attrs ?? {},
    children: (node) => node.content ?? [],
    leaf: blockOfLeaf,
  });
}

function withIds(node: EditorNode, nextId: NextId): EditorNode {
  if (LEAVES.has(node.type))
    return node.attrs?.['blockId'] ? node : { ...node, attrs: { ...node.attrs, blockId: nextId() } };
  return node.content ? { ...node, content: node.content.map((child) => withIds(child, nextId)) } : node;
}

/** Writes a draft as editor JSON. An empty draft is one empty paragraph. Captions carry no marks there. */
export function writeEditor(draft: Draft, nextId: NextId): EditorNode {
  const paragraph = (): EditorNode => ({ type: 'paragraph', attrs: { blockId: nextId() } });
  const write = (nodes: Nested[]): EditorNode[] =>
    nodes.map((node) => {
      if ('block' in node) return leafOf(node.block);
      const { container } = node;
      const content = write(node.children);
      if (container.type === 'quote') return { type: 'blockquote', content };
      if (container.type === 'table') return { type: 'table', content };
      if (container.type === 'row') return { type: 'tableRow', content };
      if (container.type === 'list') {
        return container.ordered
          ? { type: 'orderedList', attrs: { start: container.start ?? 1 }, content }
          : { type: 'bulletList', content };
      }
      // The editor's items begin with a paragraph.
      if (container.type === 'item')
        return {
          type: 'listItem',
          content: content[0]?.type === 'paragraph' ? content : [paragraph(), ...content],
        };
      return {
        type: container.header ? 'tableHeader' : 'tableCell',
        attrs: { colspan: container.colspan ?? 1, rowspan: container.rowspan ?? 1 },
        content,
      };
    });
  const content = write(nest(draft));
  return { type: 'doc', content: content.length ? content : [paragraph()] };
}

function leafOf(block: Block): EditorNode {
  const attrs: Record<string, unknown> = { blockId: block.id };
  if (block.kind === 'divider') return { type: 'horizontalRule', attrs };
  if (block.kind === 'kept')
    return { type: 'kept', attrs: { ...attrs, html: block.html ?? '', embeds: block.embeds ?? [] } };
  if (block.kind === 'image') {
    const { src, alt, side, across, width, link, enlarge } = block.image!;
    const more = {
      side: side ?? null,
      across: across ?? null,
      width: width ?? null,
      link: link ?? null,
      enlarge: enlarge ?? false,
    };
    return { type: 'figure', attrs: { ...attrs, src, alt, caption: block.text, ...more } };
  }
  if (block.kind === 'code') {
    return {
      type: 'codeBlock',
      attrs: { ...attrs, language: block.language ?? null },
      ...(block.text ? { content: [{ type: 'text', text: block.text }] } : {}),
    };
  }
  const content = runsOf(block)
    .filter((run) => run.text !== '')
    .map((run): EditorNode => {
      const marks = run.marks.map((mark) =>
        mark.type === 'link'
          ? { type: 'link', attrs: { href: mark.href, title: mark.title ?? null } }
          : { type: mark.type },
      );
      const node: EditorNode = run.text === '\n' ? { type: 'hardBreak' } : { type: 'text', text: run.text };
      return marks.length ? { ...node, marks } : node;
    });
  if (block.kind === 'heading') attrs['level'] = block.level ?? 2;
  return { type: block.kind, attrs, ...(content.length ? { content } : {}) };
}
