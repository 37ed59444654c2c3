import { type ReactNode, useState } from 'react';

/** A figure that opens to what it is made of. */
export function FigureButton({
  title,
  figure,
  children,
}: {
  /** What it is a figure of: "Clicks". */
  title: string;
  /** The figure as it is shown. */
  figure: string;
  /** The window that opens. */
  children: (onClose: () => void) => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-label={`${title}: ${figure}. Show its rows`}
        onClick={() => setOpen(true)}
        className="rounded whitespace-nowrap tabular-nums underline decoration-soft/40 decoration-dotted underline-offset-4 hover:text-marram hover:decoration-marram"
      >
        {figure}
      </button>
      {isOpen && children(() => setOpen(false))}
    </>
  );
}
