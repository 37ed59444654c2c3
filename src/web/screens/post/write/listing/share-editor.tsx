import { ImagePlus } from 'lucide-react';
import { useRef, useState } from 'react';
import { shareOf } from '../../../../../core/draft/index.ts';
import { SHARE_PICTURE, shareCut, sharePictureFault } from '../../../../../core/listing/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { Button } from '../../../../ui/button.tsx';
import { TextField } from '../../../../ui/field.tsx';
import { FileInput } from '../../../../ui/file-button.tsx';
import { usePost } from '../../frame/post-context.ts';
import { keptPicture } from '../pictures/insert-pictures.ts';
import { usePicture } from '../pictures/use-picture.ts';

/** The post as a card in a network or a message, with what is written for it alone. */
export function ShareEditor() {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const share = shareOf(fields);
  const cut = shareCut(share);
  const url = usePicture(share.picture);
  const input = useRef<HTMLInputElement>(null);
  const [size, setSize] = useState<{ url: string; width: number; height: number } | null>(null);
  const fault = size && size.url === url ? sharePictureFault(size.width, size.height) : null;
  const choose = async (file: File) => {
    const src = await keptPicture(session.siteId, file);
    if (src !== null) session.setFields({ shareImage: src });
  };
  const host = site.baseAddress.replace(/^https?:\/\//, '').replace(/[/].*$/, '') || 'your-blog';
  const told = [
    ...(cut.title.cut === null ? [] : ['the title']),
    ...(cut.description.cut === null ? [] : ['the description']),
  ];
  return (
    <section
      aria-label="When it is shared"
      data-place="share"
      className="mt-5 mb-16 grid gap-5 rounded-md border bg-sheet p-5 md:grid-cols-2"
    >
      <figure aria-label="Card of the share" className="min-w-0">
        <div className="overflow-hidden rounded-lg border bg-paper">
          {url ? (
            <img
              src={url}
              alt=""
              onLoad={({ currentTarget: { naturalWidth: width, naturalHeight: height } }) =>
                setSize({ url, width, height })
              }
              style={{ aspectRatio: `${SHARE_PICTURE.width} / ${SHARE_PICTURE.height}` }}
              className="w-full border-b object-cover"
            />
          ) : (
            <p
              style={{ aspectRatio: `${SHARE_PICTURE.width} / ${SHARE_PICTURE.height}` }}
              className="flex items-center justify-center border-b px-6 text-center text-[13px] text-soft"
            >
              {share.picture
                ? `The picture lies elsewhere: ${share.picture}`
                : 'No picture: most networks show a bare line then.'}
            </p>
          )}
          <div className="px-4 py-3 font-listing">
            <p className="text-[17px] leading-[22px] break-words">{cut.title.shown || 'Title'}</p>
            <p className="mt-1 truncate text-[14px] text-soft">{cut.description.shown}</p>
            <p className="mt-1 text-[12px] text-soft">{host}</p>
          </div>
        </div>
        <figcaption className="mt-2 text-[13px] text-soft">
          {told.length > 0 ? (
            <span className="text-ochre">Cut on the card: {told.join(' and ')}. </span>
          ) : (
            'Nothing is cut on the card. '
          )}
          {fault && <span className="text-ochre">{fault}</span>}
        </figcaption>
      </figure>
      <div className="min-w-0 space-y-3">
        <p className="font-semibold">When it is shared</p>
        <TextField
          label="Title for shares"
          value={fields.shareTitle}
          placeholder={fields.title || 'The title stands in'}
          onChange={(shareTitle) => session.setFields({ shareTitle })}
        />
        <TextField
          label="Description for shares"
          rows={2}
          value={fields.shareDescription}
          placeholder={fields.metaDescription || fields.excerpt || 'The meta description stands in'}
          onChange={(shareDescription) =>
            session.setFields({ shareDescription: shareDescription.replace(/\n/g, ' ') })
          }
        />
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
          <Button onClick={() => input.current?.click()}>
            <ImagePlus size={15} aria-hidden />
            {fields.shareImage ? 'Another picture for shares' : 'A picture for shares'}
          </Button>
          {fields.shareImage ? (
            <Button look="word" onClick={() => session.setFields({ shareImage: '' })}>
              Take the featured one
            </Button>
          ) : (
            <span className="text-soft">{fields.image ? 'The featured picture stands in.' : ''}</span>
          )}
        </div>
        <FileInput
          ref={input}
          label="Picture file for shares"
          accept="image/*"
          onFiles={([file]) => attempt(choose(file))}
        />
      </div>
    </section>
  );
}
