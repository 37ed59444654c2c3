import { embedAddress } from '../../../../core/draft/index.ts';
import type { TalkRow } from '../../../data/talk-rows.ts';
import { TextField } from '../../../ui/field.tsx';
import { Editable } from '../frame/editable.tsx';

/** Where readers can play the recording, and what it is called: what the embed on top of the post will say. */
export function RecordingFields({
  row,
  onChange,
}: {
  row: TalkRow;
  onChange: (change: Partial<Pick<TalkRow, 'address' | 'kind' | 'title'>>) => void;
}) {
  const isAddress = row.address === '' || /^https?:\/\/\S+\.\S+/.test(row.address);
  return (
    <section aria-label="For readers" className="text-[13px]">
      <h3 className="mb-2 font-semibold">The recording, for readers</h3>
      <Editable>
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="Title of the recording"
            value={row.title}
            stored
            placeholder="How we pack a bike"
            onChange={(title) => onChange({ title })}
          />
          <TextField
            label="Where readers can play it"
            value={row.address}
            stored
            placeholder="https://"
            problem={isAddress ? '' : 'An address begins with https://'}
            note="The draft begins with it, and its chapters play from there."
            onChange={(address) => {
              const kind = embedAddress(address.trim())?.kind;
              onChange({ address, ...(kind === 'video' || kind === 'audio' ? { kind } : {}) });
            }}
          />
        </div>
      </Editable>
    </section>
  );
}
