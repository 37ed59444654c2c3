import { toHtml } from 'hast-util-to-html';
import type { BlockContent, PhrasingContent, Root, RootContent } from 'mdast';
import { gfmToMarkdown } from 'mdast-util-gfm';
import { toMarkdown } from 'mdast-util-to-markdown';
import { type Block, type Draft, isNoteRef, type Mark } from './draft.ts';
import { noteNumber } from './footnotes.ts';
import { writeFrontMatter } from './front-matter.ts';
import { type Inline, inlineTree, type Nested, nest, withPictureRows } from './nest.ts';
import type { PostDocument } from './post-fields.ts';
import {
  hastOf,
  linkProperties,
  noteRefNodes,
  type PageNotes,
  pageNotes,
  pictureNode,
  pictureRowNode,
} from './write-html.ts';

const HTML_TAGS: Partial<Record<Mark['type'], string>> = {
  underline: 'u',
  superscript: 'sup',
  subscript: 'sub',
};

/** The footnotes of a draft that is written as Markdown. */
interface MarkdownNotes extends PageNotes {
  /** True where one of them is referred to from what Markdown has no signs for: HTML's references lead to HTML's notes alone. */
  asHtml: boolean;
}

const markdownNotes = (draft: Draft): MarkdownNotes => ({
  ...pageNotes(draft),
  asHtml: draft.blocks.some(
    ({ path, step, marks }) =>
      (step !== undefined || path.some(({ type }) => type === 'cell')) &&
      marks.some(({ href }) => href !== undefined && isNoteRef(href)),
  ),
});

const html = (value: string) => ({ type: 'html' as const, value });

/** True where a stroke through words ends inside a word or at another mark: Markdown's own signs do not hold there. */
const isTight = (before: Inline | undefined, after: Inline | undefined) =>
  (before !== undefined && !('text' in before && /[\s\p{P}]$/u.test(before.text))) ||
  (after !== undefined && !('text' in after && /^[\s\p{P}]/u.test(after.text)));

function phrasing(parts: Inline[], lineBreak: 'break' | 'html', notes: MarkdownNotes): PhrasingContent[] {
  return parts.flatMap((part, at): PhrasingContent[] => {
    if ('break' in part) return [lineBreak === 'break' ? { type: 'break' } : html('<br>')];
    if ('text' in part) return [{ type: 'text', value: part.text }];
    const { mark } = part;
    const children = () => phrasing(part.children, lineBreak, notes);
    const tag =
      HTML_TAGS[mark.type] ??
      (mark.type === 'strike' && isTight(parts[at - 1], parts[at + 1]) ? 'del' : undefined);
    if (tag) return [html(`<${tag}>`), ...children(), html(`</${tag}>`)];
    if (mark.type === 'code') return code(part.children, lineBreak, notes);
    if (mark.type === 'link' && isNoteRef(mark.href ?? '')) {
      if (notes.asHtml) return [html(toHtml({ type: 'root', children: noteRefNodes(mark, notes) }))];
      const number = noteNumber(mark.href, notes);
      return number === null
        ? []
        : [{ type: 'footnoteReference', identifier: String(number), label: String(number) }];
    }
    // Markdown's own link says address and title alone.
    if (mark.type === 'link' && (mark.nofollow || mark.newWindow)) {
      const open = toHtml({ type: 'element', tagName: 'a', properties: linkProperties(mark), children: [] });
      return [html(open.slice(0, -'</a>'.length)), ...children(), html('</a>')];
    }
    if (mark.type === 'link')
      return [
        { type: 'link', url: mark.href ?? '', title: mark.title ?? null, children: children() as never },
      ];
    return [
      {
        type: mark.type === 'bold' ? 'strong' : mark.type === 'italic' ? 'emphasis' : 'delete',
        children: children(),
      },
    ];
  });
}

function code(parts: Inline[], lineBreak: 'break' | 'html', notes: MarkdownNotes): PhrasingContent[] {
  return parts.flatMap((part): PhrasingContent[] => {
    if ('text' in part) return [{ type: 'inlineCode', value: part.text }];
    return 'break' in part ? phrasing([part], lineBreak, notes) : code(part.children, lineBreak, notes);
  });
}

function blockContent(block: Block, notes: MarkdownNotes): RootContent[] {
  if (block.kind === 'more') return [html('<!--more-->')];
  if (block.kind === 'embed' || (block.step && block.text !== ''))
    return [html(toHtml({ type: 'root', children: hastOf([{ block }], notes) }))];
  if (block.kind === 'heading') {
    return [
      {
        type: 'heading',
        depth: (block.level ?? 2) as 1 | 2 | 3 | 4 | 5 | 6,
        children: phrasing(inlineTree(block), 'html', notes),
      },
    ];
  }
  if (block.kind === 'divider') return [{ type: 'thematicBreak' }];
  if (block.kind === 'code') return [{ type: 'code', lang: block.language ?? null, value: block.text }];
  if (block.kind === 'kept') return [html(block.html ?? '')];
  if (block.kind === 'image') {
    const { src, alt, width, side, across, link, enlarge } = block.image!;
    // Markdown's own image says address and alternative text; whatever else is known needs a figure.
    if (
      alt === '' ||
      block.text ||
      width ||
      side ||
      across ||
      link ||
      enlarge ||
      (alt !== null && /\s$|^\s|\n/.test(alt))
    )
      return [html(toHtml(pictureNode(block)))];
    return [{ type: 'paragraph', children: [{ type: 'image', url: src, alt: alt ?? '' }] }];
  }
  return block.text === ''
    ? []
    : [{ type: 'paragraph', children: phrasing(inlineTree(block), 'break', notes) }];
}

/** Markdown tables hold one line of text a cell under a row of headings; others are written as HTML. */
function tableContent(node: Extract<Nested, { container: unknown }>, notes: MarkdownNotes): RootContent[] {
  const rows = node.children.map((row) => ('children' in row ? row.children : []));
  const plain = rows.every((cells, at) =>
    cells.every((cell) => {
      if (!('children' in cell) || cell.container.type !== 'cell' || cell.children.length !== 1) return false;
      const { header, colspan, rowspan } = cell.container;
      const [only] = cell.children;
      return (
        header === (at === 0) &&
        !colspan &&
        !rowspan &&
        'block' in only &&
        only.block.kind === 'paragraph' &&
        !only.block.text.includes('\n')
      );
    }),
  );
  if (!plain || rows.length === 0 || rows.some((cells) => cells.length !== rows[0].length))
    return [html(toHtml({ type: 'root', children: hastOf([node], notes) }))];
  return [
    {
      type: 'table',
      children: rows.map((cells) => ({
        type: 'tableRow',
        children: cells.map((cell) => {
          const [only] = (cell as Extract<Nested, { container: unknown }>).children as { block: Block }[];
          return { type: 'tableCell', children: phrasing(inlineTree(only.block), 'html', notes) };
        }),
      })),
    },
  ];
}

/** The notes of a list, in the order of their numbers. */
function noteContent(items: readonly Nested[], notes: MarkdownNotes): RootContent[] {
  return items
    .flatMap((item) => {
      if ('block' in item) return [];
      const number = notes.numbers.get(item.container.key);
      return number === undefined ? [] : [{ number, item }];
    })
    .sort((a, b) => a.number - b.number)
    .map(({ number, item }) => ({
      type: 'footnoteDefinition',
      identifier: String(number),
      label: String(number),
      children: contentOf(item.children, notes) as BlockContent[],
    }));
}

function contentOf(nodes: Nested[], notes: MarkdownNotes): RootContent[] {
  return withPictureRows(nodes).flatMap((node): RootContent[] => {
    if ('row' in node) return [html(toHtml(pictureRowNode(node)))];
    if ('block' in node) return blockContent(node.block, notes);
    const { container } = node;
    if (container.type === 'table') return tableContent(node, notes);
    if (container.type === 'list' && notes.lists.has(container.key))
      return notes.asHtml
        ? [html(toHtml({ type: 'root', children: hastOf([node], notes) }))]
        : noteContent(node.children, notes);
    const children = () => contentOf(node.children, notes) as BlockContent[];
    if (container.type === 'quote') return [{ type: 'blockquote', children: children() }];
    if (container.type === 'item')
      return [
        {
          type: 'listItem',
          spread: node.children.filter((child) => 'block' in child).length > 1,
          children: children(),
        },
      ];
    if (container.type === 'list') {
      return [
        {
          type: 'list',
          ordered: container.ordered,
          start: container.ordered ? (container.start ?? 1) : null,
          spread: false,
          children: children() as never,
        },
      ];
    }
    return children();
  });
}

/** The body of a draft as GitHub-flavoured Markdown. */
export function writeMarkdownBody(draft: Draft): string {
  const tree: Root = { type: 'root', children: contentOf(nest(draft), markdownNotes(draft)) };
  return toMarkdown(tree, {
    extensions: [gfmToMarkdown({ tablePipeAlign: false })],
    bullet: '-',
    rule: '-',
    emphasis: '_',
    listItemIndent: 'one',
  });
}

/** A post as Markdown with front matter. */
export function writeMarkdown({ fields, draft }: PostDocument): string {
  const body = writeMarkdownBody(draft);
  // A body that opens with a rule would read as front matter.
  return (writeFrontMatter(fields) || (body.startsWith('---') ? '---\n---\n\n' : '')) + body;
}
