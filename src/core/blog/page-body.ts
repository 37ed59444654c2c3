import type { Element, Root } from 'hast';
import { toHtml } from 'hast-util-to-html';
import { type Draft, parsePiece, writeHtml } from '../draft/index.ts';
import type { PicturePixels } from './blog.ts';

/** A picture is as high as its file says, for the width that it is shown at, and comes when it is near. */
function sized(img: Element, pixels: PicturePixels): void {
  const size = pixels.get(String(img.properties['src'] ?? ''));
  const shown = Number(img.properties['width']);
  if (size) {
    const width = shown > 0 ? shown : size.width;
    img.properties['width'] = width;
    img.properties['height'] = Math.round((width * size.height) / size.width);
  }
  img.properties['alt'] ??= '';
  img.properties['loading'] = 'lazy';
}

const isRow = (node: Root | Element): boolean =>
  node.type === 'element' && [node.properties['className']].flat().includes('pictures');

/** In a row of pictures each leads to the whole of it: rows show all of one shape. */
function opened(figure: Element): void {
  const at = figure.children.findIndex((child) => child.type === 'element' && child.tagName === 'img');
  const img = figure.children[at];
  if (img?.type !== 'element') return;
  const src = String(img.properties['src'] ?? '');
  const alt = String(img.properties['alt'] ?? '');
  figure.children[at] = {
    type: 'element',
    tagName: 'a',
    properties: { href: src, ...(alt ? {} : { ariaLabel: 'The whole picture' }) },
    children: [img],
  };
}

/**
 * The text of a post as its page shows it: pictures with their pixels, so that nothing jumps as they come; styles stand in the style
 * sheet alone; the title is the one heading of level 1, so that others step down.
 */
export function pageBody(draft: Draft, pixels: PicturePixels): string {
  const tree = parsePiece(writeHtml(draft));
  const walk = (node: Root | Element): void => {
    for (const child of node.children) {
      if (child.type !== 'element') continue;
      delete child.properties['style'];
      if (child.tagName === 'h1') child.tagName = 'h2';
      // The corner of a table heads nothing.
      if (child.tagName === 'th' && child.children.length === 0) child.tagName = 'td';
      if (child.tagName === 'img') sized(child, pixels);
      walk(child);
      if (child.tagName === 'figure' && isRow(node)) opened(child);
    }
  };
  walk(tree);
  return toHtml(tree);
}
