import { NavLink } from 'react-router';

/** The places of a room, each with an address of its own; the one that is open is marked. */
export const RoomNav = ({
  name,
  places,
}: {
  name: string;
  places: readonly { to: string; name: string }[];
}) => (
  <nav aria-label={name} className="flex flex-wrap gap-x-4 gap-y-1">
    {places.map((place) => (
      <NavLink
        key={place.to}
        to={place.to}
        // What stands below a place is in it, unless that is a place of its own.
        end={places.some(({ to }) => to.startsWith(`${place.to}/`))}
        className="border-b-2 border-transparent pb-0.5 text-soft hover:text-ink aria-[current=page]:border-marram aria-[current=page]:font-semibold aria-[current=page]:text-ink"
      >
        {place.name}
      </NavLink>
    ))}
  </nav>
);
