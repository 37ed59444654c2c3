import { defaultFilter, Command as Palette } from 'cmdk';
import { postsOfInSlices } from '../data/posts.ts';
import { currentSite } from '../data/sites.ts';
import { useLiveQuery } from '../state/use-live-query.ts';
import { STATUS_NAMES } from '../ui/status-names.ts';

/** With this the values of posts begin: they were found by their words, and are not sifted again by letters. */
const FOUND_POST = 'post: ';

/** How well an entry of the palette fits what is typed, 0-1. */
export const paletteFit: typeof defaultFilter = (value, typed, keywords) =>
  value.startsWith(FOUND_POST) ? POST_FIT : defaultFilter(value, typed, keywords);
/** Posts stand behind the actions that are meant more surely. */
const POST_FIT = 0.01;

/** Posts that are offered; typing narrows them down. */
const MOST_POSTS = 8;

/** Posts of the site that have all the words typed in their title or keyword; none before anything is typed. */
export function PalettePosts({
  typed,
  className,
  onTake,
}: {
  typed: string;
  /** Of the group. */
  className: string;
  onTake: (path: string) => void;
}) {
  const posts = useLiveQuery(async () => {
    const site = await currentSite();
    return site ? postsOfInSlices(site.id) : [];
  });
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!posts || words.length === 0) return null;
  const found = posts
    .filter(({ fields: { title, keyword } }) =>
      words.every((word) => `${title} ${keyword}`.toLowerCase().includes(word)),
    )
    .sort((a, b) => (a.changed < b.changed ? 1 : -1))
    .slice(0, MOST_POSTS);
  if (found.length === 0) return null;
  return (
    <Palette.Group heading="Posts" className={className}>
      {found.map(({ id, fields: { title, keyword, status } }) => (
        <Palette.Item
          key={id}
          value={`${FOUND_POST}${id}`}
          onSelect={() => onTake(`/posts/${id}/write`)}
          className="flex cursor-pointer items-center gap-3 rounded px-2 py-1.5 data-[selected=true]:bg-paper"
        >
          <span className="min-w-0 truncate">{title || keyword || 'Untitled'}</span>
          <span className="ml-auto shrink-0 text-[12px] text-soft">{STATUS_NAMES[status]}</span>
        </Palette.Item>
      ))}
    </Palette.Group>
  );
}
