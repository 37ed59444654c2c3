import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import { Link } from 'react-router';
import { attempt } from '../../state/attempt.ts';
import { type AccountLine, TAKEN_BACK_BUT } from '../../state/import/import-run.ts';
import { stopImport, takeBackImport } from '../../state/import/importer.ts';
import { useAppSelector } from '../../state/store.ts';
import { Button } from '../../ui/button.tsx';
import { WordLink } from '../../ui/word-link.tsx';

const NAMES: Record<AccountLine['outcome'], string> = {
  new: 'new post',
  replaced: 'replaced',
  left: 'left',
  pages: 'pages',
  settings: 'settings',
  refused: 'not read',
};

const ORDER: AccountLine['outcome'][] = ['new', 'replaced', 'left', 'pages', 'refused'];

/** How far an import is, and what became of each file. */
export function Account({ onAgain }: { onAgain: () => void }) {
  const { state, done, total, current, lines } = useAppSelector((root) => root.importRun);
  const count = (outcome: AccountLine['outcome']) => lines.filter((line) => line.outcome === outcome).length;
  const summary = ORDER.flatMap((outcome) => {
    const n = count(outcome);
    if (n === 0) return [];
    if (outcome === 'new') return [`${n} new ${n === 1 ? 'post' : 'posts'}`];
    if (outcome === 'pages') return [`${n} ${n === 1 ? 'list' : 'lists'} of pages`];
    return [`${n} ${NAMES[outcome]}`];
  }).join(', ');
  const takeable =
    (state === 'done' || state === 'stopped') && lines.some((line) => line.outcome !== 'refused');
  const staying = state === 'undone' && lines.some((line) => line.file === TAKEN_BACK_BUT);
  return (
    <section aria-label="Account of the import">
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-y py-3">
        <p role="status" className="mr-auto font-semibold">
          {state === 'running' && `${done.toLocaleString('en')} of ${total.toLocaleString('en')} files`}
          {state === 'done' && (summary || 'Done')}
          {state === 'stopped' &&
            `Stopped after ${done.toLocaleString('en')} of ${total.toLocaleString('en')} files${summary ? `: ${summary}` : ''}`}
          {state === 'undoing' && 'Taking it back...'}
          {state === 'undone' &&
            (staying
              ? `Taken back, but for what was changed since: see the end of the list`
              : 'Taken back: everything is as it was before the import')}
        </p>
        {state === 'running' ? (
          <>
            <progress
              aria-label="Import"
              value={done}
              max={Math.max(1, total)}
              className="h-1.5 w-56 accent-marram"
            />
            <Button onClick={stopImport}>Stop</Button>
          </>
        ) : state === 'undoing' ? null : (
          <>
            {takeable && <Button onClick={() => attempt(takeBackImport())}>Take it all back</Button>}
            <WordLink to="/posts">To your posts</WordLink>
            <Button look="main" onClick={onAgain}>
              Import more
            </Button>
          </>
        )}
      </div>
      {state === 'running' && <p className="mb-2 truncate text-[13px] text-soft">{current}</p>}
      <Lines lines={lines} linked={state !== 'undone' && state !== 'undoing'} />
    </section>
  );
}

function Lines({ lines, linked }: { lines: AccountLine[]; linked: boolean }) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 48,
    overscan: 10,
  });
  return (
    <div ref={scroller} className="max-h-[58vh] overflow-auto">
      {/* biome-ignore lint/a11y/noRedundantRoles: lists without bullets lose their role in some browsers */}
      <ul role="list" style={{ height: rows.getTotalSize(), position: 'relative' }}>
        {rows.getVirtualItems().map(({ index, start, key }) => {
          const { file, outcome, said, notes, postId } = lines[index];
          return (
            <li
              key={key}
              data-index={index}
              ref={rows.measureElement}
              style={{ transform: `translateY(${start}px)` }}
              className="absolute inset-x-0 grid grid-cols-[minmax(120px,1fr)_76px_minmax(0,2.4fr)] gap-x-4 border-b py-2 text-[13px]"
            >
              <span className="truncate font-semibold" title={file} dir="auto">
                {file}
              </span>
              <span className={outcome === 'refused' ? 'font-semibold text-rust' : 'text-soft'}>
                {NAMES[outcome]}
              </span>
              <span className="min-w-0 break-words">
                {linked && postId ? (
                  <Link to={`/posts/${postId}/write`} className="hover:text-sea hover:underline">
                    {said}
                  </Link>
                ) : (
                  said
                )}
                {notes.map((note) => (
                  <span key={note} className="block text-soft">
                    {note}
                  </span>
                ))}
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
