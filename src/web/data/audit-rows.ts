import type { Audit, PageKind } from '../../core/audit/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';

/** An audit of a site, one a day. */
export interface AuditRow extends Audit {
  siteId: string;
  /** When it was put there; the later one of a day is kept. */
  changed: string;
}

/** A page of a site that is no post, as it was read. */
export interface PageReadRow extends PostDocument {
  siteId: string;
  /** In comparable form. */
  path: string;
  /** UTC instant at which it was read. */
  at: string;
  kind: PageKind;
  /** What it wants to be found for; empty: not known. */
  keyword: string;
  changed: string;
}
