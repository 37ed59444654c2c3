/**
 * Linking: the links of a draft within its site.
 *
 * `link-target` is what can be linked to; `link-book` knows the words by which each page is spoken of; `passages` finds them in
 * a draft; `links-out` are pages worth linking from it, `links-in` other posts that should link to it; `link-faults` is what is
 * wrong with the links that it has; `moved-links` lead to where a page has moved.
 */
export { LinkBook } from './link-book.ts';
export {
  type LinkFault,
  type LinkFaultKind,
  linkFaults,
  type OutsideAnswer,
  outsideAddresses,
} from './link-faults.ts';
export { type LinkTarget, linkTargets, postPathOf } from './link-target.ts';
export { linkIn } from './links-in.ts';
export { type LinkOffer, linksOut } from './links-out.ts';
export { linkedPaths, movedLinkEdits } from './moved-links.ts';
