/** What was kept under a name; null where nothing was, or where storage is refused. */
export function remembered(name: string): string | null {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
}

/** Keeps a text under a name for next time. */
export function remember(name: string, text: string): void {
  try {
    localStorage.setItem(name, text);
  } catch {
    // A private window refuses storage: what was chosen holds until it is closed.
  }
}
