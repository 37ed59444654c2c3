import { type ReactNode, type Ref, useRef } from 'react';
import { Button } from './button.tsx';

interface FileInputProps {
  /** What files it takes, for those who do not see the button; also how it is found. */
  label: string;
  /** What the system's dialog offers, e.g. `image/*` or `.zip`. */
  accept?: string;
  multiple?: boolean;
  /** A whole folder instead of files. */
  folder?: boolean;
  /** Gets at least one file, in the order of the dialog. */
  onFiles: (files: File[]) => void;
  ref?: Ref<HTMLInputElement>;
}

/** The field behind a button that asks for files: unseen, and ready for the same file again. */
export function FileInput({ label, accept, multiple, folder, onFiles, ref }: FileInputProps) {
  return (
    <input
      ref={ref}
      type="file"
      aria-label={label}
      accept={accept}
      multiple={multiple}
      {...(folder ? { webkitdirectory: '' } : {})}
      className="sr-only"
      tabIndex={-1}
      onChange={({ target }) => {
        const files = [...(target.files ?? [])];
        // Else the browser would not say that the same file was chosen again.
        target.value = '';
        if (files.length > 0) onFiles(files);
      }}
    />
  );
}

/** A button that asks for files. */
export function FileButton({
  children,
  look,
  disabled,
  className,
  ...input
}: Omit<FileInputProps, 'ref'> & {
  children: ReactNode;
  look?: 'main' | 'word';
  disabled?: boolean;
  className?: string;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button look={look} disabled={disabled} className={className} onClick={() => field.current?.click()}>
        {children}
      </Button>
      <FileInput ref={field} {...input} />
    </>
  );
}
