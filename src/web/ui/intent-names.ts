/** What somebody wants who types a phrase, as it is shown. */
export const INTENT_NAMES = {
  informational: 'Informational',
  commercial: 'Commercial',
  transactional: 'Transactional',
  navigational: 'Navigational',
} as const;
