import { useState } from 'react';
import { shareOf } from '../../../../../core/draft/index.ts';
import { SHARE_PICTURE, shareCut, sharePictureFault } from '../../../../../core/listing/index.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { usePost } from '../../frame/post-context.ts';
import { usePicture } from '../pictures/use-picture.ts';

/** The post as a card in a network or a message, with what of it is cut. */
export function ShareCard() {
  const { site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const share = shareOf(fields);
  const cut = shareCut(share);
  const url = usePicture(share.picture);
  const [size, setSize] = useState<{ url: string; width: number; height: number } | null>(null);
  const fault = size && size.url === url ? sharePictureFault(size.width, size.height) : null;
  const host = site.baseAddress.replace(/^https?:\/\//, '').replace(/[/].*$/, '') || 'your-blog';
  const told = [
    ...(cut.title.cut === null ? [] : ['the title']),
    ...(cut.description.cut === null ? [] : ['the description']),
  ];
  return (
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
  );
}
