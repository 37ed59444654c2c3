import type { Editor } from '@tiptap/core';
import type { StepLook } from '../../../../../core/draft/index.ts';
import { Button } from '../../../../ui/button.tsx';
import { Choice } from '../../../../ui/choice.tsx';
import { focusedChain } from './focused-chain.ts';

/** How the next step in hand looks to readers, and where it leads. */
export function StepTools({
  editor,
  look,
  isLinked,
  onLink,
}: {
  editor: Editor;
  look: StepLook;
  isLinked: boolean;
  onLink: () => void;
}) {
  return (
    <div
      role="toolbar"
      aria-label="Next step"
      className="flex w-full flex-wrap items-center gap-x-4 gap-y-1 border-t pt-1 text-[13px] text-soft"
    >
      <span className="font-semibold text-ink">Next step</span>
      <label className="flex items-center gap-1.5">
        Readers see
        <Choice
          value={look}
          onChange={(next) => editor.commands.updateAttributes('paragraph', { step: next })}
          className="px-1 py-0.5"
          options={[
            { value: 'button', name: 'a button' },
            { value: 'words', name: 'words with a link' },
          ]}
        />
      </label>
      {!isLinked && (
        <span className="text-ochre">
          It leads nowhere yet.{' '}
          <Button look="word" onClick={onLink}>
            Link its words
          </Button>
        </span>
      )}
      <Button
        look="word"
        className="ml-auto"
        onClick={() => focusedChain(editor).updateAttributes('paragraph', { step: null }).run()}
      >
        Make it a paragraph
      </Button>
    </div>
  );
}
