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
import { CheckField } from '../../../../ui/check-field.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { type Place, PlaceField } from '../../../../ui/place-field.tsx';
import { focusedChain } from './focused-chain.ts';

/** Keys that link the words that are selected; without a selection they open the palette. */
export const LINK_KEYS = 'Mod+K';

/** A link as most are: followed by search, opened where the reader is. */
const PLAIN = { nofollow: false, newWindow: false };

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
  const [how, setHow] = useState(PLAIN);
  const pages = useLiveQuery(() => sitePlaces(session.siteId, session.id), [session]);
  // By whichever way it is opened, it begins with the link that stands there.
  useEffect(() => {
    if (!open) return;
    const {
      href = '',
      nofollow = false,
      newWindow = false,
    } = editor.isActive('link')
      ? (editor.getAttributes('link') as Partial<{ href: string } & typeof PLAIN>)
      : {};
    setTyped(href);
    setHow({ nofollow, newWindow });
  }, [open, editor]);
  /** How the link is followed and opened: told to the link that stands here, kept for the one to come. */
  const tell = (next: Partial<typeof PLAIN>) => {
    setHow({ ...how, ...next });
    if (active) editor.chain().extendMarkRange('link').updateAttributes('link', next).run();
  };
  const set = ({ address, title }: Place) => {
    const href = safeHref(address);
    if (href === null) return;
    const chain = focusedChain(editor);
    // Without selected words the title itself becomes the link.
    if (editor.state.selection.empty && !active)
      chain
        .insertContent({ type: 'text', text: title, marks: [{ type: 'link', attrs: { href, ...how } }] })
        .run();
    else
      chain
        .extendMarkRange('link')
        .setLink({ href, ...how } as Parameters<typeof chain.setLink>[0])
        .run();
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
          <div className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
            <CheckField checked={how.newWindow} onChange={(newWindow) => tell({ newWindow })}>
              Opens a new window
            </CheckField>
            <CheckField checked={how.nofollow} onChange={(nofollow) => tell({ nofollow })}>
              Search is not to follow it
            </CheckField>
          </div>
          {active && (
            <Button
              look="word"
              className="mt-2"
              onClick={() => {
                focusedChain(editor).extendMarkRange('link').unsetLink().run();
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
