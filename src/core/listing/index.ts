/**
 * Listing: how a post stands in a results page and where it lives.
 *
 * `widths` measures lines in pixels from the shipped Arial-metric face; `cut` says where a results page would cut;
 * `meta-title` and `opening` give what stands there when nothing is written; `slugs` makes a slug of words,
 * `categories` are the tree that posts are filed in, `post-path` makes a post's address of the site's pattern; `addresses`
 * compares any two, `typed-address` reads one that somebody typed.
 */
export { comparablePath, DEFAULT_ADDRESS_PATTERN, linkKind } from './addresses.ts';
export {
  type Category,
  type CategoryPicture,
  categoriesInTree,
  categoryNamed,
  categoryPath,
  categoryTrail,
} from './categories.ts';
export { type CutLine, cutOfTitle, cutToWidth } from './cut.ts';
export { DEFAULT_TITLE_PATTERN, effectiveMetaTitle, titleKey } from './meta-title.ts';
export { openingSentences, openingWords } from './opening.ts';
export {
  type AddressParts,
  type AddressRule,
  folderOfPosts,
  patternProblem,
  postPath,
  saysCategory,
} from './post-path.ts';
export {
  SHARE_PICTURE,
  shareCut,
  sharePictureFault,
} from './share.ts';
export { slugOf } from './slugs.ts';
export { typedAddress } from './typed-address.ts';
export { DESCRIPTION_SIZE, pixelWidth, TITLE_SIZE } from './widths.ts';
