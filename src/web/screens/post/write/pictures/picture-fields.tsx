import { useId } from 'react';
import { CheckField } from '../../../../ui/check-field.tsx';

interface AltProps {
  alt: string | null;
  onChange: (alt: string | null) => void;
  label?: string;
}

const valueProps = ({ alt, onChange }: AltProps) => ({
  value: alt ?? '',
  disabled: alt === '',
  placeholder: alt === '' ? 'Decorative: read out as nothing' : 'What does it show?',
  onChange: ({ target }: { target: { value: string } }) =>
    onChange(target.value === '' ? null : target.value.replace(/\n/g, ' ')),
});

function Decorative({ alt, onChange }: AltProps) {
  return (
    <CheckField
      checked={alt === ''}
      onChange={(checked) => onChange(checked ? '' : null)}
      className="flex shrink-0 items-center gap-1.5 text-soft"
    >
      Decorative
    </CheckField>
  );
}

/** Alternative text of a picture, with the choice to mark it as decorative, in a line. */
export function AltField(props: AltProps) {
  const id = useId();
  return (
    <div className="flex items-center gap-3 text-[13px]">
      <label htmlFor={id} className="shrink-0 text-soft">
        {props.label ?? 'Alt text'}
      </label>
      <input id={id} {...valueProps(props)} className="min-w-0 flex-1 rounded-md border px-2 py-1" />
      <Decorative {...props} />
    </div>
  );
}

/** The same in a narrow column: the text below its label, as long as it is. */
export function AltArea(props: AltProps) {
  const id = useId();
  return (
    <div className="text-[13px]">
      <div className="mb-1 flex items-center justify-between gap-3">
        <label htmlFor={id} className="text-soft">
          {props.label ?? 'Alt text'}
        </label>
        <Decorative {...props} />
      </div>
      <textarea
        id={id}
        rows={1}
        {...valueProps(props)}
        className="field-sizing-content block w-full resize-none rounded-md border px-2 py-1"
      />
    </div>
  );
}

/** What stands where a picture's file is not here. */
export function PicturePlaceholder({ src }: { src: string }) {
  const elsewhere = /^(?:https?:)?\/\//.test(src);
  return (
    <div className="flex min-h-24 flex-col items-center justify-center gap-1 rounded-md border border-dashed bg-paper px-4 py-5 text-center text-[13px] text-soft">
      <span>
        {elsewhere
          ? 'This picture lies on another server and is not loaded here.'
          : 'The file of this picture is not here.'}
      </span>
      <span className="max-w-full break-all">{src}</span>
    </div>
  );
}
