import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { isForReaders } from '../../../../core/site/index.ts';
import { database } from '../../../data/database.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Choice } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/field.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';

type LetterParts = NonNullable<ReuseRow['letter']>;

/** What stands around the posts of a newsletter, and which posts are in it, in which order. */
export function LetterFields({
  row,
  letter,
  onLetter,
  onAdd,
  onMove,
  onDrop,
}: {
  row: ReuseRow;
  letter: LetterParts;
  onLetter: (change: Partial<LetterParts>) => void;
  onAdd: (postId: string) => void;
  onMove: (at: number, by: number) => void;
  onDrop: (at: number) => void;
}) {
  const [adding, setAdding] = useState('');
  const posts =
    useLiveQuery(async () => {
      const rows = await database().posts.where('siteId').equals(row.siteId).toArray();
      return rows
        .filter(({ deleted, fields }) => deleted === '' && isForReaders(fields.status))
        .sort((a, b) => (a.fields.date < b.fields.date ? 1 : -1));
    }, [row.siteId]) ?? [];
  const free = posts.filter(({ id }) => !letter.posts.includes(id));
  return (
    <section aria-label="The letter" className="mb-4 space-y-3">
      <TextField
        label="Subject"
        value={letter.subject}
        stored
        onChange={(subject) => onLetter({ subject })}
      />
      <TextField
        label="Opening line"
        value={letter.opening}
        rows={2}
        stored
        onChange={(opening) => onLetter({ opening })}
      />
      <div>
        <h3 className="mb-1 font-semibold">Posts, in order</h3>
        <ol aria-label="Posts of the letter" className="text-[13px]">
          {row.parts.map(({ head }, at) => (
            <li
              key={letter.posts[at] ?? head}
              className="flex items-center gap-2 border-t py-1 first:border-t-0"
            >
              <span className="min-w-0 flex-1 truncate">{head}</span>
              <IconButton
                icon={ArrowUp}
                name={`Earlier: ${head}`}
                disabled={at === 0}
                onClick={() => onMove(at, -1)}
              />
              <IconButton
                icon={ArrowDown}
                name={`Later: ${head}`}
                disabled={at === row.parts.length - 1}
                onClick={() => onMove(at, 1)}
              />
              <IconButton
                icon={X}
                name={`Leave out: ${head}`}
                disabled={row.parts.length === 1}
                onClick={() => onDrop(at)}
              />
            </li>
          ))}
        </ol>
        {free.length > 0 && (
          <Choice
            aria-label="Add a post to the letter"
            value={adding}
            onChange={(id) => {
              setAdding('');
              if (id) onAdd(id);
            }}
            options={[
              { value: '', name: 'Add a post…' },
              ...free.map(({ id, fields }) => ({ value: id, name: fields.title })),
            ]}
            className="mt-1 w-full px-2 py-1"
          />
        )}
      </div>
      <TextField
        label="Closing line"
        value={letter.closing}
        rows={2}
        stored
        onChange={(closing) => onLetter({ closing })}
      />
    </section>
  );
}
