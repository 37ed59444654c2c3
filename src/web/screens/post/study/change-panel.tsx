import { useEffect, useState } from 'react';
import type { StudyChange } from '../../../../core/study/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { useZone } from '../../../ui/zone.ts';
import { studyWorker } from '../../../workers/study-client.ts';

const named = (names: readonly string[]) =>
  names.length > 6 ? `${names.slice(0, 6).join(', ')} and ${names.length - 6} more` : names.join(', ');

/** What changed since the study before this one. */
export function ChangePanel({ studyId, stamp }: { studyId: string; stamp: string }) {
  const zone = useZone();
  const [found, setFound] = useState<{ made: string; change: StudyChange } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the stamp tells that other pages are taken in.
  useEffect(() => {
    let late = false;
    attempt(
      studyWorker()
        .then((worker) => worker.change(studyId))
        .then((change) => !late && setFound(change)),
    );
    return () => {
      late = true;
    };
  }, [studyId, stamp]);
  if (!found) return null;
  const { pagesIn, pagesOut, termsIn, termsOut, termsMoved, bands } = found.change;
  const same = [pagesIn, pagesOut, termsIn, termsOut, termsMoved, bands].every((list) => list.length === 0);
  return (
    <section
      aria-label="Since the study before"
      className="mb-4 rounded-md border bg-sheet px-4 py-2.5 text-[13px]"
    >
      <h3 className="font-semibold">Since the study of {dayInWords(found.made, zone)}</h3>
      {same ? (
        <p className="text-soft">Nothing changed: the same pages say the same.</p>
      ) : (
        <ul>
          {pagesIn.length > 0 && (
            <li>
              {counted(pagesIn.length, 'page')} in: {named(pagesIn)}
            </li>
          )}
          {pagesOut.length > 0 && (
            <li>
              {counted(pagesOut.length, 'page')} out: {named(pagesOut)}
            </li>
          )}
          {termsIn.length > 0 && <li>New terms: {named(termsIn.map(({ form }) => form))}</li>}
          {termsOut.length > 0 && <li>Terms gone: {named(termsOut.map(({ form }) => form))}</li>}
          {termsMoved.length > 0 && (
            <li>Moved: {named(termsMoved.map(({ form, to }) => `${form}, now ${to}`))}</li>
          )}
          {bands.length > 0 && (
            <li>
              Middle of the pages:{' '}
              {bands
                .map(({ figure, from, to }) => `${figure} ${Math.round(from)} → ${Math.round(to)}`)
                .join(', ')}
            </li>
          )}
        </ul>
      )}
    </section>
  );
}
