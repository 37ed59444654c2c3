/** How a post's status is called where it is shown. */
export const STATUS_NAMES = {
  draft: 'Draft',
  'in-review': 'In review',
  scheduled: 'Scheduled',
  published: 'Published',
} as const;
