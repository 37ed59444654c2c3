/**
 * Arrangement: the order of a blog and the addresses that follow from it. `category-change` is what can be done to the tree of
 * categories and where posts are filed then, `arrangement` what such a change, or another address pattern, comes to before it is
 * made; `category-advice` says what would be worth doing.
 */
export {
  type Arrangement,
  arrangement,
  type BlogOrder,
  linkMoves,
  type MovedPage,
  type OrderChange,
  type PlacedPost,
  type RefiledPost,
} from './arrangement.ts';
export {
  type AdvisedPost,
  type CategoryAdvice,
  categoryAdvice,
  type LikelyHome,
  type LikelyNest,
  MOST_MAIN,
} from './category-advice.ts';
export {
  type CategoryChange,
  categoriesOfPosts,
  categoryNameProblem,
  type Filing,
  mergedCategory,
  movedTo,
  nestedCategory,
  refiled,
  removedCategory,
  renamedCategory,
  shiftedCategory,
  withAbout,
  withCategory,
} from './category-change.ts';
