import { diffWords } from 'diff';
import type { GenerationRow } from '../../data/study-rows.ts';
import { Button } from '../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../ui/day.ts';
import { useZone } from '../../ui/zone.ts';
import { nameOf } from './generation-words.ts';

/** Texts that differ in more words than this are shown without marks: working them out would hold the page up. */
const MARKED_UP_TO = 40_000;

/** Two answers side by side; what only one of them says is marked. */
export function Compared({
  one,
  other,
  onClose,
}: {
  one: GenerationRow;
  other: GenerationRow;
  onClose: () => void;
}) {
  const zone = useZone();
  const [early, late] = one.at <= other.at ? [one, other] : [other, one];
  const isMarked = early.output.length + late.output.length <= MARKED_UP_TO;
  const parts = isMarked ? diffWords(early.output, late.output) : [];
  const side = (row: GenerationRow, which: 'added' | 'removed') => (
    <section aria-label={`${nameOf(row)}, ${timeInWords(row.at, zone)}`} className="min-w-0">
      <h3 className="mb-1 font-semibold">
        {nameOf(row)}{' '}
        <span className="font-normal text-soft">
          {dayInWords(row.at, zone)}, {timeInWords(row.at, zone)}
          {row.asked ? `, ${row.asked.model || 'without a model'}` : ''}
        </span>
      </h3>
      <pre className="mb-1 font-sans whitespace-pre-wrap text-soft">{row.input}</pre>
      <pre className="max-h-96 overflow-auto rounded-md border bg-sheet p-3 font-serif text-[15px] whitespace-pre-wrap">
        {isMarked
          ? parts
              .filter((part) => (which === 'added' ? !part.removed : !part.added))
              .map((part, at) =>
                part[which] ? (
                  // biome-ignore lint/suspicious/noArrayIndexKey: parts have nothing but their order
                  <mark key={at} className="bg-ochre-wash text-ink">
                    {part.value}
                  </mark>
                ) : (
                  // biome-ignore lint/suspicious/noArrayIndexKey: as above
                  <span key={at}>{part.value}</span>
                ),
              )
          : row.output}
      </pre>
    </section>
  );
  return (
    <section aria-label="Side by side" className="mb-5 border-b pb-4 text-[13px]">
      <div className="mb-2 flex items-baseline gap-3">
        <h2 className="font-serif text-xl font-semibold">Side by side</h2>
        <Button look="word" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="grid grid-cols-2 gap-5 max-[900px]:grid-cols-1">
        {side(early, 'removed')}
        {side(late, 'added')}
      </div>
    </section>
  );
}
