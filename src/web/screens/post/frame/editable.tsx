import type { ReactNode } from 'react';
import { useAppSelector } from '../../../state/store.ts';

/**
 * What changes the post: at rest while another tab writes it. What is only read (tabs, lenses, exports) stays outside of
 * it and at hand.
 */
export function Editable({ children }: { children: ReactNode }) {
  const following = useAppSelector((state) => state.openPost.following);
  return (
    <fieldset disabled={following} className="contents">
      {children}
    </fieldset>
  );
}
