import { useState } from 'react';
import type { StudyQuestion } from '../../../../core/study/index.ts';
import { Check } from '../../../ui/check-field.tsx';
import { counted, countInWords, percent } from '../../../ui/figures.ts';
import { Opening } from '../../../ui/opening.tsx';

const PLACES: Record<string, string> = {
  suggestion: 'suggested while typing',
  related: 'asked on result pages',
  forum: 'asked in a forum',
  page: 'a heading of a page',
};

/** Questions grouped by what they ask, with where they are asked and how many pages answer. */
export function QuestionsTab({
  questions,
  chosen,
  onChoose,
}: {
  questions: readonly StudyQuestion[];
  /** Questions that the post is to answer. */
  chosen: readonly string[];
  onChoose: (text: string, chosen: boolean) => void;
}) {
  const [open, setOpen] = useState('');
  if (questions.length === 0)
    return (
      <p className="py-6 text-soft">
        No question is known: no source has one, and no page asks one in a heading.
      </p>
    );
  return (
    <table aria-label="Questions" className="w-full text-[13px]">
      <thead className="text-left text-soft">
        <tr>
          <th className="w-16 py-1 font-normal" title="Ticked: the post is to answer it">
            Answer
          </th>
          <th className="font-normal">Question</th>
          <th className="w-24 text-right font-normal">Searches</th>
          <th className="w-28 text-right font-normal">Pages answer</th>
        </tr>
      </thead>
      <tbody>
        {questions.map(({ text, volume, wordings, pages, share }) => (
          <tr key={text} className="border-t align-top">
            <td className="py-1.5">
              <Check
                name={`Answer ${text}`}
                checked={chosen.includes(text)}
                onChange={(checked) => onChoose(text, checked)}
              />
            </td>
            <td className="py-1.5">
              <Opening open={open === text} onToggle={() => setOpen(open === text ? '' : text)}>
                {text}
                {wordings.length > 1 && (
                  <span className="text-soft"> and {counted(wordings.length - 1, 'wording')} more</span>
                )}
              </Opening>
              {open === text && (
                <ul aria-label={`Wordings of ${text}`} className="mt-1 text-soft">
                  {wordings.map((asked) => (
                    <li key={`${asked.text} ${asked.place} ${asked.address ?? ''}`}>
                      {asked.text}{' '}
                      <span className="italic">
                        {PLACES[asked.place]}
                        {asked.address ? `, ${asked.address.replace(/^https?:\/\//, '')}` : ''}
                      </span>
                    </li>
                  ))}
                </ul>
              )}
            </td>
            <td className="py-1.5 text-right tabular-nums">{countInWords(volume)}</td>
            <td className="py-1.5 text-right tabular-nums">
              {pages.length} <span className="text-soft">{percent(share)}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
