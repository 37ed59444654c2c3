import { useEffect, useState } from 'react';
import { attempt } from '../../state/attempt.ts';
import { None } from '../../ui/empty.tsx';
import { counted, countInWords } from '../../ui/figures.ts';
import { Opening } from '../../ui/opening.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import type { DeskView, FoundLine } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** Pages that are found for the phrases in view; each opens to its phrases. */
export function FoundTab({
  siteId,
  view,
  onSelect,
}: {
  siteId: string;
  view: DeskView;
  onSelect: (rows: ReadonlySet<number>) => void;
}) {
  const [pages, setPages] = useState<FoundLine[] | null>(null);
  const [open, setOpen] = useState('');
  useEffect(() => {
    let late = false;
    setPages(null);
    attempt(
      researchWorker()
        .then((worker) => worker.found(siteId, view.rows))
        .then((found) => !late && setPages(found)),
    );
    return () => {
      late = true;
    };
  }, [siteId, view]);
  if (!pages) return <Waiting className="mx-6 my-4 h-40" />;
  if (pages.length === 0)
    return (
      <None>
        No pages are known for these phrases. Search for one of them: what is found for it comes along.
      </None>
    );
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 pb-4 text-[13px]">
      <p className="py-2 text-soft">
        {counted(pages.length, 'page')} found among the first twenty of these phrases, those first that
        searchers are likely to open most: searches times the share of clicks at each rank.
      </p>
      <ul aria-label="Pages found">
        {pages.slice(0, 300).map(({ page, phrases, clicks }) => (
          <li key={page.address} className="border-t py-1.5">
            <div className="grid grid-cols-[1fr_auto_110px] items-baseline gap-x-4">
              <Opening
                open={open === page.address}
                onToggle={() => setOpen(open === page.address ? '' : page.address)}
              >
                <span className="block truncate">{page.title}</span>
                <span className="block truncate text-soft">
                  {page.publisher}, {page.kind} · standing {page.standing} ·{' '}
                  {page.address.replace(/^https:\/\//, '')}
                </span>
              </Opening>
              <span className="text-soft">{counted(phrases.length, 'phrase')}</span>
              <span
                className="text-right tabular-nums"
                title="Clicks a month by its ranks and the click curve in House rules"
              >
                {countInWords(Math.round(clicks))} clicks
              </span>
            </div>
            {open === page.address && (
              <>
                <ul className="my-1 columns-2 gap-8 text-soft" aria-label={`Phrases of ${page.title}`}>
                  {phrases.slice(0, 200).map(({ row, phrase, rank, volume: searches }) => (
                    <li key={row}>
                      {rank}. {phrase} <span className="tabular-nums">{countInWords(searches)}</span>
                    </li>
                  ))}
                </ul>
                <button
                  type="button"
                  onClick={() => onSelect(new Set(phrases.map(({ row }) => row)))}
                  className="text-marram hover:underline"
                >
                  Select these phrases
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
