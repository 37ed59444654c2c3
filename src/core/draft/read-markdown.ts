import type { Root as HastRoot } from 'hast';
import { raw } from 'hast-util-raw';
import type { Nodes, Root } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFromMarkdown } from 'mdast-util-gfm';
import { toHast } from 'mdast-util-to-hast';
import { gfm } from 'micromark-extension-gfm';
import { countingIds, type NextId } from './draft.ts';
import { splitFrontMatter } from './front-matter.ts';
import type { PostDocument } from './post-fields.ts';
import { documentFromTree } from './read-html.ts';

// Without the second look for addresses in finished text: it would link what was escaped on purpose.
const mdastExtensions = gfmFromMarkdown().map((extension) => ({ ...extension, transforms: [] }));

/**
 * Reads Markdown (GitHub-flavoured) with YAML front matter. HTML inside it is read as HTML.
 * `problem` says in words why front matter was left out. A picture without alternative text has none given:
 * a decorative one is written as a figure.
 */
export function readMarkdown(
  text: string,
  nextId: NextId = countingIds(),
): PostDocument & { problem: string | null } {
  const { fields, body, problem } = splitFrontMatter(text);
  const tree = fromMarkdown(body, { extensions: [gfm()], mdastExtensions });
  const hasHtml = prepare(tree);
  let hast = toHast(tree, { allowDangerousHtml: true }) as HastRoot;
  if (hasHtml) hast = raw(hast) as HastRoot;
  const read = documentFromTree(hast, nextId);
  return { fields: { ...fields, title: fields.title || read.fields.title }, draft: read.draft, problem };
}

/** Takes empty alternative texts off pictures; tells whether the tree holds HTML. */
function prepare(tree: Root): boolean {
  let hasHtml = false;
  const stack: Nodes[] = [tree];
  while (stack.length) {
    const node = stack.pop()!;
    if (node.type === 'html') hasHtml = true;
    if ((node.type === 'image' || node.type === 'imageReference') && !node.alt) {
      node.data = { ...node.data, hProperties: { alt: null } as never };
    }
    if ('children' in node) stack.push(...(node.children as Nodes[]));
  }
  return hasHtml;
}
