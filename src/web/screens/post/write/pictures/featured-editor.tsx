import { ImagePlus } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { aboveMore, draftedExcerpt } from '../../../../../core/draft/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { benchSet } from '../../../../state/view.ts';
import { Button } from '../../../../ui/button.tsx';
import { TextField } from '../../../../ui/field.tsx';
import { FileInput } from '../../../../ui/file-button.tsx';
import { usePost } from '../../frame/post-context.ts';
import { keptPicture } from './insert-pictures.ts';
import { AltField, PicturePlaceholder } from './picture-fields.tsx';
import { usePicture } from './use-picture.ts';

/** Featured picture and excerpt: what the blog's own lists show. */
export function FeaturedEditor() {
  const { session } = usePost();
  const { image, imageAlt, excerpt } = useAppSelector((state) => state.openPost.fields);
  const url = usePicture(image);
  // Each report tells that the text changed.
  const report = useAppSelector((state) => state.openPost.report);
  // biome-ignore lint/correctness/useExhaustiveDependencies: as above
  const [offered, isMarked] = useMemo(
    () => (excerpt.trim() ? ['', false] : [draftedExcerpt(session.body), aboveMore(session.body) !== null]),
    [session, report, excerpt],
  );
  const input = useRef<HTMLInputElement>(null);
  const dispatch = useAppDispatch();
  const choose = async (file: File) => {
    const src = await keptPicture(session.siteId, file);
    if (src !== null) session.setFields({ image: src, imageAlt: null });
  };
  return (
    <section
      aria-label="In the blog's own lists"
      data-place="featured"
      className="mt-5 grid gap-5 rounded-md border bg-sheet p-5 md:grid-cols-2"
    >
      <div className="space-y-2">
        <p className="font-semibold">Featured picture</p>
        {image ? (
          <>
            {url ? (
              <img src={url} alt={imageAlt ?? ''} className="max-h-44 w-full rounded-md object-cover" />
            ) : (
              <PicturePlaceholder src={image} />
            )}
            <AltField alt={imageAlt} onChange={(alt) => session.setFields({ imageAlt: alt })} label="Alt" />
            <div className="flex items-center gap-4 text-[13px]">
              <span className="truncate text-soft" title={image}>
                {image.split('/').at(-1)}
              </span>
              {url && (
                <Button
                  look="word"
                  className="ml-auto shrink-0"
                  onClick={() => dispatch(benchSet({ blockId: null }))}
                >
                  Crop, turn, compress
                </Button>
              )}
              <Button
                look="word"
                className={url ? '' : 'ml-auto shrink-0'}
                onClick={() => input.current?.click()}
              >
                Change
              </Button>
              <Button look="word" onClick={() => session.setFields({ image: '', imageAlt: null })}>
                Remove
              </Button>
            </div>
          </>
        ) : (
          <Button onClick={() => input.current?.click()}>
            <ImagePlus size={15} aria-hidden />
            Choose a picture
          </Button>
        )}
        <FileInput
          ref={input}
          label="Featured picture file"
          accept="image/*"
          onFiles={([file]) => attempt(choose(file))}
        />
      </div>
      <TextField
        label="Excerpt"
        rows={4}
        value={excerpt}
        onChange={(value) => session.setFields({ excerpt: value })}
        note={
          excerpt
            ? `${excerpt.length} characters; 100-250 suit most blogs.`
            : '100-250 characters for the lists of your blog.'
        }
      />
      {!excerpt.trim() && offered && (
        <p className="text-[13px] text-soft md:col-start-2">
          {isMarked ? 'Above the mark for lists: ' : 'The opening: '}“{offered}”{' '}
          <Button look="word" onClick={() => session.setFields({ excerpt: offered })}>
            Take it as excerpt
          </Button>
        </p>
      )}
    </section>
  );
}
