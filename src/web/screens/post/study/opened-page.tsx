import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { attempt } from '../../../state/attempt.ts';
import { dayInWords } from '../../../ui/day.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import type { OpenedPage as Opened } from '../../../workers/study.ts';
import { studyWorker } from '../../../workers/study-client.ts';

/** A page of the study beside the table: its headings as a tree, its text with the terms marked. */
export function OpenedPage({
  studyId,
  address,
  keys,
  onClose,
}: {
  studyId: string;
  address: string;
  keys: readonly string[];
  onClose: () => void;
}) {
  const zone = useZone();
  const [page, setPage] = useState<Opened | null>(null);
  const [part, setPart] = useState<'headings' | 'text'>('headings');
  const wanted = keys.join('\n');
  useEffect(() => {
    let late = false;
    attempt(
      studyWorker()
        .then((worker) => worker.page(studyId, address, wanted ? wanted.split('\n') : []))
        .then((found) => !late && setPage(found)),
    );
    return () => {
      late = true;
    };
  }, [studyId, address, wanted]);
  if (!page) return <Waiting className="m-4 h-60" />;
  const headings = page.blocks.filter(({ kind, level }) => kind === 'heading' && level > 1);
  const top = Math.min(6, ...headings.map(({ level }) => level));
  return (
    <div className="px-4 py-3 text-[13px]">
      <div className="flex items-start gap-2">
        <h3 className="min-w-0 flex-1 font-serif text-[16px] leading-snug font-semibold break-words">
          {page.title}
        </h3>
        <IconButton name="Close the page" icon={X} onClick={onClose} />
      </div>
      <p className="mb-1 break-all text-soft">
        {address}
        {page.date ? ` · ${dayInWords(page.date, zone)}` : ''}
      </p>
      {page.description && <p className="mb-2 text-soft italic">{page.description}</p>}
      <TabSet value={part} onChange={setPart}>
        <TabRow
          label="What of the page"
          tabs={[
            { id: 'headings', name: 'Headings', count: headings.length },
            { id: 'text', name: 'Text' },
          ]}
          className="mb-2 border-b"
        />
        <TabPanel of={part}>
          {part === 'headings' ? (
            headings.length === 0 ? (
              <p className="text-soft">This page has no headings below its title.</p>
            ) : (
              <ul aria-label="Headings of the page">
                {headings.map(({ id, text, level }) => (
                  <li
                    key={id}
                    className="border-t py-1 first:border-t-0"
                    style={{ paddingLeft: (level - top) * 18 }}
                  >
                    <span className="mr-2 text-[11px] text-soft">H{level}</span>
                    {text}
                  </li>
                ))}
              </ul>
            )
          ) : (
            <article
              aria-label="Text of the page"
              className="space-y-2 font-serif text-[15px] leading-relaxed"
            >
              {page.blocks.map((block) => (
                <p
                  key={block.id}
                  className={`${block.kind === 'heading' ? 'pt-2 font-semibold' : ''} ${block.inList ? 'ml-4' : ''}`}
                >
                  <Marked {...block} />
                </p>
              ))}
            </article>
          )}
        </TabPanel>
      </TabSet>
    </div>
  );
}

/** A text with its terms underlined. Where two overlap, the first counts. */
export function Marked({ text, marks }: { text: string; marks: readonly { start: number; end: number }[] }) {
  const parts: React.ReactNode[] = [];
  let from = 0;
  for (const { start, end } of [...marks].sort((a, b) => a.start - b.start || b.end - a.end)) {
    if (start < from) continue;
    parts.push(text.slice(from, start));
    parts.push(
      <mark
        key={start}
        className="bg-transparent text-inherit underline decoration-marram decoration-2 underline-offset-4"
      >
        {text.slice(start, end)}
      </mark>,
    );
    from = end;
  }
  parts.push(text.slice(from));
  return <>{parts}</>;
}
