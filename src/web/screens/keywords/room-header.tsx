import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

const PLACES = [
  { to: '/keywords', name: 'Phrases' },
  { to: '/keywords/lists', name: 'Lists' },
  { to: '/keywords/near-wins', name: 'Near wins' },
];

/** The head of Keywords: its three places, and what can be done in the one shown. */
export const RoomHeader = ({ children, line = true }: { children: ReactNode; line?: boolean }) => (
  <header className={`flex flex-wrap items-center gap-x-5 gap-y-2 px-6 pt-5 pb-3 ${line ? 'border-b' : ''}`}>
    <h1 className="font-serif text-[26px] font-semibold">Keywords</h1>
    <RoomNav />
    <div className="ml-auto flex flex-wrap items-center gap-2">{children}</div>
  </header>
);

const RoomNav = () => (
  <nav aria-label="Keywords" className="flex gap-4">
    {PLACES.map(({ to, name }) => (
      <NavLink
        key={to}
        to={to}
        end
        className="border-b-2 border-transparent pb-0.5 text-soft hover:text-ink aria-[current=page]:border-marram aria-[current=page]:font-semibold aria-[current=page]:text-ink"
      >
        {name}
      </NavLink>
    ))}
  </nav>
);
