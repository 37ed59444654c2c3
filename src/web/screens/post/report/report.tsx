import { Printer } from 'lucide-react';
import { GROUPS, notesOf, wholeProfile } from '../../../../core/criteria/index.ts';
import {
  cutToWidth,
  DESCRIPTION_SIZE,
  effectiveMetaTitle,
  postPath,
  TITLE_SIZE,
} from '../../../../core/listing/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { Earned, ToWin } from '../../../ui/earned.tsx';
import { GROUP_NAMES, Ridge } from '../../../ui/ridge.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import { usePost } from '../frame/post-context.ts';

/** Characters of a place that are quoted. */
const QUOTED = 140;

/** A post's report as a clean page: for paper, for a PDF, for somebody who was not there. */
export function Report() {
  const zone = useZone();
  const { site } = usePost();
  const { fields, report, words, savedAt } = useAppSelector((state) => state.openPost);
  if (!report) return <Waiting className="m-8 h-56" />;
  const limits = wholeProfile(site.profile).limits;
  const title = effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name);
  const host = site.baseAddress.replace(/^https?:\/\//, '').replace(/\/$/, '');
  const notes = notesOf(report.criteria);
  return (
    <main className="h-full overflow-auto print:h-auto print:overflow-visible">
      <article aria-label="Report" className="mx-auto max-w-3xl px-8 py-7 print:p-0">
        <Button className="float-right print:hidden" onClick={() => print()}>
          <Printer size={15} aria-hidden />
          Print or save as PDF
        </Button>
        <h2 className="font-serif text-[26px] leading-tight font-semibold">{fields.title || 'Untitled'}</h2>
        <p className="mb-5 text-soft">
          {site.name}
          {fields.keyword && `, for “${fields.keyword}”`}, {words.toLocaleString('en')} words, changed{' '}
          {dayInWords(savedAt, zone)}
        </p>
        <section aria-label="Score by group" className="mb-6 flex flex-wrap items-end gap-7">
          <p>
            <span className="text-[52px] leading-none font-semibold">{report.score.toFixed(1)}</span>
            <span className="block text-soft">of 100</span>
          </p>
          <div className="max-w-full overflow-x-auto">
            <Ridge groups={report.groups} width={540} height={88} names />
          </div>
        </section>
        <section aria-label="Listing preview" className="mb-6 border-y py-3 font-listing">
          <p className="text-[14px] text-soft">
            {host}
            {postPath(site, fields) ?? ''}
          </p>
          <p className="text-[20px]">
            {cutToWidth(title, TITLE_SIZE, limits.metaTitlePixels[2] ?? 580).shown}
          </p>
          <p className="text-[14px]">
            {cutToWidth(fields.metaDescription, DESCRIPTION_SIZE, limits.metaDescriptionPixels[2] ?? 920)
              .shown || 'No meta description is written.'}
          </p>
        </section>
        <section aria-label="To mend" className="mb-6">
          <h3 className="mb-1 font-serif text-xl font-semibold">To mend, most points first</h3>
          {notes.length === 0 && <p>Nothing is left to win.</p>}
          <ol>
            {notes.map(({ id, advice, points, available, evidence: [first] }) => (
              <li key={id} className="flex break-inside-avoid items-baseline gap-3 border-b py-1.5">
                <Earned share={points / available} />
                <span className="min-w-0 flex-1 break-words">
                  {advice}
                  {first && first.quote.trim() !== '' && (
                    <span className="block text-[13px] text-soft">
                      “{first.quote.slice(0, QUOTED)}
                      {first.quote.length > QUOTED ? '…' : ''}”
                    </span>
                  )}
                </span>
                <ToWin points={available - points} />
              </li>
            ))}
          </ol>
        </section>
        <section aria-label="All criteria" className="gap-8 text-[13px] sm:columns-2">
          {GROUPS.map((group) => (
            <div key={group} className="mb-4 break-inside-avoid">
              <h3 className="mb-1 font-semibold">{GROUP_NAMES[group]}</h3>
              <ul>
                {report.criteria
                  .filter((line) => line.group === group)
                  .map(({ id, title: name, applies, points, available }) => (
                    <li key={id} className="flex justify-between gap-3 border-t py-0.5">
                      {name}
                      <span className="whitespace-nowrap text-soft">
                        {applies ? `${points.toFixed(1)} of ${available.toFixed(1)}` : 'does not apply'}
                      </span>
                    </li>
                  ))}
              </ul>
            </div>
          ))}
        </section>
      </article>
    </main>
  );
}
