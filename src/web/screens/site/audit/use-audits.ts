import { useMemo, useState } from 'react';
import {
  type Audit,
  type AuditChange,
  type AuditTotals,
  auditChange,
  auditTotals,
} from '../../../../core/audit/index.ts';
import { isForReaders } from '../../../../core/site/index.ts';
import { auditDays, auditOf } from '../../../data/audits.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';

/** Which posts of an audit are looked at: those that are for readers, or all. */
export type AuditedSet = 'readers' | 'all';

/** An audit that is looked at, beside an earlier one. */
export interface ShownAudit {
  /** The latest first. */
  days: readonly string[];
  /** Null: there is none. */
  audit: Audit | null;
  totals: AuditTotals;
  /** Null: there is nothing earlier. */
  change: AuditChange | null;
  day: string;
  since: string;
  set: AuditedSet;
  setDay: (day: string) => void;
  setSince: (day: string) => void;
  setSet: (set: AuditedSet) => void;
}

/** An audit with those of its posts that are looked at. */
export const limitedTo = (audit: Audit | null | undefined, set: AuditedSet): Audit | null =>
  !audit || set === 'all'
    ? (audit ?? null)
    : { ...audit, posts: audit.posts.filter(({ status }) => isForReaders(status)) };

/** The audits of a site: the latest beside the one before, unless others are chosen; undefined until they are read. */
export function useAudits(siteId: string): ShownAudit | undefined {
  const days = useLiveQuery(() => auditDays(siteId), [siteId]);
  const [chosen, setDay] = useState('');
  const [against, setSince] = useState('');
  const [set, setSet] = useState<AuditedSet>('readers');
  const day = days?.includes(chosen) ? chosen : (days?.[0] ?? '');
  const earlier = (days ?? []).filter((one) => one < day);
  const since = earlier.includes(against) ? against : (earlier[0] ?? '');
  const rows = useLiveQuery(
    async () => ({ own: await auditOf(siteId, day), before: since ? await auditOf(siteId, since) : null }),
    [siteId, day, since],
  );
  const audit = useMemo(() => limitedTo(rows?.own, set), [rows, set]);
  const before = useMemo(() => limitedTo(rows?.before, set), [rows, set]);
  const totals = useMemo(() => auditTotals(audit?.posts ?? []), [audit]);
  const change = useMemo(() => (audit && before ? auditChange(before, audit) : null), [audit, before]);
  if (!days || !rows) return undefined;
  return { days, audit, totals, change, day, since, set, setDay, setSince, setSet };
}
