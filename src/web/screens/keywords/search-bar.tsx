import { Search } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { pasteList } from '../../ui/paste-list.ts';

/** The one search field: seeds or an address, and the region. */
export function SearchBar({
  typed,
  region,
  regions,
  onSearch,
}: {
  typed: string;
  region: string;
  regions: readonly string[];
  onSearch: (seed: string, region: string) => void;
}) {
  const [text, setText] = useState(typed);
  return (
    <form
      role="search"
      className="flex items-center gap-2 px-6"
      onSubmit={(event) => {
        event.preventDefault();
        onSearch(text.trim(), region);
      }}
    >
      <label className="flex min-w-0 flex-1 items-center gap-2 rounded-md border bg-sheet px-2.5">
        <Search size={16} className="shrink-0 text-soft" aria-hidden />
        <span className="sr-only">Seed</span>
        <input
          value={text}
          onChange={(event) => setText(event.target.value)}
          onPaste={(event) => pasteList(event, setText)}
          placeholder="A phrase, several parted by commas, or the address of one of your posts"
          className="w-full bg-transparent py-2 text-[15px] outline-none"
        />
      </label>
      <label>
        <span className="sr-only">Region</span>
        <Choice
          value={region}
          onChange={(next) => onSearch(text.trim(), next)}
          className="px-2 py-2"
          options={regions.map((value) => ({ value, name: value }))}
        />
      </label>
      <Button look="main" type="submit" className="py-2!">
        Search
      </Button>
      {typed && (
        <Button onClick={() => onSearch('', region)} className="py-2!">
          All phrases
        </Button>
      )}
    </form>
  );
}
