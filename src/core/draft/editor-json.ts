import {
  type Block,
  type Container,
  type Draft,
  EMBED_KINDS,
  type Embed,
  isNoteRef,
  type Mark,
  type NextId,
  NOTE_SIGN,
  PICTURE_SIDES,
  PICTURES_ACROSS,
  type Picture,
  STEP_LOOKS,
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
    embed: 'embed',
    more: 'more',
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
    if (child.type === 'noteRef') {
      block.text += NOTE_SIGN;
      marks.push({ type: 'link', start, end: start + 1, href: String(child.attrs?.['href'] ?? '') });
    } else block.text += child.type === 'hardBreak' ? '\n' : (child.text ?? '');
    for (const { type, attrs: markAttrs } of child.marks ?? []) {
      if (!MARKS.includes(type as Mark['type']) || (type === 'link' && child.type === 'noteRef')) continue;
      const mark: Mark = { type: type as Mark['type'], start, end: block.text.length };
      if (type === 'link') {
        mark.href = String(markAttrs?.['href'] ?? '');
        if (markAttrs?.['title']) mark.title = String(markAttrs['title']);
        if (markAttrs?.['nofollow']) mark.nofollow = true;
        if (markAttrs?.['newWindow']) mark.newWindow = true;
      }
      marks.push(mark);
    }
  }
  block.marks = tidyMarks(marks, block.text);
  if (block.kind === 'heading') block.level = Number(attrs['level'] ?? 2);
  const step = STEP_LOOKS.find((look) => look === attrs['step']);
  if (block.kind === 'paragraph' && step) block.step = step;
  if (block.kind === 'code' && attrs['language']) block.language = String(attrs['language']);
  if (block.kind === 'kept') {
    block.html = String(attrs['html'] ?? '');
    block.embeds = (attrs['embeds'] as string[] | undefined) ?? [];
  }
  if (block.kind === 'embed') {
    block.embed = embedOf(attrs);
    block.text = String(attrs['title'] ?? '');
  }
  if (block.kind === 'image') {
    block.image = pictureOf(attrs);
    block.text = String(attrs['caption'] ?? '');
  }
  return block;
}

function embedOf(attrs: Record<string, unknown>): Embed {
  const kind = EMBED_KINDS.find((one) => one === attrs['kind']) ?? 'page';
  const embed: Embed = { href: String(attrs['href'] ?? ''), kind };
  if (attrs['picture']) embed.picture = String(attrs['picture']);
  if (attrs['transcript']) embed.transcript = String(attrs['transcript']);
  return embed;
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
  if (block.kind === 'more') return { type: 'more', attrs };
  if (block.kind === 'embed') {
    const { href, kind, picture, transcript } = block.embed!;
    return {
      type: 'embed',
      attrs: {
        ...attrs,
        href,
        kind,
        title: block.text,
        picture: picture ?? null,
        transcript: transcript ?? null,
      },
    };
  }
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
    .flatMap((run): EditorNode[] => {
      const to = run.marks.find((mark) => mark.type === 'link' && isNoteRef(mark.href ?? ''))?.href;
      const marks = run.marks.flatMap((mark): NonNullable<EditorNode['marks']> => {
        if (mark.type !== 'link') return [{ type: mark.type }];
        if (isNoteRef(mark.href ?? '')) return [];
        const { href, title = null, nofollow = false, newWindow = false } = mark;
        return [{ type: 'link', attrs: { href, title, nofollow, newWindow } }];
      });
      const marked = (node: EditorNode): EditorNode => (marks.length ? { ...node, marks } : node);
      // One sign, one reference: a node that text cannot be typed into.
      if (to !== undefined && /^†+$/.test(run.text))
        return [...run.text].map(() => marked({ type: 'noteRef', attrs: { href: to } }));
      return [marked(run.text === '\n' ? { type: 'hardBreak' } : { type: 'text', text: run.text })];
    });
  if (block.kind === 'heading') attrs['level'] = block.level ?? 2;
  if (block.step) attrs['step'] = block.step;
  return { type: block.kind, attrs, ...(content.length ? { content } : {}) };
}
