import { Pin, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { termBand } from '../../../../core/criteria/index.ts';
import { noChoices, type Term, type TermChoices, type TermExample } from '../../../../core/study/index.ts';
import type { RowBack } from '../../../data/change-row.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { Button } from '../../../ui/button.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { counted, countInWords } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { studyWorker } from '../../../workers/study-client.ts';
import { Marked } from './opened-page.tsx';

const GROUPS = [
  ['staple', 'Staple terms', 'on at least half of the pages'],
  ['supporting', 'Supporting terms', 'on at least a fifth of the pages'],
  ['heading', 'Heading terms', 'in the headings of at least a fifth of the pages'],
] as const;

/** Terms of the subject by group: how many pages use each, how often, and how often the draft does. */
export function TermsTab({
  study,
  terms,
  pages,
  choices,
  length,
  chosen,
  onChoose,
  onChoices,
}: {
  /** The study's id. */
  study: string;
  terms: readonly Term[];
  /** Pages taken in. */
  pages: number;
  choices: TermChoices;
  /** Words that bands are scaled to. */
  length: number;
  /** Key of the term whose examples are shown. */
  chosen: string;
  onChoose: (key: string) => void;
  onChoices: (change: (known: TermChoices) => Partial<TermChoices>) => Promise<RowBack>;
}) {
  const uses = useAppSelector((state) => state.openPost.coverage?.uses);
  const change = (next: (known: TermChoices) => Partial<TermChoices>, said: string) =>
    attempt(onChoices(next).then((back) => offerUndo(said, back, 8000)));
  const add = async (typed: string) => {
    const form = typed.replace(/\s+/g, ' ');
    const key = await (await studyWorker()).keyOf(study, form);
    if (!key) {
      toast('Type a word that names something: of this nothing could be counted.');
      return false;
    }
    change(
      ({ dropped, added }) => ({
        dropped: dropped.filter((each) => each !== key),
        added: [...added.filter((each) => each.key !== key), { key, form }],
      }),
      `"${form}" added.`,
    );
    return true;
  };
  const adding = (typed: string) => {
    const work = add(typed);
    attempt(work, 'The term could not be added');
    return work;
  };
  const drop = ({ key, form }: Term) =>
    change(
      ({ pinned, added, dropped }) => ({
        pinned: pinned.filter((each) => each !== key),
        added: added.filter((each) => each.key !== key),
        dropped: [...dropped, key],
      }),
      `"${form}" dropped.`,
    );
  const pin = ({ key, form, chosen: isPinned }: Term) =>
    isPinned
      ? change(
          ({ pinned, added }) => ({
            pinned: pinned.filter((each) => each !== key),
            added: added.filter((each) => each.key !== key),
          }),
          `"${form}" is no longer pinned.`,
        )
      : change(({ pinned }) => ({ pinned: [...pinned, key] }), `"${form}" pinned.`);
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <AddForm label="Term to add" placeholder="Add a term" onAdd={adding} small className="w-64" />
        {choices.dropped.length > 0 && (
          <Button
            look="word"
            onClick={() => change(() => ({ dropped: noChoices().dropped }), 'Dropped terms are back.')}
          >
            Bring back {counted(choices.dropped.length, 'dropped term')}
          </Button>
        )}
        <p className="ml-auto text-[13px] text-soft">
          Uses are those in a text of {countInWords(length)} words.
        </p>
      </div>
      {GROUPS.map(([group, name, meaning]) => {
        const own = terms.filter((term) => (group === 'heading' ? term.heading : term.group === group));
        if (own.length === 0) return null;
        return (
          <section key={group} aria-label={name} className="mb-5">
            <div className="mb-1 flex items-baseline gap-3">
              <h3 className="font-semibold">
                {name} {own.length}
              </h3>
              <span className="text-[13px] text-soft">{meaning}</span>
              <Button
                look="word"
                className="ml-auto text-[13px]"
                aria-label={`Copy ${name.toLowerCase()}`}
                onClick={() =>
                  attempt(
                    copyText(
                      own.map(({ form }) => form).join('\n'),
                      `${counted(own.length, 'term')} copied.`,
                      'terms.txt',
                    ),
                  )
                }
              >
                Copy
              </Button>
            </div>
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-x-6">
              {own.map((term) => {
                const band = term.band ? termBand(term.band, length) : null;
                const here = uses?.[term.key] ?? 0;
                return (
                  <li key={term.key} className="group flex items-center gap-2 border-t py-1 text-[13px]">
                    <button
                      type="button"
                      aria-pressed={chosen === term.key}
                      onClick={() => onChoose(chosen === term.key ? '' : term.key)}
                      className={`min-w-0 flex-1 truncate text-left hover:underline ${chosen === term.key ? 'font-semibold' : ''}`}
                      title={term.form}
                    >
                      {term.form}
                    </button>
                    <span
                      className="text-soft tabular-nums"
                      title={`${term.pages.length} of ${pages} pages use it`}
                    >
                      {term.pages.length}/{pages}
                    </span>
                    <span
                      className={`w-20 text-right tabular-nums ${band && here >= band.from ? 'text-marram' : 'text-soft'}`}
                      title={
                        band
                          ? `Here ${here} times; the pages ${band.from} to ${band.to} times`
                          : 'No page uses it'
                      }
                    >
                      {here} of {band ? (band.from === band.to ? band.from : `${band.from}–${band.to}`) : '1'}
                    </span>
                    <IconButton
                      name={`Pin ${term.form}`}
                      icon={Pin}
                      size={13}
                      hint={
                        term.chosen ? 'Pinned: press to let it go' : 'Pin: keep it whatever the pages say'
                      }
                      aria-pressed={term.chosen}
                      onClick={() => pin(term)}
                    />
                    <IconButton
                      name={`Drop ${term.form}`}
                      icon={X}
                      size={13}
                      hint="Drop it"
                      onClick={() => drop(term)}
                    />
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

/** A term in use: sentences of the pages, and on which pages it stands how often. */
export function TermPanel({ studyId, term, stamp }: { studyId: string; term: Term; stamp: string }) {
  const [examples, setExamples] = useState<TermExample[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the stamp tells that other pages are taken in.
  useEffect(() => {
    let late = false;
    attempt(
      studyWorker()
        .then((worker) => worker.examples(studyId, term.key))
        .then((found) => !late && setExamples(found)),
    );
    return () => {
      late = true;
    };
  }, [studyId, term.key, stamp]);
  return (
    <div className="px-4 py-3 text-[13px]">
      <h3 className="mb-1 font-semibold">"{term.form}" in use</h3>
      {!examples ? (
        <Waiting className="h-40" />
      ) : examples.length === 0 ? (
        <p className="text-soft">None of the pages taken in uses it in a sentence.</p>
      ) : (
        <ul aria-label="Examples" className="space-y-2.5">
          {examples.map(({ address, publisher, text, start, end }, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: one page may say the same twice
            <li key={at} className="border-t pt-1.5">
              <p className="font-serif text-[15px] leading-snug">
                <Marked text={text} marks={[{ start, end }]} />
              </p>
              <p className="text-soft" title={address}>
                {publisher}
              </p>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
