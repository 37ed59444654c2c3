/** The groups in the order of every report and of the ridge. */
export const GROUPS = ['listing', 'headings', 'keyword', 'coverage', 'media', 'links', 'reading'] as const;
export type Group = (typeof GROUPS)[number];

/** All criteria in the order of every report. */
export const CRITERION_IDS = [
  'meta-title-width', 'meta-title-keyword', 'meta-title-distinct', 'meta-description-width', 'meta-description-keyword', 'slug-shape', 'slug-keyword',
  'title-single', 'heading-order', 'heading-spacing', 'heading-keyword', 'heading-distinct',
  'keyword-title', 'keyword-intro', 'keyword-rate', 'keyword-spread', 'supporting-keywords', 'keyword-free',
  'staple-terms', 'supporting-terms', 'topics-covered', 'questions-answered',
  'image-present', 'alt-present', 'alt-quality', 'alt-keyword', 'image-name', 'image-weight',
  'links-internal', 'links-external', 'link-words', 'links-live',
  'body-length', 'reading-ease', 'paragraph-length', 'sentence-length', 'scannable', 'claims-sourced',
] as const;
export type CriterionId = (typeof CRITERION_IDS)[number];
