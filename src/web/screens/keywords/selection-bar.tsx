import { useState } from 'react';
import { addToList } from '../../data/lists.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { AddForm } from '../../ui/add-form.tsx';
import { Button } from '../../ui/button.tsx';
import { counted } from '../../ui/figures.ts';
import { PanelButton } from '../../ui/panel-button.tsx';

/** What can be done with selected phrases: onto a list in one stroke, or out as CSV. */
export function SelectionBar({
  siteId,
  region,
  phrases,
  count,
  lists,
  onCopy,
  onDownload,
}: {
  siteId: string;
  region: string;
  /** Called when it is needed: there may be a hundred thousand. */
  phrases: () => Promise<string[]>;
  count: number;
  lists: readonly ListRow[];
  onCopy: () => void;
  onDownload: () => void;
}) {
  const [open, setOpen] = useState(false);
  const add = async (to: { id: string } | { name: string; region: string }) => {
    setOpen(false);
    const { list, added, undo } = await addToList(siteId, to, await phrases(), new Date().toISOString());
    offerUndo(
      `${counted(added, 'phrase')} added to "${list.name}"${added < count ? `; ${count - added} stood on it` : ''}`,
      () => undo(),
      10_000,
    );
  };
  return (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Selection">
      <PanelButton
        label="Add to list"
        look="main"
        disabled={count === 0}
        align="start"
        panel="w-72"
        open={open}
        onOpenChange={setOpen}
      >
        <AddForm
          label="Name of a new list"
          placeholder="New list"
          action="Make"
          className="mb-2"
          onAdd={(name) => attempt(add({ name, region }))}
        />
        <ul className="max-h-64 overflow-auto text-[13px]" aria-label="Lists">
          {lists.map((list) => (
            <li key={list.id} className="border-t">
              <button
                type="button"
                onClick={() => attempt(add({ id: list.id }))}
                className="flex w-full items-baseline gap-2 py-1.5 text-left hover:text-marram"
              >
                <span className="min-w-0 flex-1 truncate">{list.name}</span>
                <span className="text-soft">{list.phrases.length}</span>
              </button>
            </li>
          ))}
        </ul>
      </PanelButton>
      <Button onClick={onCopy} disabled={count === 0}>
        Copy as CSV
      </Button>
      <Button onClick={onDownload} disabled={count === 0}>
        Save as CSV
      </Button>
    </div>
  );
}
