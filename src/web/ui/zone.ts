import { createContext, use } from 'react';

/** The zone by whose calendar days are shown: that of the site, which the frame around a screen provides. */
export const Zone = createContext('UTC');

/** The zone by whose calendar days are shown. */
export const useZone = (): string => use(Zone);
