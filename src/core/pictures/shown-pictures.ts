import type { PostDocument } from '../draft/index.ts';

/** A picture where a post shows it. */
export interface ShownPicture {
  /** Null: the featured picture. */
  blockId: string | null;
  src: string;
  /** Null: none was given; empty: decorative. */
  alt: string | null;
  caption: string;
  /** The heading it stands under; empty where there is none. */
  heading: string;
}

/** The pictures of a post in the order in which readers meet them, the featured one first. */
export function shownPictures({ fields, draft }: PostDocument): ShownPicture[] {
  const shown: ShownPicture[] = fields.image
    ? [{ blockId: null, src: fields.image, alt: fields.imageAlt, caption: '', heading: fields.title }]
    : [];
  let heading = '';
  for (const { id, kind, text, image } of draft.blocks) {
    if (kind === 'heading') heading = text;
    if (image) shown.push({ blockId: id, src: image.src, alt: image.alt, caption: text, heading });
  }
  return shown;
}
