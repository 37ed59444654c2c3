import { NavLink } from 'react-router';

const PLACES = [
  { to: '/site', name: 'Pages' },
  { to: '/site/links', name: 'Link map' },
] as const;

/** The ways of looking at a whole site. */
export function SiteTabs() {
  return (
    <nav aria-label="Site" className="flex flex-wrap gap-x-4 gap-y-1">
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
}
