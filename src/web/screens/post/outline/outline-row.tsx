import { ArrowDown, ArrowUp, IndentDecrease, IndentIncrease, Trash2 } from 'lucide-react';
import type { OutlineItem } from '../../../../core/outline/index.ts';
import { DraggableRow } from '../../../ui/draggable-row.tsx';
import { countInWords } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';

/** Pixels by which a level is set in; so far to the side, a drag nests or lifts. */
export const INDENT = 32;

/** What can be done to a heading of the outline. */
export type RowMove = 'up' | 'down' | 'lift' | 'nest' | 'remove';

const TOOLS = [
  ['up', 'Move up', 'Alt ↑', ArrowUp],
  ['down', 'Move down', 'Alt ↓', ArrowDown],
  ['lift', 'Lift', 'Alt ←', IndentDecrease],
  ['nest', 'Nest', 'Alt →', IndentIncrease],
  ['remove', 'Take out', '', Trash2],
] as const;

/** A heading of the outline with its note, its budget and what it covers. */
export function OutlineRow({
  item,
  at,
  words,
  covers,
  onChange,
  onKeyDown,
  onFocus,
  onMove,
}: {
  item: OutlineItem;
  at: number;
  /** Words that it is given; undefined: not worked out. */
  words: number | undefined;
  /** What it answers of all that is to be covered. */
  covers: readonly string[];
  onChange: (item: OutlineItem) => void;
  onKeyDown: (event: React.KeyboardEvent) => void;
  onFocus: () => void;
  onMove: (move: RowMove) => void;
}) {
  return (
    <DraggableRow
      id={item.id}
      name={item.text || `heading ${at + 1}`}
      className="group relative flex items-start gap-2 border-b bg-sheet py-1.5 pr-2 last:border-b-0"
      style={{ paddingLeft: 6 + (item.level - 2) * INDENT }}
    >
      <span className="mt-1.5 w-5 shrink-0 text-[12px] text-soft" title={`Level ${item.level}`}>
        H{item.level}
      </span>
      <div className="min-w-0 flex-1">
        <input
          data-item={item.id}
          aria-label={`Heading ${at + 1}, level ${item.level}`}
          value={item.text}
          placeholder="Heading"
          onFocus={onFocus}
          onChange={(event) => onChange({ ...item, text: event.target.value })}
          onKeyDown={onKeyDown}
          className={`w-full rounded bg-transparent px-1 py-0.5 font-serif ${item.level === 2 ? 'text-[18px] font-semibold' : 'text-[16px]'}`}
        />
        <textarea
          aria-label={`Note on heading ${at + 1}`}
          value={item.note}
          placeholder="Note"
          rows={1}
          onFocus={onFocus}
          onChange={(event) => onChange({ ...item, note: event.target.value })}
          className="field-sizing-content w-full resize-none rounded bg-transparent px-1 text-[13px] text-soft"
        />
        {covers.length > 0 && (
          <p className="truncate px-1 text-[12px] text-marram" title={covers.join('\n')}>
            covers {covers.join(', ')}
          </p>
        )}
      </div>
      {words !== undefined && (
        <span className="mt-1.5 shrink-0 text-[12px] text-soft tabular-nums" title="Words for its own text">
          {countInWords(words)} w
        </span>
      )}
      <div className="flex shrink-0 gap-0.5 pt-1 text-soft">
        {TOOLS.map(([move, name, keys, Icon]) => (
          <IconButton
            key={move}
            name={name}
            icon={Icon}
            hint={keys ? `${name} (${keys})` : name}
            onClick={() => onMove(move)}
            className="hover:bg-paper"
          />
        ))}
      </div>
    </DraggableRow>
  );
}
