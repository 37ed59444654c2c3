import { type Audit, keptDays } from '../../core/audit/index.ts';
import type { AuditRow } from './audit-rows.ts';
import { database } from './database.ts';

/** Days on which a site was audited, the latest first. */
export async function auditDays(siteId: string): Promise<string[]> {
  const keys = await database().audits.where('siteId').equals(siteId).primaryKeys();
  return keys
    .map(([, day]) => day)
    .sort()
    .reverse();
}

/** The audit of a day; null where there is none. */
export const auditOf = async (siteId: string, day: string): Promise<AuditRow | null> =>
  (await database().audits.get([siteId, day])) ?? null;

/** Keeps an audit in place of an earlier one of its day; of days long past those that tell least are taken out. */
export async function keepAudit(siteId: string, audit: Audit, now: string): Promise<void> {
  const { audits } = database();
  await database().transaction('rw', audits, async () => {
    await audits.put({ ...audit, siteId, changed: now });
    const days = await auditDays(siteId);
    const kept = new Set(keptDays(days));
    await audits.bulkDelete(
      days.filter((day) => !kept.has(day)).map((day): [string, string] => [siteId, day]),
    );
  });
}
