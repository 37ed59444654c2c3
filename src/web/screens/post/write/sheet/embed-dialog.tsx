import { useState } from 'react';
import { addressOfLine, embedAddress, embedKindInWords } from '../../../../../core/draft/index.ts';
import { Button } from '../../../../ui/button.tsx';
import { DialogFrame } from '../../../../ui/dialog-frame.tsx';
import { TextField } from '../../../../ui/field.tsx';

/** Asks for the address of something that plays or shows elsewhere. */
export function EmbedDialog({
  open,
  onClose,
  onEmbed,
  onLink,
}: {
  open: boolean;
  onClose: () => void;
  onEmbed: (found: NonNullable<ReturnType<typeof embedAddress>>) => void;
  onLink: (address: string) => void;
}) {
  const [typed, setTyped] = useState('');
  const address = addressOfLine(typed);
  const found = address === null ? null : embedAddress(address);
  const leave = (then: () => void) => {
    setTyped('');
    then();
    onClose();
  };
  return (
    <DialogFrame title="Embed" open={open} onClose={onClose}>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (found) leave(() => onEmbed(found));
          else if (address !== null) leave(() => onLink(address));
        }}
      >
        <TextField
          label="Address of a video, a recording, a map or a post"
          value={typed}
          onChange={setTyped}
          note={
            found
              ? `${embedKindInWords(found.kind)}. Nothing of it is loaded until a reader opens it.`
              : address !== null
                ? 'No video, recording, map or post that is known stands under this address: it stays a link.'
                : typed.trim() === ''
                  ? 'On a line of its own in the text it becomes an embed as well, at Enter.'
                  : 'Write the whole address, with https:// before it.'
          }
        />
        <div className="flex justify-end gap-2">
          <Button type="submit" look="main" disabled={address === null}>
            {address !== null && !found ? 'Put it in as a link' : 'Embed it'}
          </Button>
        </div>
      </form>
    </DialogFrame>
  );
}
