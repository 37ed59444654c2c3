import { Command } from 'cmdk';
import { useId } from 'react';

/** Something that can be linked to. */
export interface Place {
  address: string;
  title: string;
}

/** Rows that are offered; typing narrows them down. */
const MAX_OFFERED = 60;

/** Whether something typed is an address itself: with a scheme, from the root, a fragment, or a host. */
export const isAddress = (typed: string): boolean =>
  /^(?:[a-z][a-z\d+.-]*:|\/|#)\S+$|^[\w-]+(?:\.[\w-]+)*\.[a-z]{2,}(?:\/\S*)?$/i.test(typed.trim());

/** Places that have all the words, in their order. */
export function placesWith(places: readonly Place[], typed: string): Place[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return places
    .filter(({ title, address }) => words.every((word) => `${title} ${address}`.toLowerCase().includes(word)))
    .slice(0, MAX_OFFERED);
}

/**
 * A field for a place: found by its words among those that are known, or typed as an address. Arrow keys walk through
 * what is found, Enter takes it.
 */
export function PlaceField({
  label,
  places,
  typed,
  onTyped,
  onTake,
  placeholder,
  quiet = false,
}: {
  label: string;
  places: readonly Place[];
  typed: string;
  onTyped: (typed: string) => void;
  /** The place that is taken; one that was typed has its address for a title. */
  onTake: (place: Place) => void;
  placeholder?: string;
  /** Nothing is offered until something is typed. */
  quiet?: boolean;
}) {
  const id = useId();
  const address = typed.trim();
  const found = quiet && address === '' ? [] : placesWith(places, typed);
  const own = isAddress(address) && !found.some((place) => place.address === address);
  return (
    <Command shouldFilter={false} label={label} loop>
      <label htmlFor={id} className="mb-1 block text-[13px] text-soft">
        {label}
      </label>
      <Command.Input
        id={id}
        value={typed}
        onValueChange={onTyped}
        placeholder={placeholder}
        className="w-full rounded-md border px-2 py-1.5"
      />
      <Command.List className="mt-1 max-h-64 overflow-auto">
        {own && <Line place={{ address, title: address }} said="this address" onTake={onTake} />}
        {found.map((place) => (
          <Line key={place.address} place={place} said={place.address} onTake={onTake} />
        ))}
        {found.length === 0 && !own && address !== '' && (
          <p className="px-2 py-1 text-[13px] text-soft">
            No post or page of the site has these words. Type an address and press Enter.
          </p>
        )}
      </Command.List>
    </Command>
  );
}

function Line({ place, said, onTake }: { place: Place; said: string; onTake: (place: Place) => void }) {
  return (
    <Command.Item
      value={place.address}
      onSelect={() => onTake(place)}
      className="cursor-pointer rounded px-2 py-1 data-[selected=true]:bg-paper"
    >
      <span className="block truncate font-semibold">{place.title}</span>
      <span className="block truncate text-[12px] text-soft">{said}</span>
    </Command.Item>
  );
}
