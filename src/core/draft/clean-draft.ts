import type { Root } from 'hast';
import { sanitize } from 'hast-util-sanitize';
import { toHtml } from 'hast-util-to-html';
import { type Block, type Container, type Draft, tidyMarks } from './draft.ts';
import { attribute, findElement } from './hast-reading.ts';
import { parsePiece } from './parse-html.ts';
import type { PostFields } from './post-fields.ts';
import { keptSchema, safeHref, safeSrc } from './sanitise.ts';
import { cellSpan, listStart, pictureWidth } from './shape-numbers.ts';

function cleanContainer(container: Container): Container {
  if (container.type === 'list' && container.start !== undefined)
    return { ...container, start: listStart(container.start) };
  if (container.type !== 'cell') return container;
  const { colspan, rowspan, ...cell } = container;
  return {
    ...cell,
    ...(colspan === undefined ? {} : { colspan: cellSpan(colspan) }),
    ...(rowspan === undefined ? {} : { rowspan: cellSpan(rowspan) }),
  };
}

function cleanBlock(block: Block): Block | null {
  const marks = tidyMarks(
    block.marks.filter(
      (mark) => mark.type !== 'link' || (mark.href !== undefined && safeHref(mark.href) !== null),
    ),
    block.text,
  );
  const clean: Block = { ...block, marks, path: block.path.map(cleanContainer) };
  if (block.image) {
    const { link, width: given, ...image } = block.image;
    const width = pictureWidth(given);
    const src = safeSrc(image.src);
    if (src === null) return block.text ? { ...clean, kind: 'paragraph', image: undefined } : null;
    clean.image = {
      ...image,
      src,
      ...(width === null ? {} : { width }),
      ...(link && safeHref(link) !== null ? { link } : {}),
    };
  }
  if (block.embed) {
    const { picture, transcript, ...embed } = block.embed;
    if (!/^https?:/i.test(embed.href))
      return block.text ? { ...clean, kind: 'paragraph', embed: undefined } : null;
    clean.embed = {
      ...embed,
      ...(picture && safeSrc(picture) !== null ? { picture } : {}),
      ...(transcript && safeHref(transcript) !== null ? { transcript } : {}),
    };
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

/** Stored fields that came from outside, without addresses that could run anything. Translations are read with care wherever they are used. */
export const cleanFields = (fields: PostFields): PostFields => ({
  ...fields,
  canonical: safeHref(fields.canonical) ?? '',
  image: safeSrc(fields.image) ?? '',
  shareImage: safeSrc(fields.shareImage) ?? '',
});

/** A stored draft that came from outside, without anything that could run: what the readers do for markup. */
export function cleanDraft(draft: Draft): Draft {
  return { version: 1, blocks: draft.blocks.flatMap((block) => cleanBlock(block) ?? []) };
}
