import { useLiveQuery } from 'dexie-react-hooks';
import { useId, useState } from 'react';
import { sitePlaces } from '../../../data/site-places.ts';
import { Button } from '../../../ui/button.tsx';
import { usePost } from '../frame/post-context.ts';

/** A page or post of the site, found by its words. */
export function LinkChooser({
  taken,
  onChoose,
}: {
  taken: readonly string[];
  onChoose: (page: { address: string; title: string }) => void;
}) {
  const { session } = usePost();
  const [typed, setTyped] = useState('');
  const list = useId();
  const places = useLiveQuery(() => sitePlaces(session.siteId, session.id), [session]) ?? [];
  const open = places.filter(({ address }) => !taken.includes(address));
  const found =
    open.find(({ title, address }) => title === typed || address === typed) ??
    (/^(?:https?:\/\/|\/)\S+$/.test(typed.trim()) ? { address: typed.trim(), title: typed.trim() } : null);
  return (
    <form
      className="mt-1 flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!found) return;
        onChoose(found);
        setTyped('');
      }}
    >
      <input
        aria-label="Page to link to"
        list={list}
        value={typed}
        placeholder="A post or page of the site, or an address"
        onChange={(event) => setTyped(event.target.value)}
        className="min-w-0 flex-1 rounded-md border px-2.5 py-1"
      />
      <datalist id={list}>
        {open.map(({ title, address }) => (
          <option key={address} value={title}>
            {address}
          </option>
        ))}
      </datalist>
      <Button type="submit" disabled={!found}>
        Add
      </Button>
    </form>
  );
}
