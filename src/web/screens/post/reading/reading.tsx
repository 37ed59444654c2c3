import { Monitor, Smartphone, Tablet } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { readingMinutes } from '../../../../core/draft/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { useZone } from '../../../ui/zone.ts';
import { usePost } from '../frame/post-context.ts';
import { type AboveFold, foldInWords } from './above-fold.ts';
import { FOLD, PageFrame } from './page-frame.tsx';
import { plainStyle } from './plain-style.ts';

const DEVICES = [
  { id: 'desktop', name: 'Desktop', width: 1280, icon: Monitor },
  { id: 'tablet', name: 'Tablet', width: 768, icon: Tablet },
  { id: 'phone', name: 'Phone', width: 390, icon: Smartphone },
] as const;

/** Pixels of the text's column where the house says nothing. */
const COLUMN = 700;

/** The reader's view: the post as readers will see it, at the widths they read at. */
export function Reading() {
  const zone = useZone();
  const { session, site } = usePost();
  const { fields, report, words } = useAppSelector((state) => state.openPost);
  const [device, setDevice] = useState<(typeof DEVICES)[number]['id']>('desktop');
  const [fold, setFold] = useState<AboveFold | null>(null);
  const { width } = DEVICES.find(({ id }) => id === device)!;
  // Each report tells that the post changed.
  // biome-ignore lint/correctness/useExhaustiveDependencies: as above
  const content = useMemo(
    () => ({
      document: { fields, draft: session.finished.draft },
      language: fields.language || site.language,
      day: fields.date ? dayInWords(fields.date, zone) : '',
    }),
    [session, fields, report, site.language, zone],
  );
  const { reader } = site.house;
  const column = reader?.column ?? COLUMN;
  const css = reader?.css.trim() ? `${plainStyle(column)}\n${reader.css}` : plainStyle(column);
  const minutes = readingMinutes(words);
  return (
    <main className="flex h-full flex-col px-5 pt-4 pb-4">
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2 text-[13px]">
        <h2 className="font-serif text-xl font-semibold">Reader’s view</h2>
        <fieldset className="flex gap-1">
          <legend className="sr-only">Width</legend>
          {DEVICES.map(({ id, name, width: pixels, icon: Icon }) => (
            <button
              key={id}
              type="button"
              aria-pressed={device === id}
              onClick={() => setDevice(id)}
              className="flex items-center gap-1.5 rounded-md border border-transparent px-2 py-1 text-soft hover:text-ink aria-pressed:border-line aria-pressed:bg-sheet aria-pressed:font-semibold aria-pressed:text-ink"
            >
              <Icon size={14} aria-hidden />
              {name} <span className="font-normal text-soft">{pixels}</span>
            </button>
          ))}
        </fieldset>
        <p role="status" className="text-soft">
          {minutes === null ? 'There is nothing to read yet. ' : `${counted(minutes, 'minute')} to read. `}
          {fold && `Before one scrolls (${FOLD} px): ${foldInWords(fold)}.`}
        </p>
        <Link to={`/posts/${session.id}/write`} className="ml-auto text-marram underline underline-offset-4">
          Back to the text
        </Link>
      </div>
      <PageFrame siteId={site.id} content={content} css={css} width={width} onFold={setFold} />
    </main>
  );
}
