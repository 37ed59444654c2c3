import { useState } from 'react';
import {
  PICTURES_ACROSS,
  type PictureSide,
  type PicturesAcross,
  safeHref,
} from '../../../../../core/draft/index.ts';
import { CheckField } from '../../../../ui/check-field.tsx';
import { Choice } from '../../../../ui/choice.tsx';

export interface FigureLayout {
  side: PictureSide | null;
  across: PicturesAcross | null;
  width: number | null;
  link: string | null;
  enlarge: boolean;
}

const WIDEST = 4000;

/** How a picture stands on the page: side, width, link, enlarged by a click. */
export function FigureOptions({
  layout: { side, across, width, link, enlarge },
  onChange,
}: {
  layout: FigureLayout;
  onChange: (layout: Partial<FigureLayout>) => void;
}) {
  const [typed, setTyped] = useState(link ?? '');
  const badLink = safeHref(typed) === null;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13px] text-soft">
      <label className="flex items-center gap-1.5">
        Side
        <Choice
          value={side ?? ''}
          onChange={(next) => onChange({ side: next || null })}
          className="px-1 py-0.5"
          options={[
            { value: '', name: 'whole width' },
            { value: 'left', name: 'left of the text' },
            { value: 'right', name: 'right of the text' },
            { value: 'wide', name: 'wider than the text' },
          ]}
        />
      </label>
      <label className="flex items-center gap-1.5">
        In a row
        <Choice
          value={across === null ? '' : String(across)}
          onChange={(next) =>
            onChange({ across: PICTURES_ACROSS.find((one) => String(one) === next) ?? null })
          }
          className="px-1 py-0.5"
          options={[
            { value: '', name: 'by itself' },
            { value: '2', name: 'two, with its neighbours' },
            { value: '3', name: 'three, with its neighbours' },
          ]}
        />
      </label>
      <label className="flex items-center gap-1.5">
        Width
        <input
          type="number"
          min={40}
          max={WIDEST}
          step={20}
          value={width ?? ''}
          placeholder="own"
          onChange={(event) => {
            const pixels = Math.round(Number(event.target.value));
            onChange({ width: pixels > 0 ? Math.min(WIDEST, pixels) : null });
          }}
          className="w-20 rounded border px-1.5 py-0.5 text-ink"
        />
        px
      </label>
      <label className="flex min-w-52 flex-1 items-center gap-1.5">
        Link
        <input
          value={typed}
          placeholder="none"
          aria-invalid={badLink}
          onChange={(event) => {
            setTyped(event.target.value);
            // An address that could run something never gets into the draft.
            if (safeHref(event.target.value) !== null) onChange({ link: event.target.value.trim() || null });
          }}
          className="min-w-0 flex-1 rounded border px-1.5 py-0.5 text-ink"
        />
      </label>
      <CheckField checked={enlarge} onChange={(checked) => onChange({ enlarge: checked })}>
        Enlarge on click
      </CheckField>
      {badLink && (
        <span role="alert" className="w-full text-rust">
          {typed} is no address that a page may link to. Begin it with https:// or /.
        </span>
      )}
    </div>
  );
}
