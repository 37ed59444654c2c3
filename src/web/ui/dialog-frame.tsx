import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A window over the page, with its title and a way out; it is as high as what stands in it, and scrolls beyond that. */
export function DialogFrame({
  title,
  open = true,
  onClose,
  width = 'w-[min(820px,94vw)]',
  children,
}: {
  title: string;
  open?: boolean;
  onClose: () => void;
  /** Class of its width. */
  width?: string;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`rise fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] -translate-x-1/2 -translate-y-1/2 flex-col overflow-hidden rounded-md border bg-paper p-5 ${width}`}
        >
          <Dialog.Title className="mb-3 pr-8 font-serif text-xl font-semibold">{title}</Dialog.Title>
          {children}
          <Dialog.Close
            aria-label="Close"
            className="absolute top-4 right-4 rounded p-1 text-soft hover:text-ink"
          >
            <X size={16} aria-hidden />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
