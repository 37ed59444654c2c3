import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { asQuestion } from '../../../../core/outline/index.ts';
import type { Study } from '../../../../core/study/index.ts';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { DraggableItem } from '../../../ui/draggable-row.tsx';
import { counted } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';

/** Something that can be pulled into a plan. */
export interface TrayItem {
  id: string;
  text: string;
  /** Where it comes from, as a note. */
  note: string;
  /** In a few words beside it. */
  said: string;
}

const KINDS = ['topics', 'questions', 'headings', 'figures'] as const;
type Kind = (typeof KINDS)[number];
const NAMES: Record<Kind, string> = {
  topics: 'Topics',
  questions: 'Questions',
  headings: 'Headings',
  figures: 'Figures',
};
const MAX_ITEMS = 80;

/** What a study offers to a plan, by kind. */
export function trayItems(study: Study): Record<Kind, TrayItem[]> {
  const item = (kind: Kind, at: number, text: string, note: string, said: string): TrayItem => ({
    id: `tray ${kind} ${at}`,
    text,
    note,
    said,
  });
  const headings = new Map<string, string[]>();
  for (const { sections } of study.topics)
    for (const { heading, publisher } of sections)
      headings.set(heading, [...(headings.get(heading) ?? []), publisher]);
  return {
    topics: study.topics.map(({ name, pages, share }, at) =>
      item(
        'topics',
        at,
        name,
        `From the study: ${counted(pages.length, 'page')} ${pages.length === 1 ? 'has' : 'have'} it`,
        `${Math.round(share * 100)} %`,
      ),
    ),
    questions: study.questions.map(({ text, pages, volume }, at) =>
      item(
        'questions',
        at,
        asQuestion(text),
        `From a question: ${pages.length === 0 ? 'no page answers it' : `${counted(pages.length, 'page')} answer it`}`,
        volume === null ? '' : `${volume} searches`,
      ),
    ),
    headings: [...headings]
      .slice(0, MAX_ITEMS)
      .map(([text, publishers], at) =>
        item(
          'headings',
          at,
          text,
          `From a page: heading of ${[...new Set(publishers)].join(', ')}`,
          publishers[0],
        ),
      ),
    figures: study.statements
      .slice(0, MAX_ITEMS)
      .map(({ text, about, publisher, address }, at) =>
        item('figures', at, about, `${text}\nFrom a page: ${publisher}, ${address}`, text),
      ),
  };
}

/** The tray: what can be pulled in, one by one or several at once, by drag or by a key. */
export function Tray({
  items,
  onPlace,
}: {
  items: Record<Kind, TrayItem[]>;
  onPlace: (items: TrayItem[]) => void;
}) {
  const [kind, setKind] = useState<Kind>('topics');
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const found = useMemo(() => {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    return items[kind].filter(({ text, said }) =>
      words.every((word) => `${text} ${said}`.toLowerCase().includes(word)),
    );
  }, [items, kind, typed]);
  const selected = KINDS.flatMap((name) => items[name].filter(({ id }) => chosen.has(id)));
  const place = (placed: TrayItem[]) => {
    onPlace(placed);
    setChosen(new Set());
  };
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        {KINDS.map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={kind === name}
            onClick={() => setKind(name)}
            className={kind === name ? 'font-semibold text-marram' : 'text-soft hover:text-ink'}
          >
            {NAMES[name]} {items[name].length}
          </button>
        ))}
      </div>
      <div className="mb-1 flex gap-2">
        <input
          type="search"
          aria-label="Search what can be pulled in"
          value={typed}
          placeholder="Search"
          onChange={(event) => setTyped(event.target.value)}
          className="min-w-0 flex-1 rounded-md border px-2 py-0.5"
        />
        <Button disabled={selected.length === 0} onClick={() => place(selected)}>
          Place {selected.length || ''}
        </Button>
      </div>
      <ul aria-label="What can be pulled in">
        {found.map((item) => (
          <DraggableItem key={item.id} id={item.id} name={item.text}>
            <Check
              name={`Select ${item.text}`}
              checked={chosen.has(item.id)}
              onChange={() => {
                const next = new Set(chosen);
                if (!next.delete(item.id)) next.add(item.id);
                setChosen(next);
              }}
              className="mt-1"
            />
            <span className="min-w-0 flex-1 break-words">
              {kind === 'figures' ? item.said : item.text}
              <span className="block text-soft">{kind === 'figures' ? `for "${item.text}"` : item.said}</span>
            </span>
            <IconButton
              name={`Place ${item.text}`}
              icon={Plus}
              hint="Place it below the heading in hand, or at the end"
              onClick={() => place([item])}
              className="shrink-0 text-marram!"
            />
          </DraggableItem>
        ))}
      </ul>
    </div>
  );
}
