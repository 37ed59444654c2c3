import { siteMap } from './site-map.ts';
import { siteOrder } from './site-order.ts';

/** Everything that looks at a site as a whole: its links, its order. */
export const wholeSite = { ...siteMap, ...siteOrder };

export type WholeSite = typeof wholeSite;
