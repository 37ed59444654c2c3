import { Copy, Trash2 } from 'lucide-react';
import { isMessage, messageLength, type ReusedPart } from '../../../../core/reuse/index.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { TextField } from '../../../ui/field.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import type { HeldPart } from '../../../workers/reuse.ts';
import { KIND_NAMES } from './kinds.ts';
import { PartRemarks } from './part-remarks.tsx';

/** One part of what was made, edited in place: how long it is, what of it the post does not say, what of it is out of date. */
export function PartField({
  row,
  at,
  part,
  held,
  onText,
  onCopy,
  onRemove,
}: {
  row: ReuseRow;
  at: number;
  part: ReusedPart;
  held: HeldPart | undefined;
  onText: (text: string) => void;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const { name, parts } = KIND_NAMES[row.kind];
  const length = messageLength(part.text, row.wishes);
  const isOver = isMessage(row.kind) && length > row.wishes.most;
  const label = `${parts}${row.parts.length > 1 ? ` ${at + 1}` : ''}`;
  return (
    <li className="relative border-t py-3 first:border-t-0">
      {part.head && <p className="mb-1 font-serif text-[15px] font-semibold">{part.head}</p>}
      <TextField
        label={label}
        value={part.text}
        rows={2}
        stored
        onChange={onText}
        problem={
          isOver ? `${length} of ${row.wishes.most} characters: ${length - row.wishes.most} too many.` : ''
        }
        note={
          <span className="flex flex-wrap items-center gap-x-3 tabular-nums">
            <PartRemarks kind={row.kind} text={part.text} wishes={row.wishes} held={held} />
          </span>
        }
      />
      <p className="absolute top-3 right-0 flex gap-2">
        <IconButton
          icon={Copy}
          name={`Copy ${label.toLowerCase()} of the ${name.toLowerCase()}`}
          onClick={onCopy}
        />
        {row.parts.length > 1 && (
          <IconButton
            icon={Trash2}
            name={`Take out ${label.toLowerCase()}`}
            look="grave"
            onClick={onRemove}
          />
        )}
      </p>
    </li>
  );
}
