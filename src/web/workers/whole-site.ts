import { siteAudit } from './site-audit.ts';
import { siteJoin } from './site-join.ts';
import { siteMap } from './site-map.ts';
import { siteOrder } from './site-order.ts';
import { siteUpkeep } from './site-upkeep.ts';

/** Everything that looks at a site as a whole: its links, its order, what it has gathered, posts that become one, how good it is. */
export const wholeSite = { ...siteMap, ...siteOrder, ...siteUpkeep, ...siteJoin, ...siteAudit };

export type WholeSite = typeof wholeSite;
