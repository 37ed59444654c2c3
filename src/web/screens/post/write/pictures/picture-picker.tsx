import { useState } from 'react';
import { MEDIA } from '../../../../data/picture-store.ts';
import { picturesWithUses, type UsedPicture } from '../../../../data/picture-uses.ts';
import { useLiveQuery } from '../../../../state/use-live-query.ts';
import { DialogFrame } from '../../../../ui/dialog-frame.tsx';
import { usePicture } from './use-picture.ts';

const usesInWords = ({ uses }: UsedPicture) =>
  uses.length === 0
    ? 'in no post'
    : uses.length === 1
      ? `in “${uses[0].title}”`
      : `in ${uses.length} posts: ${uses.map(({ title }) => title).join('; ')}`;

/** The pictures that are on the site already, each with where it is used. */
export function PicturePicker({
  siteId,
  open,
  onClose,
  onChoose,
}: {
  siteId: string;
  open: boolean;
  onClose: () => void;
  onChoose: (src: string) => void;
}) {
  return (
    <DialogFrame title="Pictures of the site" open={open} onClose={onClose}>
      <Pictures siteId={siteId} onChoose={onChoose} />
    </DialogFrame>
  );
}

function Pictures({ siteId, onChoose }: { siteId: string; onChoose: (src: string) => void }) {
  const pictures = useLiveQuery(() => picturesWithUses(siteId), [siteId]);
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = (pictures ?? []).filter((picture) =>
    words.every((word) => `${picture.name} ${usesInWords(picture)}`.toLowerCase().includes(word)),
  );
  return (
    <>
      <input
        type="search"
        aria-label="Search pictures"
        placeholder="File name, or title of a post"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        className="mb-3 w-72 rounded-md border px-2.5 py-1.5"
      />
      <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(170px,1fr))] gap-3 overflow-auto">
        {shown.map((picture) => (
          <li key={picture.name}>
            <button
              type="button"
              onClick={() => onChoose(MEDIA + picture.name)}
              className="w-full rounded-md border bg-sheet p-2 text-left text-[13px] hover:border-soft"
            >
              <Thumbnail name={picture.name} />
              <span className="block truncate font-semibold" title={picture.name}>
                {picture.name}
              </span>
              <span className="line-clamp-2 text-soft" title={usesInWords(picture)}>
                {picture.width ? `${picture.width} px, ` : ''}
                {Math.max(1, Math.round(picture.bytes / 1000)).toLocaleString('en')} kB,{' '}
                {usesInWords(picture)}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {pictures && shown.length === 0 && (
        <p className="py-6 text-center text-soft">
          {pictures.length === 0
            ? 'No picture is kept for this site yet. Paste one onto the sheet, or choose a file.'
            : 'No picture has these words.'}
        </p>
      )}
    </>
  );
}

function Thumbnail({ name }: { name: string }) {
  const url = usePicture(MEDIA + name);
  return url ? (
    <img src={url} alt="" loading="lazy" className="mb-1.5 h-24 w-full rounded object-cover" />
  ) : (
    <span className="mb-1.5 block h-24 rounded bg-sand/40" />
  );
}
