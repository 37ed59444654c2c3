import { useId } from 'react';
import { CheckField } from '../../../../ui/check-field.tsx';

/** Alternative text of a picture, with the choice to mark it as decorative. */
export function AltField({
  alt,
  onChange,
  label = 'Alt text',
}: {
  alt: string | null;
  onChange: (alt: string | null) => void;
  label?: string;
}) {
  const id = useId();
  return (
    <div className="flex items-center gap-3 text-[13px]">
      <label htmlFor={id} className="shrink-0 text-soft">
        {label}
      </label>
      <input
        id={id}
        value={alt ?? ''}
        disabled={alt === ''}
        placeholder={alt === '' ? 'Decorative: read out as nothing' : 'What does it show?'}
        onChange={(event) => onChange(event.target.value === '' ? null : event.target.value)}
        className="min-w-0 flex-1 rounded-md border px-2 py-1"
      />
      <CheckField
        checked={alt === ''}
        onChange={(checked) => onChange(checked ? '' : null)}
        className="flex shrink-0 items-center gap-1.5 text-soft"
      >
        Decorative
      </CheckField>
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
