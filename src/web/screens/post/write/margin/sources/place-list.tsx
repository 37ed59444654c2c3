import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Places of the draft, each a press away. */
export function PlaceList({
  name,
  places,
  body,
}: {
  name: string;
  places: readonly { blockId: string; start: number; end: number; quote: string }[];
  body: BodyEditor;
}) {
  return (
    <ul aria-label={name}>
      {places.map((place) => (
        <li key={`${place.blockId} ${place.start}`} className="border-t">
          <button
            type="button"
            title="Show it in the text"
            onClick={() => body.select(place)}
            className="line-clamp-3 w-full py-1 text-left font-serif leading-[1.35] break-words text-soft hover:text-ink"
          >
            {place.quote}
          </button>
        </li>
      ))}
    </ul>
  );
}
