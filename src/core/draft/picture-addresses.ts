import type { Block, Draft } from './draft.ts';
import type { PostFields } from './post-fields.ts';

/** Addresses of the pictures that the fields of a post name: the featured one, and the one for shares. */
const inFields = ({ image, shareImage }: PostFields): string[] => [image, shareImage];

/** Addresses of the pictures in a text, those that stand for embeds among them. */
const inBlocks = (blocks: readonly Block[]): string[] =>
  blocks.flatMap(({ image, embed }) => [image?.src ?? '', embed?.picture ?? '']);

/** The addresses of all pictures that a post names, each once, in the order in which they stand; either part may be missing. */
export const pictureAddresses = (fields: PostFields | null, draft: Draft | null): string[] => [
  ...new Set([...(fields ? inFields(fields) : []), ...inBlocks(draft?.blocks ?? [])].filter(Boolean)),
];

/** Fields with their pictures under other addresses; the same object where none of them moves. */
export function fieldsWithPicturesMoved(
  fields: PostFields,
  to: (address: string) => string | undefined,
): PostFields {
  const [image, shareImage] = inFields(fields).map((address) =>
    address ? (to(address) ?? address) : address,
  );
  return image === fields.image && shareImage === fields.shareImage
    ? fields
    : { ...fields, image, shareImage };
}

/** A text with its pictures under other addresses; blocks whose pictures stay are the same objects. */
export const draftWithPicturesMoved = (draft: Draft, to: (address: string) => string | undefined): Draft => ({
  ...draft,
  blocks: draft.blocks.map((block) => {
    const src = block.image && to(block.image.src);
    if (src && block.image) return { ...block, image: { ...block.image, src } };
    const picture = block.embed?.picture && to(block.embed.picture);
    return picture && block.embed ? { ...block, embed: { ...block.embed, picture } } : block;
  }),
});
