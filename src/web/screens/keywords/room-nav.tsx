import { NavLink } from 'react-router';

const PLACES = [
  { to: '/keywords', name: 'Phrases' },
  { to: '/keywords/lists', name: 'Lists' },
  { to: '/keywords/near-wins', name: 'Near wins' },
];

/** The three places of Keywords. */
export const RoomNav = () => (
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
