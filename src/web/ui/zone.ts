import { createContext, use } from 'react';

/** The zone of this machine, for what is shown of no site. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** The zone by whose calendar days are shown: the site's. */
export const Zone = createContext(ownZone());

/** The zone by whose calendar days are shown. */
export const useZone = (): string => use(Zone);
