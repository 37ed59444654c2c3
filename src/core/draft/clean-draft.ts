import type { Root } from 'hast';
import { sanitize } from 'hast-util-sanitize';
import { toHtml } from 'hast-util-to-html';
import { type Block, type Draft, tidyMarks } from './draft.ts';
import { attribute, findElement } from './hast-reading.ts';
import { parsePiece } from './parse-html.ts';
import type { PostFields } from './post-fields.ts';
import { keptSchema, safeHref, safeSrc } from './sanitise.ts';

function cleanBlock(block: Block): Block | null {
  const marks = tidyMarks(
    block.marks.filter(
      (mark) => mark.type !== 'link' || (mark.href !== undefined && safeHref(mark.href) !== null),
    ),
    block.text,
  );
  const clean: Block = { ...block, marks };
  if (block.image) {
    const { link, ...image } = block.image;
    const src = safeSrc(image.src);
    if (src === null) return block.text ? { ...clean, kind: 'paragraph', image: undefined } : null;
    clean.image = { ...image, src, ...(link && safeHref(link) !== null ? { link } : {}) };
  }
  if (block.html !== undefined) {
    const tree = sanitize(parsePiece(block.html), keptSchema) as Root;
    const embeds: string[] = [];
    findElement(tree, (el) => {
      const src = attribute(el, 'src');
      if (src) embeds.push(src);
      return false;
    });
    clean.html = toHtml(tree);
    clean.embeds = embeds;
  }
  return clean;
}

/** Stored fields that came from outside, without addresses that could run anything. */
export const cleanFields = (fields: PostFields): PostFields => ({
  ...fields,
  canonical: safeHref(fields.canonical) ?? '',
  image: safeSrc(fields.image) ?? '',
});

/** A stored draft that came from outside, without anything that could run: what the readers do for markup. */
export function cleanDraft(draft: Draft): Draft {
  return { version: 1, blocks: draft.blocks.flatMap((block) => cleanBlock(block) ?? []) };
}
