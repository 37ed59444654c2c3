import { useState } from 'react';
import { type Asked, readQuestionList, type StudyQuestion } from '../../../../core/study/index.ts';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { TextField } from '../../../ui/field.tsx';
import { counted, countInWords, percent } from '../../../ui/figures.ts';
import { Opening } from '../../../ui/opening.tsx';

const PLACES: Record<string, string> = {
  suggestion: 'suggested while typing',
  related: 'asked on result pages',
  forum: 'asked in a forum',
  page: 'a heading of a page',
  own: 'on your own list',
};

/** Questions grouped by what they ask, with where they are asked and how many pages answer. */
export function QuestionsTab({
  questions,
  chosen,
  onChoose,
  onAdd,
}: {
  questions: readonly StudyQuestion[];
  /** Questions that the post is to answer. */
  chosen: readonly string[];
  onChoose: (text: string, chosen: boolean) => void;
  /** Takes questions of the writer's own into the study. */
  onAdd: (asked: Asked[]) => void;
}) {
  const [open, setOpen] = useState('');
  const own = <OwnQuestions onAdd={onAdd} />;
  if (questions.length === 0)
    return (
      <>
        <p className="py-6 text-soft">
          No question is known: no source has one, and no page asks one in a heading.
        </p>
        {own}
      </>
    );
  return (
    <>
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
                          {asked.where ?? PLACES[asked.place]}
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
      {own}
    </>
  );
}

/** Questions that the writer met elsewhere: from customers, from a search console, from a talk. */
function OwnQuestions({ onAdd }: { onAdd: (asked: Asked[]) => void }) {
  const [text, setText] = useState('');
  const asked = readQuestionList(text);
  return (
    <section aria-label="Questions of your own" className="mt-5 max-w-[640px] border-t pt-4">
      <TextField
        label="Questions of your own"
        rows={3}
        value={text}
        onChange={setText}
        placeholder={'One a line; after a bar where you met it:\nHow long do they last? | a customer'}
      />
      <Button
        className="mt-2"
        disabled={asked.length === 0}
        onClick={() => {
          onAdd(asked);
          setText('');
        }}
      >
        Add {asked.length > 0 ? counted(asked.length, 'question') : 'questions'}
      </Button>
    </section>
  );
}
