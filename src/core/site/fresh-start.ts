import { type Draft, emptyFields, type PostDocument, type PostFields } from '../draft/index.ts';

/** Fields that a new post may take over from an old one: how it is written and where it stands, not what it is about. */
const TAKEN_OVER = [
  'language',
  'author',
  'category',
  'categories',
  'tags',
  'goal',
  'audience',
  'tone',
  'style',
  'targetWords',
  'nextStep',
  'ownFigures',
  'unknown',
] as const satisfies readonly (keyof PostFields)[];

/**
 * A post begun from another: the text and the brief come along; title, target, listing, dates, status and featured
 * picture are empty, so that nothing of the old post is published by mistake. Blocks keep their ids: see {@link leftOver}.
 */
export function freshStart({ fields, draft }: PostDocument): PostDocument {
  const taken = Object.fromEntries(TAKEN_OVER.map((name) => [name, fields[name]]));
  // Addresses that some front matter carries beside the known fields are the old post's own.
  const { permalink: _permalink, url: _url, aliases: _aliases, ...unknown } = fields.unknown;
  return { fields: { ...emptyFields(), ...taken, unknown }, draft };
}

/** Ids of the blocks that still stand as they came from the post that this one was begun from. */
export function leftOver(draft: Draft, origin: Draft): string[] {
  const before = new Map(origin.blocks.map((block) => [block.id, block]));
  return draft.blocks.flatMap((block) => {
    const old = before.get(block.id);
    const same = old && old.text === block.text && old.image?.src === block.image?.src;
    return same && (block.text.trim() !== '' || block.image) ? [block.id] : [];
  });
}
