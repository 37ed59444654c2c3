import { altDraft, imageName } from '../../../../../../core/criteria/index.ts';
import type { PicturePlan, ShownPicture } from '../../../../../../core/pictures/index.ts';
import { useAppDispatch } from '../../../../../state/store.ts';
import { benchSet } from '../../../../../state/view.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { AltArea } from '../../pictures/picture-fields.tsx';
import { fileInWords, filesFaults } from '../../pictures/picture-words.ts';
import { usePicture } from '../../pictures/use-picture.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** One picture of the post, where it stands, with its alternative text and what is the matter with its file. */
export function PictureEntry({
  picture,
  plan,
  mostCharacters,
  body,
}: {
  picture: ShownPicture;
  /** Null: its file lies elsewhere. */
  plan: PicturePlan | null;
  mostCharacters: number;
  body: BodyEditor;
}) {
  const { session } = usePost();
  const dispatch = useAppDispatch();
  const url = usePicture(picture.src);
  const { blockId, src, alt, caption } = picture;
  const setAlt = (next: string | null) => {
    if (blockId === null) session.setFields({ imageAlt: next });
    else session.apply([{ kind: 'set-picture', blockId, picture: { alt: next } }]);
  };
  const draft = alt === null ? altDraft(caption, src, mostCharacters) : null;
  const name = imageName(src) || 'Picture';
  const faults = plan ? filesFaults(plan) : [];
  const show = () => {
    if (blockId !== null) body.select({ blockId, start: 0, end: 0 });
    else document.querySelector('[data-place="featured"]')?.scrollIntoView({ block: 'center' });
  };
  return (
    <li aria-label={name} className="border-t py-2">
      <div className="flex gap-3">
        <button type="button" title="Show it in the post" onClick={show} className="shrink-0 self-start">
          {url ? (
            <img src={url} alt="" className="h-16 w-20 rounded object-cover" />
          ) : (
            <span className="block h-16 w-20 rounded bg-sand/40" />
          )}
        </button>
        <div className="min-w-0 flex-1">
          <p className="font-medium break-all">{blockId === null ? `Featured: ${name}` : name}</p>
          <p className="text-[12px] text-soft">
            {plan ? fileInWords(plan.file) : 'Its file is not here, or cannot be shown.'}
          </p>
          {faults.map((fault) => (
            <p key={fault} className="text-[12px] text-ochre">
              {fault}
            </p>
          ))}
          {plan && (
            <Editable>
              <Button look="word" className="mt-0.5" onClick={() => dispatch(benchSet({ blockId }))}>
                Crop, turn, compress
              </Button>
            </Editable>
          )}
        </div>
      </div>
      <Editable>
        <div className="mt-1.5">
          <AltArea alt={alt} onChange={setAlt} />
          {draft && (
            <p className="mt-1">
              <Button look="word" onClick={() => setAlt(draft.text)}>
                Say “{draft.text}”
              </Button>{' '}
              <span className="text-soft">from {draft.from}; read it over</span>
            </p>
          )}
        </div>
      </Editable>
    </li>
  );
}
