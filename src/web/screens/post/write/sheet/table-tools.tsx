import type { Editor } from '@tiptap/core';
import { focusedChain } from './focused-chain.ts';

/** What can be done to the table in hand. */
export function TableTools({ editor }: { editor: Editor }) {
  const run = () => focusedChain(editor);
  const tools: [name: string, act: () => void][] = [
    ['Row above', () => run().addRowBefore().run()],
    ['Row below', () => run().addRowAfter().run()],
    ['Delete row', () => run().deleteRow().run()],
    ['Column left', () => run().addColumnBefore().run()],
    ['Column right', () => run().addColumnAfter().run()],
    ['Delete column', () => run().deleteColumn().run()],
    ['Heading row', () => run().toggleHeaderRow().run()],
    ['Merge or split', () => run().mergeOrSplit().run()],
    ['Delete table', () => run().deleteTable().run()],
  ];
  return (
    <div
      role="toolbar"
      aria-label="Table"
      className="flex w-full flex-wrap gap-x-1 border-t pt-1 text-[13px]"
    >
      {tools.map(([name, act]) => (
        <button
          key={name}
          type="button"
          onClick={act}
          className="rounded px-1.5 py-0.5 text-soft hover:bg-paper hover:text-ink"
        >
          {name}
        </button>
      ))}
    </div>
  );
}
