import { type Block, isNoteRef } from './draft.ts';

/**
 * What a block says and how, ids left out: two reads of the same text have the same. Whether it begins what it stands in is part
 * of it, so that two items are told from one.
 */
export function blockSignature({ id, path, marks, ...rest }: Block): string {
  return JSON.stringify([
    rest.kind,
    rest.level ?? 0,
    rest.text,
    path.map(({ key, ...container }) => [container, key === id]),
    marks.map((mark) => (mark.href && isNoteRef(mark.href) ? { ...mark, href: '#note' } : mark)),
    rest.image ?? null,
    rest.embed ?? null,
    rest.step ?? null,
    rest.language ?? '',
    rest.html ?? '',
  ]);
}
