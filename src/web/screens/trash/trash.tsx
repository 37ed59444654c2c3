import { useState } from 'react';
import type { PostRow } from '../../data/post-rows.ts';
import { removePosts, setDeleted } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { deletedPosts, TRASH_DAYS, textOf } from '../../data/trash.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { dayInWords } from '../../ui/day.ts';
import { DraftView } from '../../ui/draft-view.tsx';
import { Empty } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { WaitingRows } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { useZone } from '../../ui/zone.ts';

const DAY = 24 * 60 * 60 * 1000;

/** Posts that were deleted, for thirty days. */
export function Trash() {
  const site = useLiveQuery(currentSite);
  const siteId = site?.id;
  const rows = useLiveQuery(async () => (siteId ? deletedPosts(siteId) : undefined), [siteId]);
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-3xl px-8 py-6 max-[760px]:px-4">
        <WordLink quiet to="/posts">
          Posts
        </WordLink>
        <h1 className="mt-1 mb-2 font-serif text-[26px] font-semibold">Trash</h1>
        {rows === undefined ? (
          <WaitingRows />
        ) : rows.length === 0 ? (
          <Empty title="Nothing in the trash">
            A post that you delete is kept here for {TRASH_DAYS} days, with its versions, and can be put back.
          </Empty>
        ) : (
          <>
            <p className="mb-4 text-soft">
              {counted(rows.length, 'deleted post')}. Each is kept for {TRASH_DAYS} days, with its versions.
            </p>
            <ul aria-label="Deleted posts" className="border-t">
              {rows.map((row) => (
                <DeletedPost key={row.id} row={row} />
              ))}
            </ul>
          </>
        )}
      </div>
    </main>
  );
}

function DeletedPost({ row: { id, deleted, fields } }: { row: PostRow }) {
  const zone = useZone();
  const [reading, setReading] = useState(false);
  const name = fields.title || 'Untitled';
  const left = Math.max(1, Math.ceil((Date.parse(deleted) + TRASH_DAYS * DAY - Date.now()) / DAY));
  const putBack = async () => {
    await setDeleted([id], '');
    offerUndo(`“${name}” is among your posts again.`, () => setDeleted([id], deleted));
  };
  const remove = async () => offerUndo(`“${name}” is removed for good.`, await removePosts([id]));
  return (
    <li className="border-b py-2.5">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <div className="min-w-56 flex-1">
          <p className="font-semibold break-words">{name}</p>
          <p className="text-[13px] text-soft">
            Deleted {dayInWords(deleted, zone)}, kept for {counted(left, 'more day')}
          </p>
        </div>
        <Button look="word" aria-expanded={reading} onClick={() => setReading(!reading)}>
          {reading ? 'Close' : 'Read'}
        </Button>
        <Button onClick={() => attempt(putBack(), `“${name}” could not be put back`)}>Put back</Button>
        <Button
          look="word"
          className="text-rust"
          onClick={() => attempt(remove(), `“${name}” could not be removed`)}
        >
          Remove for good
        </Button>
      </div>
      {reading && <DeletedText postId={id} name={name} />}
    </li>
  );
}

function DeletedText({ postId, name }: { postId: string; name: string }) {
  const draft = useLiveQuery(() => textOf(postId), [postId]);
  if (draft === undefined) return null;
  return (
    <section aria-label={`Text of “${name}”`} className="my-3 max-h-96 overflow-auto border-l-2 pl-4">
      {draft && draft.blocks.length > 0 ? (
        <DraftView blocks={draft.blocks} />
      ) : (
        <p className="text-soft">It has no text.</p>
      )}
    </section>
  );
}
