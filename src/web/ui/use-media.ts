import { useSyncExternalStore } from 'react';

/** Whether a media query holds just now. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const media = matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => matchMedia(query).matches,
  );
}
