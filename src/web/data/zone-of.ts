import { isZone } from '../../core/site/index.ts';
import type { SiteRow } from './post-rows.ts';

/** The zone of this machine. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** The zone by which a site counts its days: its own, or that of this machine where it names none that is known. */
export const zoneOf = (site: Pick<SiteRow, 'zone'> | undefined): string =>
  site?.zone && isZone(site.zone) ? site.zone : ownZone();
