import { Command } from 'cmdk';
import { useId } from 'react';
import { typedAddress } from '../../core/listing/index.ts';

/** Something that can be linked to. */
export interface Place {
  address: string;
  title: string;
}

/** Rows that are offered; typing narrows them down. */
const MAX_OFFERED = 60;

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
  pagesOnly = false,
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
  /** A place in a page, a mail address and the like are none here. */
  pagesOnly?: boolean;
}) {
  const id = useId();
  const found = quiet && typed.trim() === '' ? [] : placesWith(places, typed);
  const address = typedAddress(typed);
  const own =
    address !== null &&
    (!pagesOnly || /^(?:https?:|\/)/i.test(address)) &&
    !found.some((place) => place.address === address)
      ? { address, title: address }
      : null;
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
        {own && <Line place={own} said="this address" onTake={onTake} />}
        {found.map((place) => (
          <Line key={place.address} place={place} said={place.address} onTake={onTake} />
        ))}
        {found.length === 0 && !own && typed.trim() !== '' && (
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
