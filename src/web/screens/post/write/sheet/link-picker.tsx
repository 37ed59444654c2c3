import type { Editor } from '@tiptap/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { Link2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { safeHref } from '../../../../../core/draft/index.ts';
import { sitePlaces } from '../../../../data/site-places.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { Button } from '../../../../ui/button.tsx';

/** Rows of the list; it scrolls beyond seven. */
const MOST = 60;

/** Sets a link on the words in hand: an address, or a post or page of the site found by its words. */
export function LinkPicker({
  editor,
  session,
  active,
}: {
  editor: Editor;
  session: PostSession;
  active: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const pages = useLiveQuery(() => sitePlaces(session.siteId, session.id), [session]);
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = (pages ?? [])
    .filter(({ title, address }) => words.every((word) => `${title} ${address}`.toLowerCase().includes(word)))
    .slice(0, MOST);

  const show = (next: boolean) => {
    setTyped(next && active ? String(editor.getAttributes('link')['href'] ?? '') : '');
    setOpen(next);
  };
  const set = (address: string, title?: string) => {
    const href = /^[\w-]+(?:\.[\w-]+)+(?:\/|$)/.test(address) ? `https://${address}` : address;
    if (safeHref(href) === null) return;
    const chain = editor.chain().focus();
    // Without selected words the title itself becomes the link.
    if (editor.state.selection.empty && !active)
      chain
        .insertContent({ type: 'text', text: title ?? address, marks: [{ type: 'link', attrs: { href } }] })
        .run();
    else chain.extendMarkRange('link').setLink({ href }).run();
    setOpen(false);
  };

  return (
    <Popover.Root open={open} onOpenChange={show}>
      <Popover.Trigger asChild>
        <button
          type="button"
          aria-label="Link"
          title="Link"
          aria-pressed={active}
          className="rounded p-1.5 text-soft hover:bg-paper hover:text-ink aria-pressed:bg-sand/60 aria-pressed:text-ink"
        >
          <Link2 size={16} aria-hidden />
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="rise z-40 w-96 rounded-md border bg-sheet p-3"
          aria-label="Link"
        >
          <form
            onSubmit={(event) => {
              event.preventDefault();
              const first = /^(?:[a-z]+:|\/|#)|\.\w{2,}(?:\/|$)/i.test(typed)
                ? { address: typed.trim() }
                : found[0];
              if (first) set(first.address, 'title' in first ? first.title : undefined);
            }}
          >
            <label className="mb-1 block text-[13px] text-soft" htmlFor="link-address">
              Address, or words of a post or page
            </label>
            <input
              id="link-address"
              autoComplete="off"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              placeholder="https://… or tide tables"
              className="mb-2 w-full rounded-md border px-2 py-1.5"
            />
          </form>
          <ul className="max-h-64 overflow-auto">
            {found.map(({ address, title }) => (
              <li key={address}>
                <button
                  type="button"
                  onClick={() => set(address, title)}
                  className="w-full rounded px-2 py-1 text-left hover:bg-paper"
                >
                  <span className="block truncate font-semibold">{title}</span>
                  <span className="block truncate text-[12px] text-soft">{address}</span>
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && !typed.includes('/') && (
            <p className="px-2 text-[13px] text-soft">
              No post or page of the site has these words. Type an address and press Enter.
            </p>
          )}
          {active && (
            <Button
              look="word"
              className="mt-2"
              onClick={() => {
                editor.chain().focus().extendMarkRange('link').unsetLink().run();
                setOpen(false);
              }}
            >
              Remove the link
            </Button>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
