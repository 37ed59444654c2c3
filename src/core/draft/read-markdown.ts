import type { Root as HastRoot } from 'hast';
import { toHtml } from 'hast-util-to-html';
import type { Nodes, Root } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFromMarkdown } from 'mdast-util-gfm';
import { toHast } from 'mdast-util-to-hast';
import { gfm } from 'micromark-extension-gfm';
import { countingIds, type NextId } from './draft.ts';
import { splitFrontMatter } from './front-matter.ts';
import { checkMarkdown } from './markdown-limits.ts';
import { parsePiece } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { documentFromTree } from './read-html.ts';

// Without the second look for addresses in finished text: it would link what was escaped on purpose.
const mdastExtensions = gfmFromMarkdown().map((extension) => ({ ...extension, transforms: [] }));

/**
 * Reads Markdown (GitHub-flavoured) with YAML front matter. HTML inside it is read as HTML.
 * `problem` says in words why front matter was left out. A picture without alternative text has none given:
 * a decorative one is written as a figure. Throws `UnreadableFile` where its markup is beyond measure.
 */
export function readMarkdown(
  text: string,
  nextId: NextId = countingIds(),
): PostDocument & { problem: string | null } {
  const { fields, body, problem } = splitFrontMatter(text);
  checkMarkdown(body);
  const tree = fromMarkdown(body, { extensions: [gfm()], mdastExtensions });
  const hasHtml = prepare(tree);
  const plain = toHast(tree, { allowDangerousHtml: true }) as HastRoot;
  // HTML inside of Markdown may begin in one place and end in another: all of it is read as one page.
  const hast = hasHtml ? parsePiece(toHtml(plain, { allowDangerousHtml: true })) : plain;
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
    // One by one: a document may have more children than a call may have arguments.
    if ('children' in node) for (const child of node.children) stack.push(child);
  }
  return hasHtml;
}
