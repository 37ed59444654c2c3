import { type NodeViewProps, NodeViewWrapper } from '@tiptap/react';
import { ArrowLeft, ArrowRight, Crop, ImageUp, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { attempt } from '../../../../state/attempt.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { benchSet } from '../../../../state/view.ts';
import { FileInput } from '../../../../ui/file-button.tsx';
import { IconButton } from '../../../../ui/icon-button.tsx';
import { Editable } from '../../frame/editable.tsx';
import { type FigureLayout, FigureOptions } from '../pictures/figure-options.tsx';
import { keptPicture } from '../pictures/insert-pictures.ts';
import { AltArea, AltField, PicturePlaceholder } from '../pictures/picture-fields.tsx';
import { moveBlock, setRow } from '../pictures/place-pictures.ts';
import { usePicture } from '../pictures/use-picture.ts';

/** A picture on the sheet, with its alt text and caption beside it. */
export function FigureView({ node, editor, getPos, updateAttributes, deleteNode, selected }: NodeViewProps) {
  const { src, alt, caption, side, across, width, link, enlarge, blockId } = node.attrs as {
    blockId: string;
    src: string;
    alt: string | null;
    caption: string;
  } & FigureLayout;
  const [more, setMore] = useState(
    side !== null || across !== null || width !== null || link !== null || enlarge,
  );
  const url = usePicture(src);
  const input = useRef<HTMLInputElement>(null);
  const dispatch = useAppDispatch();
  const siteId = useAppSelector((state) => state.openPost.siteId);
  const choose = async (file: File) => {
    const next = await keptPicture(siteId, file);
    if (next !== null) updateAttributes({ src: next });
  };
  return (
    <NodeViewWrapper
      as="figure"
      className={`my-4 rounded-md font-sans ${selected ? 'outline-2 outline-offset-4 outline-sea' : ''}`}
      contentEditable={false}
    >
      {url ? (
        <img
          src={url}
          alt={alt ?? ''}
          style={width ? { width } : undefined}
          className={`max-h-96 max-w-full rounded-md object-cover ${across ? 'aspect-3/2 w-full' : width ? '' : side === 'left' || side === 'right' ? 'w-1/2' : 'w-full'} ${side === 'right' ? 'ml-auto' : ''}`}
        />
      ) : (
        <PicturePlaceholder src={src} />
      )}
      <Editable>
        <div className="mt-2 space-y-1.5 text-[14px] leading-normal">
          {across === null ? (
            <AltField alt={alt} onChange={(next) => updateAttributes({ alt: next })} />
          ) : (
            <AltArea alt={alt} onChange={(next) => updateAttributes({ alt: next })} />
          )}
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px]">
            <label
              className={`flex min-w-0 items-center gap-3 text-soft ${across === null ? 'flex-1' : 'w-full'}`}
            >
              Caption
              <input
                value={caption}
                onChange={(event) => updateAttributes({ caption: event.target.value })}
                placeholder="Optional"
                className="min-w-0 flex-1 rounded-md border px-2 py-1 text-ink"
              />
            </label>
            <span className="max-w-44 truncate text-soft" title={src}>
              {src.split('/').at(-1)}
            </span>
            <button
              type="button"
              aria-expanded={more}
              onClick={() => setMore(!more)}
              className="rounded px-1 text-soft hover:text-ink"
            >
              Layout
            </button>
            {url && (
              <IconButton
                name="Crop, turn, compress"
                icon={Crop}
                onClick={() => dispatch(benchSet({ blockId }))}
              />
            )}
            {across !== null && (
              <>
                <IconButton
                  name="Move it back"
                  icon={ArrowLeft}
                  onClick={() => moveBlock(editor, getPos(), -1)}
                />
                <IconButton
                  name="Move it on"
                  icon={ArrowRight}
                  onClick={() => moveBlock(editor, getPos(), 1)}
                />
              </>
            )}
            <IconButton name="Choose another file" icon={ImageUp} onClick={() => input.current?.click()} />
            <IconButton name="Remove the picture" icon={Trash2} look="grave" onClick={deleteNode} />
            <FileInput
              ref={input}
              label="Another file for the picture"
              accept="image/*"
              onFiles={([file]) => attempt(choose(file))}
            />
          </div>
          {more && (
            <FigureOptions
              layout={{ side, across, width, link, enlarge }}
              onChange={({ across: inRow, ...layout }) =>
                inRow === undefined ? updateAttributes(layout) : setRow(editor, getPos(), inRow)
              }
            />
          )}
        </div>
      </Editable>
    </NodeViewWrapper>
  );
}
