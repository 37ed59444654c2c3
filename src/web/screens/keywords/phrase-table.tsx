import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { KeywordSort, KeywordWish } from '../../../core/research/index.ts';
import { monthIn } from '../../../core/site/index.ts';
import { Check } from '../../ui/check-field.tsx';
import { countInWords, figureInWords } from '../../ui/figures.ts';
import { Hint } from '../../ui/hint.tsx';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { SeasonBars } from '../../ui/season-bars.tsx';
import { useZone } from '../../ui/zone.ts';
import type { DeskView, KeywordLine } from '../../workers/research-desk.ts';

/** Columns that can be chosen; the phrase always stands. */
export const COLUMNS = [
  { key: 'volume', name: 'Volume', width: '76px', sort: 'volume' },
  { key: 'season', name: 'Season', width: '92px', sort: null },
  { key: 'difficulty', name: 'Difficulty', width: '80px', sort: 'difficulty' },
  { key: 'intent', name: 'Intent', width: '112px', sort: 'intent' },
  { key: 'opportunity', name: 'Opportunity', width: '96px', sort: 'opportunity' },
  { key: 'lists', name: 'Lists', width: 'minmax(80px,1fr)', sort: null },
  { key: 'why', name: 'Why it is here', width: 'minmax(110px,1.1fr)', sort: null },
  { key: 'source', name: 'Figures from', width: 'minmax(120px,1fr)', sort: 'date' },
] as const satisfies readonly { key: string; name: string; width: string; sort: KeywordSort | null }[];
export type ColumnKey = (typeof COLUMNS)[number]['key'];

const ROW = 34;
/** How a figure comes about, said at its heading. */
const HINTS: Record<string, string> = {
  volume: 'Searches a month, the mean of a year, as the source gives it.',
  difficulty:
    'How hard it is to be found among the first ten pages: for each, its rank x its publisher\u2019s standing x how squarely it answers (35 % beside the point, 100 % to the point). Figures that a file gives are kept as given.',
  intent: 'What is wanted, from the words of the phrase and the kinds of pages found. You can overrule it.',
  opportunity:
    'Weighted geometric mean of volume (logarithm, full at 10,000), ease (1 - difficulty / 100), season (best of the next three months over the mean) and fit (share of its words that your site uses). The weights stand in House rules.',
};
/** Figures stand under one another at the right. */
const RIGHT: ReadonlySet<string> = new Set(['volume', 'difficulty', 'opportunity']);

interface TableProps {
  view: DeskView;
  columns: readonly ColumnKey[];
  wish: KeywordWish;
  onSort: (sort: KeywordSort) => void;
  lineAt: (place: number) => KeywordLine | undefined;
  show: (from: number, to: number) => void;
  selected: ReadonlySet<number>;
  onSelect: (rows: ReadonlySet<number>) => void;
  /** Names of the lists that a phrase stands on. */
  listsOf: (phrase: string) => readonly string[];
  onOpen: (line: KeywordLine) => void;
  opened: string | null;
}

/** Phrases with their figures; any number of them. Space selects, Shift and an arrow stretch the selection, Enter opens. */
export function PhraseTable({
  view,
  columns,
  wish,
  onSort,
  lineAt,
  show,
  selected,
  onSelect,
  listsOf,
  onOpen,
  opened,
}: TableProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const [wanted, setCursor] = useState(0);
  // A filter may leave fewer rows than there were.
  const cursor = Math.max(0, Math.min(wanted, view.rows.length - 1));
  const anchor = useRef(0);
  const items = useVirtualizer({
    count: view.rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  const visible = items.getVirtualItems();
  const [first, last] = [visible[0]?.index ?? 0, visible.at(-1)?.index ?? 0];
  useEffect(() => show(first, last), [show, first, last]);
  const shown = COLUMNS.filter(({ key }) => columns.includes(key));
  const grid = {
    gridTemplateColumns: `30px minmax(150px,2.2fr) ${shown.map(({ width }) => width).join(' ')}`,
  };
  const stretch = (to: number) => {
    const [from, until] = [Math.min(anchor.current, to), Math.max(anchor.current, to)];
    const next = new Set(selected);
    for (let place = from; place <= until; place++) next.add(view.rows[place]);
    onSelect(next);
  };
  const toggle = (place: number, shift: boolean) => {
    if (shift) {
      stretch(place);
      return;
    }
    const next = new Set(selected);
    if (!next.delete(view.rows[place])) next.add(view.rows[place]);
    anchor.current = place;
    onSelect(next);
  };
  const go = (place: number, shift: boolean) => {
    const to = Math.max(0, Math.min(view.rows.length - 1, place));
    setCursor(to);
    items.scrollToIndex(to);
    if (shift) stretch(to);
    else anchor.current = to;
  };
  const pressed = (event: KeyboardEvent) => {
    // A heading or a checkbox in the table does its own work with these.
    if (event.target !== event.currentTarget && (event.key === 'Enter' || event.key === ' ')) return;
    if (event.nativeEvent.isComposing) return;
    const page = Math.max(1, last - first - 1);
    const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page };
    const step = steps[event.key];
    if (step !== undefined) go(cursor + step, event.shiftKey);
    else if (event.key === 'Home') go(0, event.shiftKey);
    else if (event.key === 'End') go(view.rows.length - 1, event.shiftKey);
    else if (event.key === ' ') toggle(cursor, event.shiftKey);
    else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) onSelect(new Set(view.rows));
    else if (event.key === 'Escape' && selected.size > 0) onSelect(new Set());
    else if (event.key === 'Enter') {
      const line = lineAt(cursor);
      if (line) onOpen(line);
    } else return;
    event.preventDefault();
  };
  const all = view.rows.length > 0 && selected.size >= view.rows.length;
  return (
    <div
      ref={scroller}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolled table is reached and moved in by keys.
      tabIndex={0}
      onKeyDown={pressed}
      aria-label="Phrases, arrow keys move, space selects"
      role="group"
      className="min-h-0 flex-1 overflow-auto outline-offset-[-2px]"
    >
      <div
        role="table"
        aria-label="Phrases"
        aria-rowcount={view.rows.length + 1}
        style={{ minWidth: 200 + shown.length * 100 }}
        className="text-[13px]"
      >
        <div role="rowgroup" className="sticky top-0 z-10 bg-paper">
          <div role="row" style={grid} className="grid items-center gap-x-3 border-b px-2 py-1.5 text-soft">
            <div role="columnheader">
              <Check
                name="Select all shown"
                checked={all}
                onChange={() => onSelect(new Set(all ? [] : view.rows))}
              />
            </div>
            <Heading name="Phrase" sort="phrase" wish={wish} onSort={onSort} />
            {shown.map(({ key, name, sort }) => (
              <Heading key={key} name={name} sort={sort} wish={wish} onSort={onSort} right={RIGHT.has(key)} />
            ))}
          </div>
        </div>
        <div role="rowgroup" style={{ height: items.getTotalSize(), position: 'relative' }}>
          {visible.map(({ index, start }) => {
            const line = lineAt(index);
            const row = view.rows[index];
            return (
              <div
                key={index}
                role="row"
                aria-rowindex={index + 2}
                aria-selected={selected.has(row)}
                style={{ ...grid, height: ROW, transform: `translateY(${start}px)` }}
                className={`absolute inset-x-0 grid items-center gap-x-3 border-b px-2 hover:bg-sheet ${selected.has(row) ? 'bg-sand/40' : ''} ${index === cursor ? 'shadow-[inset_2px_0_0_var(--c-marram)]' : ''}`}
              >
                <div role="cell">
                  <input
                    type="checkbox"
                    aria-label={`Select ${line?.keyword.phrase ?? 'phrase'}`}
                    checked={selected.has(row)}
                    onClick={(event) => {
                      setCursor(index);
                      toggle(index, event.shiftKey);
                    }}
                    readOnly
                    className="accent-marram"
                  />
                </div>
                {line ? (
                  <Cells
                    line={line}
                    shown={shown.map(({ key }) => key)}
                    listsOf={listsOf}
                    onOpen={onOpen}
                    opened={opened}
                  />
                ) : (
                  <div role="cell" className="h-3 w-40 rounded bg-sand/50" />
                )}
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}

function Heading({
  name,
  sort,
  wish,
  onSort,
  right = false,
}: {
  name: string;
  sort: KeywordSort | null;
  wish: KeywordWish;
  onSort: (sort: KeywordSort) => void;
  right?: boolean;
}) {
  const sorted = sort !== null && wish.sort === sort;
  const hint = sort === null ? undefined : HINTS[sort];
  const button = sort !== null && (
    <button
      type="button"
      onClick={() => onSort(sort)}
      className={`hover:text-ink ${sorted ? 'font-semibold text-ink' : ''}`}
    >
      {name}
      {sorted ? (wish.descending ? ' ↓' : ' ↑') : ''}
    </button>
  );
  return (
    <div
      role="columnheader"
      aria-sort={sorted ? (wish.descending ? 'descending' : 'ascending') : 'none'}
      className={right ? 'text-right' : ''}
    >
      {button === false ? name : hint ? <Hint text={hint}>{button}</Hint> : button}
    </div>
  );
}

function Cells({
  line,
  shown,
  listsOf,
  onOpen,
  opened,
}: {
  line: KeywordLine;
  shown: readonly ColumnKey[];
  listsOf: TableProps['listsOf'];
  onOpen: TableProps['onOpen'];
  opened: string | null;
}) {
  const zone = useZone();
  const { keyword, difficulty, given, intent, opportunity, relation } = line;
  const cells: Record<ColumnKey, () => React.ReactNode> = {
    volume: () => countInWords(keyword.volume),
    season: () => (
      <SeasonBars months={keyword.months} width={84} height={18} now={monthIn(zone, new Date())} />
    ),
    difficulty: () => (
      <span title={given ? `Given by ${keyword.source.name}` : undefined}>
        {figureInWords(difficulty)}
        {given && <span className="text-soft"> given</span>}
      </span>
    ),
    intent: () => (
      <>
        {INTENT_NAMES[intent]}
        {keyword.setIntent && <span className="text-soft"> set</span>}
      </>
    ),
    opportunity: () => figureInWords(opportunity),
    lists: () => <span className="text-soft">{listsOf(keyword.phrase).join(', ')}</span>,
    why: () => <span className="text-soft">{relation?.reason ?? ''}</span>,
    source: () => (
      <span className="text-soft">
        {keyword.source.name}, {keyword.source.date}
      </span>
    ),
  };
  return (
    <>
      <div role="cell" className="min-w-0">
        <button
          type="button"
          aria-pressed={opened === keyword.phrase}
          onClick={() => onOpen(line)}
          className={`block max-w-full truncate text-left hover:underline ${opened === keyword.phrase ? 'font-semibold text-marram' : ''}`}
          title={keyword.phrase}
        >
          {keyword.phrase}
        </button>
      </div>
      {shown.map((key) => (
        <div key={key} role="cell" className={`truncate ${RIGHT.has(key) ? 'text-right tabular-nums' : ''}`}>
          {cells[key]()}
        </div>
      ))}
    </>
  );
}
