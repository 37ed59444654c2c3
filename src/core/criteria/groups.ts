/** The groups in the order of every report and of the ridge. */
export const GROUPS = [
  'listing',
  'headings',
  'keyword',
  'coverage',
  'substance',
  'media',
  'links',
  'reading',
] as const;
export type Group = (typeof GROUPS)[number];
