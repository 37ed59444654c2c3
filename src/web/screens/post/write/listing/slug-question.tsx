import { AlertDialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { postPath } from '../../../../../core/listing/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { linkingPosts, moveAddress } from '../../../../state/post/move-address.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { offerUndo } from '../../../../state/undo.ts';
import { slugAsked } from '../../../../state/view.ts';
import { Button } from '../../../../ui/button.tsx';
import { counted } from '../../../../ui/figures.ts';
import type { LinkingPost } from '../../../../workers/links.ts';
import { usePost } from '../../frame/post-context.ts';

/** Posts that are named; the others are counted. */
const NAMED = 6;

/** Asks before the address of a published post changes: who links to it, and what becomes of the old one. */
export function SlugQuestion() {
  const { session } = usePost();
  const dispatch = useAppDispatch();
  const asked = useAppSelector((state) => state.view.slugAsked);
  // A question that was not answered goes with its post.
  useEffect(() => () => void dispatch(slugAsked(null)), [dispatch]);
  return asked?.postId === session.id ? <Question key={asked.slug} slug={asked.slug} /> : null;
}

function Question({ slug }: { slug: string }) {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const dispatch = useAppDispatch();
  const [linking, setLinking] = useState<LinkingPost[] | null>(null);
  const [busy, setBusy] = useState(false);
  const from = postPath(site, fields) ?? '';
  const to = postPath(site, { ...fields, slug }) ?? '';
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const found = await linkingPosts(session, from, to);
      if (!isOver) setLinking(found);
    };
    attempt(look(), 'The posts of the site could not be looked through');
    return () => {
      isOver = true;
    };
  }, [session, from, to]);
  const close = () => dispatch(slugAsked(null));
  const change = async (mend: readonly LinkingPost[]) => {
    setBusy(true);
    try {
      const { takeBack, left } = await moveAddress(session, { slug, from, to, mend });
      const said =
        mend.length === 0
          ? 'The address changed; the old one leads to it.'
          : `The address changed, ${counted(mend.length - left.length, 'post')} with it; the old one leads to it.`;
      offerUndo(left.length === 0 ? said : `${said} Not mended: ${left.join(', ')}.`, takeBack, 20_000);
    } finally {
      close();
    }
  };
  const count = linking?.length ?? 0;
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && close()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-veil" />
        <AlertDialog.Content className="rise fixed top-[16vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 rounded-md border bg-paper p-6">
          <AlertDialog.Title className="mb-2 font-serif text-xl font-semibold">
            {slug ? 'Change the address of a published post?' : 'A published post needs an address'}
          </AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="mb-4 space-y-2">
              <p className="break-words">
                {slug ? (
                  <>
                    Readers know it as <b>{from}</b>; it would be <b>{to}</b>.
                  </>
                ) : (
                  <>
                    Readers know it as <b>{from}</b>. Without a slug nobody could open it.
                  </>
                )}
              </p>
              {slug !== '' && linking === null && <p aria-busy="true">Looking for posts that link to it…</p>}
              {slug !== '' && linking !== null && (
                <p>
                  {count === 0
                    ? 'No other post of the site links to it.'
                    : `${counted(count, 'post links', 'posts link')} to it: `}
                  {linking
                    .slice(0, NAMED)
                    .map(({ title }) => title)
                    .join(', ')}
                  {count > NAMED && ` and ${count - NAMED} more`}
                  {count > 0 && '.'}
                </p>
              )}
            </div>
          </AlertDialog.Description>
          <div className="flex flex-wrap gap-2">
            {slug !== '' && (
              <Button
                look="main"
                disabled={linking === null || busy}
                onClick={() => attempt(change(linking ?? []), 'The address could not be changed')}
              >
                {count === 0
                  ? 'Change it, and lead the old one here'
                  : `Change it, mend ${count === 1 ? 'that post' : `these ${count} posts`}, lead the old one here`}
              </Button>
            )}
            {slug !== '' && count > 0 && (
              <Button disabled={busy} onClick={() => attempt(change([]), 'The address could not be changed')}>
                Only lead the old one here
              </Button>
            )}
            <AlertDialog.Cancel asChild>
              <Button>Keep the old address</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
