import { vi } from 'vitest';

/** What a session asks of the page around it, where there is none. */
export function standInForThePage(): void {
  vi.stubGlobal('addEventListener', () => {});
  vi.stubGlobal('removeEventListener', () => {});
  vi.stubGlobal('document', { addEventListener: () => {}, removeEventListener: () => {} });
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('requestAnimationFrame', () => 1);
  vi.stubGlobal('cancelAnimationFrame', () => {});
}

/** Resolves when a condition holds. */
export async function until(holds: () => boolean | Promise<boolean>): Promise<void> {
  await vi.waitFor(async () => {
    if (!(await holds())) throw new Error('not yet');
  });
}
