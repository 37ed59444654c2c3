import type { PageKind } from '../../../../core/audit/index.ts';

/** How kinds of pages are called where they are shown. */
export const PAGE_KIND_NAMES: Record<PageKind, string> = {
  home: 'Home',
  shop: 'Shop',
  booking: 'Booking',
  category: 'Category',
  other: 'Other',
};
