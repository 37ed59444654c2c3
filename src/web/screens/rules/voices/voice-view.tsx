import type { HouseVoice, KeptLine } from '../../../../core/writing/index.ts';
import { Check } from '../../../ui/check-field.tsx';
import { ChipsField } from '../../../ui/chips-field.tsx';
import { TextField } from '../../../ui/field.tsx';

type Change = (patch: (voice: HouseVoice) => Partial<HouseVoice>) => void;

/** What a voice does, sentence by sentence, with its figures and examples; each can be said otherwise, or left out. */
export function VoiceView({ voice, onChange }: { voice: HouseVoice; onChange: Change }) {
  const setLine = (id: string, patch: Partial<KeptLine>) =>
    onChange(({ lines }) => ({
      lines: lines.map((line) => (line.id === id ? { ...line, ...patch } : line)),
    }));
  return (
    <>
      <div className="mb-4 max-w-md">
        <TextField stored label="Name" value={voice.name} onChange={(name) => onChange(() => ({ name }))} />
      </div>
      <h3 className="font-semibold">What it does</h3>
      <p className="mb-1 text-[13px] text-soft">
        Each line that is ticked goes along as a rule. Say it in your own words where the counted ones are not
        yours.
      </p>
      <ul aria-label="What it does" className="mb-5">
        {voice.lines.map((line) => (
          <li key={line.id} className="grid grid-cols-[auto_1fr] gap-x-3 border-t py-2">
            <Check
              name={`${line.rule} goes along`}
              checked={!line.off}
              onChange={(checked) => setLine(line.id, { off: !checked })}
              className="mt-1.5"
            />
            <div className={line.off ? 'opacity-60' : ''}>
              <input
                aria-label={`Rule: ${line.id}`}
                defaultValue={line.own || line.rule}
                onBlur={({ target }) => {
                  const own = target.value.trim() === line.rule ? '' : target.value.trim();
                  if (own !== line.own) setLine(line.id, { own });
                  if (own === '') target.value = line.rule;
                }}
                className="w-full rounded-md border border-transparent bg-transparent px-1.5 py-0.5 font-serif text-[16px] hover:border-line focus:border-line"
              />
              <p className="px-1.5 text-[13px] text-soft">{line.figures}</p>
              {line.examples.map((example) => (
                <p key={example} className="px-1.5 font-serif text-[14px] text-soft italic">
                  {example}
                </p>
              ))}
            </div>
          </li>
        ))}
      </ul>
      <ChipsField
        label="Further rules"
        items={voice.further}
        onChange={(further) => onChange(() => ({ further }))}
        splitAt={/[\n\r]+/}
        placeholder="What no counting finds: type a rule and press Enter"
      />
      <h3 className="mt-5 font-semibold">Passages that go along</h3>
      <p className="mb-2 text-[13px] text-soft">
        For the sound alone. Take others where these are not typical.
      </p>
      <div className="space-y-3">
        {voice.passages.map((passage, at) => (
          <TextField
            // biome-ignore lint/suspicious/noArrayIndexKey: passages have nothing but their order
            key={at}
            stored
            rows={3}
            label={`Passage ${at + 1}`}
            value={passage}
            onChange={(text) => onChange(({ passages }) => ({ passages: passages.with(at, text) }))}
          />
        ))}
      </div>
    </>
  );
}
