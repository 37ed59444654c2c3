import { useState } from 'react';
import { COMMON, COVERED } from '../../../../core/criteria/index.ts';
import type { Topic } from '../../../../core/study/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Earned } from '../../../ui/earned.tsx';
import { counted, countInWords, percent } from '../../../ui/figures.ts';
import { Opening } from '../../../ui/opening.tsx';

/** Sections that several pages have, each with its headings as written, and whether the draft covers it. */
export function TopicsTab({ topics }: { topics: readonly Topic[] }) {
  const covers = useAppSelector((state) => state.openPost.coverage?.topics);
  const [open, setOpen] = useState('');
  if (topics.length === 0)
    return <p className="py-6 text-soft">No two pages have a section about the same. Take more pages in.</p>;
  return (
    <table aria-label="Topics" className="w-full text-[13px]">
      <thead className="text-left text-soft">
        <tr>
          <th className="py-1 font-normal">Topic</th>
          <th className="w-24 text-right font-normal" title="Share of the pages that have a section about it">
            Pages
          </th>
          <th
            className="w-28 text-right font-normal"
            title="Where it begins, from the top of a page to its end"
          >
            Begins at
          </th>
          <th className="w-20 text-right font-normal">Words</th>
          <th className="w-24 text-right font-normal">Your draft</th>
        </tr>
      </thead>
      <tbody>
        {topics.map((topic) => {
          const cover = covers?.[topic.name] ?? 0;
          return (
            <tr key={topic.name} className="border-t align-top">
              <td className="py-1.5">
                <Opening
                  open={open === topic.name}
                  onToggle={() => setOpen(open === topic.name ? '' : topic.name)}
                  className={`${topic.share >= COMMON ? 'font-semibold' : ''}`}
                >
                  {topic.name}
                </Opening>
                {open === topic.name && (
                  <ul aria-label={`Headings of ${topic.name}`} className="mt-1 text-soft">
                    {topic.sections.map(({ address, heading, publisher, words }) => (
                      <li key={`${address} ${heading}`}>
                        {heading} <span className="italic">{publisher}</span>, {counted(words, 'word')}
                      </li>
                    ))}
                  </ul>
                )}
              </td>
              <td className="py-1.5 text-right tabular-nums">
                {topic.pages.length} <span className="text-soft">{percent(topic.share)}</span>
              </td>
              <td className="py-1.5 text-right tabular-nums">{percent(topic.position)}</td>
              <td className="py-1.5 text-right tabular-nums">{countInWords(topic.words)}</td>
              <td className="py-1.5">
                <span
                  className="flex items-center justify-end gap-1.5"
                  title="The share of the words by which the topic is known that one of your sections holds"
                >
                  {cover >= COVERED ? 'covered' : <span className="text-soft">not yet</span>}
                  <Earned share={Math.min(1, cover / COVERED)} />
                </span>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
