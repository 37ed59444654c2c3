import { useEffect, useState } from 'react';
import { tryWay, type Way, type WayAccount } from '../../../services/publishing.ts';

/** What the place can do to which posts are sent, asked once; null: not known, or the blog beside, of which all is known. */
export function useWayAccount(way: Way | null): WayAccount | null {
  const [account, setAccount] = useState<WayAccount | null>(null);
  const kind = way?.kind ?? 'stand-in';
  const endpoint = way?.kind === 'micropub' ? way.endpoint : '';
  useEffect(() => {
    setAccount(null);
    if (kind === 'stand-in') return;
    let isWanted = true;
    tryWay(kind === 'micropub' ? { kind, endpoint } : { kind }).then(
      (found) => isWanted && setAccount(found),
      // Whoever publishes is told; until then nothing of it is offered.
      () => {},
    );
    return () => {
      isWanted = false;
    };
  }, [kind, endpoint]);
  return account;
}
