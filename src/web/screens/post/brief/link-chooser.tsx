import { useState } from 'react';
import { sitePlaces } from '../../../data/site-places.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { type Place, PlaceField } from '../../../ui/place-field.tsx';
import { usePost } from '../frame/post-context.ts';

/** A page or post of the site, found by its words, or an address. */
export function LinkChooser({
  taken,
  onChoose,
}: {
  taken: readonly string[];
  onChoose: (page: Place) => void;
}) {
  const { session } = usePost();
  const [typed, setTyped] = useState('');
  const places = useLiveQuery(() => sitePlaces(session.siteId, session.id), [session]) ?? [];
  return (
    <div className="mt-1">
      <PlaceField
        label="Page to link to"
        places={places.filter(({ address }) => !taken.includes(address))}
        typed={typed}
        onTyped={setTyped}
        onTake={(place) => {
          onChoose(place);
          setTyped('');
        }}
        placeholder="A post or page of the site, or an address"
        quiet
        pagesOnly
      />
    </div>
  );
}
