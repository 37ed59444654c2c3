import { database } from './database.ts';

const key = () => `${database().name} site`;

/** Where a window refuses to remember anything, the site is remembered as long as the page stands. */
let remembered: string | null = null;

/** The site that this tab is at, by its id; null where it was at none yet. */
export function tabSite(): string | null {
  try {
    return sessionStorage.getItem(key());
  } catch {
    return remembered;
  }
}

/** This tab is at a site from now on, whatever other tabs do. */
export function keepTabSite(id: string): void {
  remembered = id;
  try {
    sessionStorage.setItem(key(), id);
  } catch {
    // Remembered above.
  }
}
