import { cutToWidth, DESCRIPTION_SIZE, TITLE_SIZE } from '../../../../../core/listing/index.ts';

/** How wide a phone sets a title over two lines, in pixels. */
const PHONE_TITLE = 2 * 340;

/** The listing as a phone shows it: title over two lines, a shorter description, both cut where they would be. */
export function PhoneListing({
  title,
  crumbs,
  description,
  cutPixels,
}: {
  title: string;
  crumbs: string;
  description: string;
  cutPixels: number;
}) {
  const shownTitle = cutToWidth(title, TITLE_SIZE, PHONE_TITLE);
  const shown = cutToWidth(description, DESCRIPTION_SIZE, cutPixels);
  return (
    <figure
      aria-label="Listing on a phone"
      className="mt-2 w-[364px] max-w-full rounded-md border bg-sheet px-3 py-2.5 font-listing"
    >
      <p className="truncate text-[12px] text-soft">{crumbs}</p>
      <p className="text-[18px] leading-[24px] break-words">{shownTitle.shown || 'Meta title'}</p>
      <p className="mt-0.5 text-[14px] leading-[20px] break-words text-soft">{shown.shown}</p>
      <figcaption className="mt-1.5 font-sans text-[12px] text-soft">
        {shown.cut === null
          ? 'Nothing of the description is cut on a phone.'
          : `A phone cuts the description at ${cutPixels} px.`}
      </figcaption>
    </figure>
  );
}
