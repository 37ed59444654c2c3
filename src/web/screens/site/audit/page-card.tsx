import { useState } from 'react';
import { PAGE_KINDS, type PageKind } from '../../../../core/audit/index.ts';
import { changeRow } from '../../../data/change-row.ts';
import { database } from '../../../data/database.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { dayInWords } from '../../../ui/day.ts';
import { TextField } from '../../../ui/field.tsx';
import { counted } from '../../../ui/figures.ts';
import { useZone } from '../../../ui/zone.ts';
import type { CheckedPage } from '../../../workers/site-audit.ts';
import { PAGE_KIND_NAMES } from './page-kind-names.ts';

/** A page that is no post: what it is for, how it is listed, what to mend, and what it could say instead. */
export function PageCard({
  siteId,
  page,
  onChanged,
}: {
  siteId: string;
  page: CheckedPage;
  onChanged: () => void;
}) {
  const zone = useZone();
  const { path, title, kind, keyword, faults, proposals, metaTitle, metaDescription, topQuery, at } = page;
  const isFit = faults.length === 0;
  const change = (to: { kind?: PageKind; keyword?: string }) =>
    attempt(
      changeRow(database().pageReads, [siteId, path], () => to).then(onChanged),
      'It could not be kept',
    );
  const [typed, setTyped] = useState(keyword);
  const keep = () => {
    if (typed.trim() !== keyword) change({ keyword: typed.trim() });
  };
  return (
    <li aria-label={path} className="mb-3 rounded-md border bg-sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="min-w-0 font-semibold break-words">{title}</h2>
        <span className="text-[13px] break-all text-soft">{path}</span>
        <span className={`ml-auto font-semibold whitespace-nowrap ${isFit ? 'text-marram' : 'text-ochre'}`}>
          {isFit ? 'Fit' : 'Needs work'}
        </span>
      </div>
      <p className="mt-1 font-listing text-[13px] break-words">
        <span className="block text-[15px]">{metaTitle || 'No meta title'}</span>
        <span className="text-soft">{metaDescription || 'No meta description'}</span>
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <label className="text-[13px]">
          <span className="mb-1 block font-semibold">Kind</span>
          <Choice
            value={kind}
            onChange={(next) => change({ kind: next })}
            options={PAGE_KINDS.map((value) => ({ value, name: PAGE_KIND_NAMES[value] }))}
          />
        </label>
        <form
          className="w-64 text-[13px]"
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
          onBlur={keep}
        >
          <TextField label="Wants to be found for" value={typed} onChange={setTyped} placeholder={topQuery} />
        </form>
        {keyword === '' && topQuery !== '' && (
          <Button
            onClick={() => {
              setTyped(topQuery);
              change({ keyword: topQuery });
            }}
          >
            Take “{topQuery}”, what search finds it for
          </Button>
        )}
        <span className="ml-auto text-[13px] text-soft">read {dayInWords(at, zone)}</span>
      </div>
      {!isFit && (
        <ul aria-label={`To mend on ${path}`} className="mt-2">
          {faults.map(({ id, advice }) => (
            <li key={id} className="border-t py-1.5 break-words">
              {advice}
            </li>
          ))}
        </ul>
      )}
      {proposals.length > 0 && (
        <ul aria-label={`Proposals for ${path}`}>
          {proposals.map(({ what, text }) => (
            <li key={what} className="flex items-baseline gap-3 border-t py-1.5">
              <span className="w-32 shrink-0 text-[13px] text-soft">Better {what}</span>
              <span className="min-w-0 flex-1 break-words">{text}</span>
              <Button
                look="word"
                aria-label={`Copy the ${what}`}
                onClick={() => attempt(copyText(text, 'Copied.', `${what}.txt`))}
              >
                Copy
              </Button>
            </li>
          ))}
        </ul>
      )}
      {isFit && keyword === '' && (
        <p className="mt-2 text-[13px] text-soft">
          Say for what it wants to be found: then {counted(3, 'further check')} hold for it.
        </p>
      )}
    </li>
  );
}
