import type { Root } from 'hast';
import { fromParse5 } from 'hast-util-from-parse5';
import {
  type DefaultTreeAdapterMap,
  defaultTreeAdapter,
  parse,
  parseFragment,
  type TreeAdapter,
} from 'parse5';
import { UnreadableFile } from './unreadable.ts';

/** Elements within elements: a hundred is a lot on a real page. Walkers of the tree may recurse so deep. */
export const MAX_DEPTH = 400;
/** Nodes of one document; a text of the most bytes that are read has seldom a tenth of them. */
export const MAX_NODES = 1_000_000;

type Types = DefaultTreeAdapterMap;

/**
 * A maker of trees that stops where a document asks for more work than any page does. The parser's own steps grow
 * with the depth of what is open, so with a bounded depth and a bounded number of nodes its work is bounded too -
 * on a busy machine as on an idle one.
 */
function boundedAdapter(): TreeAdapter<Types> {
  let nodes = 0;
  const depths = new WeakMap<object, number>();
  const count = <Node extends object>(node: Node): Node => {
    nodes += 1;
    if (nodes > MAX_NODES)
      throw new UnreadableFile(
        `cannot be read: it comes to more than ${MAX_NODES.toLocaleString('en')} pieces. Split it.`,
      );
    return node;
  };
  const below = (parent: Types['parentNode'], node: object) => {
    const depth = (depths.get(parent) ?? 0) + 1;
    if (depth > MAX_DEPTH)
      throw new UnreadableFile(
        `cannot be read: its markup is nested too deeply (${MAX_DEPTH} elements within one another are the most). Save a simpler version of it.`,
      );
    depths.set(node, depth);
  };
  return {
    ...defaultTreeAdapter,
    createElement: (...given) => count(defaultTreeAdapter.createElement(...given)),
    createCommentNode: (data) => count(defaultTreeAdapter.createCommentNode(data)),
    createTextNode: (value) => count(defaultTreeAdapter.createTextNode(value)),
    appendChild(parent, node) {
      below(parent, node);
      defaultTreeAdapter.appendChild(parent, node);
    },
    insertBefore(parent, node, reference) {
      below(parent, node);
      defaultTreeAdapter.insertBefore(parent, node, reference);
    },
    insertText(parent, text) {
      nodes += 1;
      defaultTreeAdapter.insertText(parent, text);
    },
  };
}

/** The tree of a whole page. Any text gives one; throws {@link UnreadableFile} beyond {@link MAX_DEPTH} or {@link MAX_NODES}. */
export const parsePage = (html: string): Root =>
  fromParse5(parse(html, { treeAdapter: boundedAdapter(), scriptingEnabled: false })) as Root;

/** The tree of a piece of a page, as it stands inside a body. Throws as {@link parsePage} does. */
export const parsePiece = (html: string): Root =>
  fromParse5(parseFragment(html, { treeAdapter: boundedAdapter(), scriptingEnabled: false })) as Root;
