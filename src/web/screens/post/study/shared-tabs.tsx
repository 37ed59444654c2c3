import { useState } from 'react';
import { COMMON, COVERED } from '../../../../core/criteria/index.ts';
import type { Statement, StudyQuestion, Topic, Unsaid } from '../../../../core/study/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { Earned } from '../../../ui/earned.tsx';
import { countInWords, many } from '../../../ui/figures.ts';

const percent = (share: number) => `${Math.round(share * 100)} %`;
const PLACES: Record<string, string> = {
  suggestion: 'suggested while typing',
  related: 'asked on result pages',
  forum: 'asked in a forum',
  page: 'a heading of a page',
};

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
                <button
                  type="button"
                  aria-expanded={open === topic.name}
                  onClick={() => setOpen(open === topic.name ? '' : topic.name)}
                  className={`text-left hover:underline ${topic.share >= COMMON ? 'font-semibold' : ''}`}
                >
                  {topic.name}
                </button>
                {open === topic.name && (
                  <ul aria-label={`Headings of ${topic.name}`} className="mt-1 text-soft">
                    {topic.sections.map(({ address, heading, publisher, words }) => (
                      <li key={`${address} ${heading}`}>
                        {heading} <span className="italic">{publisher}</span>, {many(words, 'word')}
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
              <input
                type="checkbox"
                aria-label={`Answer ${text}`}
                checked={chosen.includes(text)}
                onChange={(event) => onChoose(text, event.target.checked)}
                className="accent-marram"
              />
            </td>
            <td className="py-1.5">
              <button
                type="button"
                aria-expanded={open === text}
                onClick={() => setOpen(open === text ? '' : text)}
                className="text-left hover:underline"
              >
                {text}
                {wordings.length > 1 && (
                  <span className="text-soft"> and {many(wordings.length - 1, 'wording')} more</span>
                )}
              </button>
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

/** Where a statement comes from, in words. */
const sourceOf = ({ source, link, own, publisher }: Statement): string =>
  link
    ? `it links to ${link}`
    : source
      ? `it names ${source}`
      : own
        ? `${publisher}'s own figure`
        : 'it names no source';

/** A statement with its page, as it is copied. */
export const citation = (statement: Statement): string =>
  `"${statement.text}" (${statement.publisher}, ${statement.address}; ${sourceOf(statement)})`;

/** Sentences with figures that could be cited, with the source that their page names. */
export function StatementsTab({
  statements,
  chosen,
  onChoose,
}: {
  statements: readonly Statement[];
  /** Those that stand in the brief. */
  chosen: readonly Statement[];
  onChoose: (statement: Statement, chosen: boolean) => void;
}) {
  const [all, setAll] = useState(false);
  if (statements.length === 0) return <p className="py-6 text-soft">The pages state no figure.</p>;
  const shown = all ? statements : statements.slice(0, 40);
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        {many(statements.length, 'sentence')} with a figure. Those that ask for a source come first; look at
        the source yourself before you cite it.
      </p>
      <ul aria-label="Figures and statements">
        {shown.map((statement, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two pages may say the same
          <li key={at} className="flex items-start gap-4 border-t py-1.5 text-[13px]">
            <div className="min-w-0 flex-1">
              <p className="font-serif text-[15px] leading-snug">{statement.text}</p>
              <p className="break-words text-soft">
                {statement.publisher}, under "{statement.about}": {sourceOf(statement)}
              </p>
            </div>
            <label className="flex shrink-0 items-center gap-1.5 text-soft">
              <input
                type="checkbox"
                aria-label={`In the brief: ${statement.text.slice(0, 60)}`}
                checked={chosen.some(
                  ({ address, text }) => address === statement.address && text === statement.text,
                )}
                onChange={(event) => onChoose(statement, event.target.checked)}
                className="accent-marram"
              />
              in the brief
            </label>
            <Button
              look="word"
              aria-label={`Copy the statement of ${statement.publisher}: ${statement.text.slice(0, 40)}`}
              onClick={() => void copyText(citation(statement), 'Copied with its source.', 'statement.txt')}
            >
              Copy
            </Button>
          </li>
        ))}
      </ul>
      {!all && statements.length > shown.length && (
        <Button className="mt-2" onClick={() => setAll(true)}>
          Show all {countInWords(statements.length)}
        </Button>
      )}
    </>
  );
}

/** What is asked for and few or none of the pages say. */
export function UnsaidTab({ unsaid }: { unsaid: readonly Unsaid[] }) {
  if (unsaid.length === 0)
    return (
      <p className="py-6 text-soft">
        Nothing that is known to be asked for is missing on the pages. Without a source of figures nothing is
        known.
      </p>
    );
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        Asked or searched for, and said by a tenth of the pages at most. To answer it is to be more useful
        than they are.
      </p>
      <table aria-label="What nobody says" className="w-full text-[13px]">
        <thead className="text-left text-soft">
          <tr>
            <th className="py-1 font-normal">What</th>
            <th className="w-56 font-normal">How it is known</th>
            <th className="w-24 text-right font-normal">Searches</th>
            <th className="w-24 text-right font-normal">Pages</th>
          </tr>
        </thead>
        <tbody>
          {unsaid.map(({ text, kind, demand, volume, pages }) => (
            <tr key={`${kind} ${text}`} className="border-t">
              <td className="py-1.5">
                {text} {kind !== 'phrase' && <span className="text-soft">{kind}</span>}
              </td>
              <td className="py-1.5 text-soft">{demand}</td>
              <td className="py-1.5 text-right tabular-nums">{countInWords(volume)}</td>
              <td className="py-1.5 text-right tabular-nums" title={pages.join('\n')}>
                {pages.length === 0 ? 'none' : pages.length}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
