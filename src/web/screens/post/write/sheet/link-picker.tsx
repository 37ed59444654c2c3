import type { Editor } from '@tiptap/core';
import { Link2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useState } from 'react';
import { safeHref } from '../../../../../core/draft/index.ts';
import { sitePlaces } from '../../../../data/site-places.ts';
import { keysInWords } from '../../../../state/commands.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { useLiveQuery } from '../../../../state/use-live-query.ts';
import { Button } from '../../../../ui/button.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { type Place, PlaceField } from '../../../../ui/place-field.tsx';

/** Keys that link the words that are selected; without a selection they open the palette. */
export const LINK_KEYS = 'Mod+K';

/** Sets a link on the words in hand: an address, or a post or page of the site found by its words. */
export function LinkPicker({
  editor,
  session,
  active,
  open,
  setOpen,
}: {
  editor: Editor;
  session: PostSession;
  active: boolean;
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  const [typed, setTyped] = useState('');
  const pages = useLiveQuery(() => sitePlaces(session.siteId, session.id), [session]);
  // By whichever way it is opened, it begins with the link that stands there.
  useEffect(() => {
    if (open) setTyped(editor.isActive('link') ? String(editor.getAttributes('link')['href'] ?? '') : '');
  }, [open, editor]);
  const set = ({ address, title }: Place) => {
    const href = safeHref(address);
    if (href === null) return;
    const chain = editor.chain().focus();
    // Without selected words the title itself becomes the link.
    if (editor.state.selection.empty && !active)
      chain.insertContent({ type: 'text', text: title, marks: [{ type: 'link', attrs: { href } }] }).run();
    else chain.extendMarkRange('link').setLink({ href }).run();
    setOpen(false);
  };

  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <IconButton
          name="Link"
          hint={`Link (${keysInWords(LINK_KEYS)} on selected words)`}
          icon={Link2}
          look="tool"
          size={16}
          aria-pressed={active}
        />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="rise z-40 w-96 rounded-md border bg-sheet p-3"
          aria-label="Link"
        >
          <PlaceField
            label="Address, or words of a post or page"
            places={pages ?? []}
            typed={typed}
            onTyped={setTyped}
            onTake={set}
            placeholder="https://… or tide tables"
          />
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
