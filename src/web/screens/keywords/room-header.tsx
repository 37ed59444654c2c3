import type { ReactNode } from 'react';
import { RoomNav } from '../../ui/room-nav.tsx';

const PLACES = [
  { to: '/keywords', name: 'Phrases' },
  { to: '/keywords/lists', name: 'Lists' },
  { to: '/keywords/near-wins', name: 'Near wins' },
];

/** The head of Keywords: its three places, and what can be done in the one shown. */
export const RoomHeader = ({ children, line = true }: { children: ReactNode; line?: boolean }) => (
  <header className={`flex flex-wrap items-center gap-x-5 gap-y-2 px-6 pt-5 pb-3 ${line ? 'border-b' : ''}`}>
    <h1 className="font-serif text-[26px] font-semibold">Keywords</h1>
    <RoomNav name="Keywords" places={PLACES} />
    <div className="ml-auto flex flex-wrap items-center gap-2">{children}</div>
  </header>
);
