import {
  fieldsTakenBack,
  listTakenBack,
  type PostDocument,
  type PostFields,
} from '../../core/draft/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import { counted } from '../ui/figures.ts';

/** What a post holds, as it goes into a version and comes out of one. */
export interface PostContent {
  document: PostDocument;
  outline: OutlineItem[];
}

/** Names of fields where their key is no word that a writer knows. */
const FIELD_NAMES: ReadonlyMap<keyof PostFields, string> = new Map<keyof PostFields, string>([
  ['metaTitle', 'meta title'],
  ['metaDescription', 'meta description'],
  ['supporting', 'supporting keywords'],
  ['image', 'featured picture'],
  ['imageAlt', 'alt text of the featured picture'],
  ['shareTitle', 'title for shares'],
  ['shareDescription', 'description for shares'],
  ['shareImage', 'picture for shares'],
  ['robots', 'wish to search'],
  ['translations', 'pages in other languages'],
  ['targetWords', 'wished length'],
]);

/**
 * A post's content with a change taken back: only what the change changed, and only where it stands as the change
 * left it. `left` says in words what was changed since and so stays; empty where all of it went back.
 */
export function contentTakenBack(
  before: PostContent,
  after: PostContent,
  now: PostContent,
): { content: PostContent; left: string } {
  const fields = fieldsTakenBack(before.document.fields, after.document.fields, now.document.fields);
  const blocks = listTakenBack(
    before.document.draft.blocks,
    after.document.draft.blocks,
    now.document.draft.blocks,
  );
  const outline = listTakenBack(before.outline, after.outline, now.outline);
  const left = [
    ...fields.leftFields.map((key) => `the ${FIELD_NAMES.get(key) ?? key}`),
    ...(blocks.left > 0 ? [`${counted(blocks.left, 'place')} in the text`] : []),
    ...(outline.left > 0 ? [`${counted(outline.left, 'heading')} of the outline`] : []),
  ];
  return {
    content: {
      document: {
        fields: fields.value,
        draft: { ...now.document.draft, blocks: blocks.value },
      },
      outline: outline.value,
    },
    left: left.length === 0 ? '' : `What was changed since stays as it is: ${left.join(', ')}.`,
  };
}
