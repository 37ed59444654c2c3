import { CopyPlus, Trash2 } from 'lucide-react';

const LOOK =
  'rounded p-1 opacity-0 group-hover:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100';

/** What can be done to one post of the list. */
export function RowActions({
  name,
  startFrom,
  remove,
}: {
  name: string;
  startFrom: () => void;
  remove: () => void;
}) {
  return (
    <span className="flex">
      <button
        type="button"
        aria-label={`Begin a post from ${name}`}
        title="Begin a new post from this one"
        onClick={startFrom}
        className={`${LOOK} hover:text-ink`}
      >
        <CopyPlus size={14} aria-hidden />
      </button>
      <button
        type="button"
        aria-label={`Delete ${name}`}
        title="Delete"
        onClick={remove}
        className={`${LOOK} hover:text-rust`}
      >
        <Trash2 size={14} aria-hidden />
      </button>
    </span>
  );
}
