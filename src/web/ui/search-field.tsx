import { Search } from 'lucide-react';

/** A field that narrows a list down by words. */
export function SearchField({
  name,
  placeholder,
  value,
  onChange,
}: {
  name: string;
  placeholder: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center gap-1.5 rounded-md border bg-sheet px-2">
      <Search size={15} className="text-soft" aria-hidden />
      <span className="sr-only">{name}</span>
      <input
        type="search"
        placeholder={placeholder}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="w-44 bg-transparent py-1.5 outline-none"
      />
    </label>
  );
}
