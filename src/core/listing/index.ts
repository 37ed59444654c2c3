/**
 * Listing: how a post stands in a results page and where it lives.
 *
 * `widths` measures lines in pixels from the shipped Arial-metric face; `cut` says where a results page would cut;
 * `meta-title` and `opening` give what stands there when nothing is written; `slugs` and `addresses` make and
 * compare addresses, `typed-address` reads one that somebody typed.
 */
export { comparablePath, DEFAULT_ADDRESS_PATTERN, linkKind, postPath } from './addresses.ts';
export { type CutLine, cutOfTitle, cutToWidth } from './cut.ts';
export { DEFAULT_TITLE_PATTERN, effectiveMetaTitle, titleKey } from './meta-title.ts';
export { openingSentences, openingWords } from './opening.ts';
export {
  SHARE_PICTURE,
  shareCut,
  sharePictureFault,
} from './share.ts';
export { slugOf } from './slugs.ts';
export { typedAddress } from './typed-address.ts';
export { DESCRIPTION_SIZE, pixelWidth, TITLE_SIZE } from './widths.ts';
