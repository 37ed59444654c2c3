import { ownFigure, type StatedFigure } from '../../../../../../core/criteria/index.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Figures of the draft, those without a source first, each with what stands for it. */
export function Figures({ figures, body }: { figures: readonly StatedFigure[]; body: BodyEditor }) {
  const { session } = usePost();
  const open = figures.filter(({ source }) => source === null);
  const own = (quote: string) =>
    offerUndo('It counts as your own count.', session.apply([ownFigure(quote)]), 8000);
  return (
    <>
      <h3 className="font-semibold">Figures {figures.length}</h3>
      <p className="text-soft">
        {figures.length === 0
          ? 'The text states no figures about the world.'
          : open.length === 0
            ? 'Each has a source, or is your own.'
            : `${open.length} without a source.`}
      </p>
      <ul aria-label="Figures">
        {[...open, ...figures.filter(({ source }) => source !== null)].map((figure) => (
          <li key={`${figure.blockId} ${figure.start}`} className="border-t py-1">
            <button
              type="button"
              title="Show it in the text"
              onClick={() => body.select(figure)}
              className="line-clamp-3 w-full text-left font-serif leading-[1.35] break-words hover:text-sea"
            >
              {figure.quote}
            </button>
            {figure.source === null ? (
              <p className="flex flex-wrap items-baseline gap-x-3">
                <span className="text-ochre">No source: link one.</span>
                <Editable>
                  <Button look="word" onClick={() => own(figure.quote)}>
                    It is our own count
                  </Button>
                </Editable>
              </p>
            ) : (
              <p className="truncate text-[12px] text-soft" title={figure.href ?? undefined}>
                {figure.source === 'own' ? 'Your own count' : figure.href}
              </p>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
