import { useDraggable } from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import type { PostRow } from '../../../data/post-rows.ts';
import type { IdeaRow } from '../../../data/research-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import { MoveForm } from './move-form.tsx';

/** What has no day yet, to be dragged to one: posts that are being written, and ideas that are kept. */
export function WithoutDay({
  posts,
  ideas,
  today,
  selected,
  onSelect,
  onSchedule,
  onPutPost,
  onPutIdea,
}: {
  posts: readonly PostRow[];
  ideas: readonly IdeaRow[];
  today: string;
  selected: ReadonlySet<string>;
  onSelect: (selected: ReadonlySet<string>) => void;
  /** Gives those that are selected their days, in a row. */
  onSchedule: () => void;
  onPutPost: (post: PostRow, day: string, time: string) => void;
  onPutIdea: (idea: IdeaRow, day: string, time: string) => void;
}) {
  return (
    <aside aria-label="Without a day" className="w-64 shrink-0 overflow-auto border-l px-4 pb-4">
      <h2 className="mb-1 font-semibold">Posts without a day {posts.length}</h2>
      {posts.length === 0 && <p className="text-soft">Every post that is not out has its day.</p>}
      <ul aria-label="Posts without a day">
        {posts.map((post) => {
          const { id, fields } = post;
          const title = fields.title || fields.slug || 'Untitled';
          return (
            <Waiting
              key={id}
              dragId={`row ${id}`}
              data={{ post }}
              title={title}
              line={STATUS_NAMES[fields.status]}
              today={today}
              onPut={(day, time) => onPutPost(post, day, time)}
              check={
                <Check
                  name={`Select ${title}`}
                  checked={selected.has(id)}
                  onChange={(checked) => {
                    const next = new Set(selected);
                    if (checked) next.add(id);
                    else next.delete(id);
                    onSelect(next);
                  }}
                />
              }
            />
          );
        })}
      </ul>
      {selected.size > 0 && (
        <Button className="mt-2" onClick={onSchedule}>
          Schedule {selected.size} in a row
        </Button>
      )}
      <h2 className="mt-5 mb-1 font-semibold">Ideas {ideas.length}</h2>
      {ideas.length === 0 && (
        <p className="text-soft">
          Ideas that you keep stand here. <WordLink to="/ideas">To the ideas</WordLink>
        </p>
      )}
      <ul aria-label="Ideas">
        {ideas.map((idea) => (
          <Waiting
            key={idea.id}
            dragId={`idea ${idea.id}`}
            data={{ idea }}
            title={idea.title}
            line={idea.keyword}
            today={today}
            onPut={(day, time) => onPutIdea(idea, day, time)}
          />
        ))}
      </ul>
    </aside>
  );
}

function Waiting({
  dragId,
  data,
  title,
  line,
  today,
  check,
  onPut,
}: {
  dragId: string;
  data: object;
  title: string;
  line: string;
  today: string;
  check?: ReactNode;
  onPut: (day: string, time: string) => void;
}) {
  const [open, setOpen] = useState(false);
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: dragId, data });
  return (
    <li aria-label={title} className={`border-t py-1.5 ${isDragging ? 'opacity-40' : ''}`}>
      <div className="flex items-start gap-2">
        {check}
        <div ref={setNodeRef} {...listeners} className="min-w-0 flex-1 cursor-grab">
          <p className="break-words">{title}</p>
          <p className="text-[13px] text-soft">{line}</p>
        </div>
      </div>
      <Button look="word" aria-expanded={open} className="text-[13px]" onClick={() => setOpen(!open)}>
        Put on a day
      </Button>
      {open && (
        <div className="mt-1 text-[13px]">
          <MoveForm
            day={today}
            time=""
            hasTime
            onMove={(day, time) => {
              setOpen(false);
              onPut(day, time);
            }}
          />
        </div>
      )}
    </li>
  );
}
