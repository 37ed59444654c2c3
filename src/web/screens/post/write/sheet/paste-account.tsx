/** Phrases that are told at once; the others stand behind them. */
const TOLD = 2;

/** Whether there is more to tell than one line holds. */
export const isLong = (phrases: readonly string[]): boolean => phrases.length > TOLD + 1;

interface PasteAccountProps {
  phrases: readonly string[];
  open: boolean;
  /** Asked to show all, or one line again. The place that shows it has to make room. */
  onOpen(open: boolean): void;
}

/** What was lost or changed in a paste: one line, which opens where there is more to tell. */
export function PasteAccount({ phrases, open, onOpen }: PasteAccountProps) {
  if (!isLong(phrases)) return <>{`Cleaned: ${phrases.join(', ')}.`}</>;
  const toggle = (words: string) => (
    <button
      type="button"
      aria-expanded={open}
      onClick={() => onOpen(!open)}
      className="border-b border-current font-semibold text-sea"
    >
      {words}
    </button>
  );
  if (!open)
    return (
      <>
        {`Cleaned: ${phrases.slice(0, TOLD).join(', ')} and `}
        {toggle(`${phrases.length - TOLD} more`)}
      </>
    );
  return (
    <>
      Cleaned: {toggle('less')}
      <ul className="mt-1 max-h-[50vh] list-disc overflow-auto pl-5 font-normal">
        {phrases.map((phrase) => (
          <li key={phrase}>{phrase}</li>
        ))}
      </ul>
    </>
  );
}
