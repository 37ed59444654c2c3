import { useState } from 'react';
import { toast } from 'sonner';
import { attempt } from '../../../../../state/attempt.ts';
import { changeOtherPost } from '../../../../../state/post/change-other-post.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import { LinkedWords } from '../../../../../ui/linked-words.tsx';
import { STATUS_NAMES } from '../../../../../ui/status-names.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { WordLink } from '../../../../../ui/word-link.tsx';
import type { LinkHere } from '../../../../../workers/links.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { type Here, useLinksHere } from './use-links.ts';

/** Posts of the site that speak of this one without a link to it. */
export function ToHere() {
  const { session } = usePost();
  const { here, look } = useLinksHere(session);
  return (
    <section aria-label="To here" className="mt-5">
      <h3 className="font-semibold">To here {Array.isArray(here) ? here.length : ''}</h3>
      <List here={here} look={look} />
    </section>
  );
}

function List({ here, look }: { here: Here; look: () => void }) {
  const title = useAppSelector((state) => state.openPost.fields.title) || 'this post';
  const [busy, setBusy] = useState('');
  if (here === 'waiting') return <Waiting name="Looking through the posts" className="my-1 h-16" />;
  if (here === 'no-address')
    return <p className="text-soft">This post has no slug yet: nothing can link to it.</p>;
  if (here.length === 0)
    return <p className="text-soft">Every post that speaks of this one links to it already.</p>;
  const put = async ({ postId, offer, title: other }: LinkHere) => {
    setBusy(postId);
    try {
      const takeBack = await changeOtherPost(
        postId,
        [{ kind: 'set-link', ...offer, href: offer.target.address }],
        `Before a link to "${title}"`,
      );
      if (takeBack)
        offerUndo(`"${other}" links here now.`, async () => {
          const stays = await takeBack();
          look();
          return stays;
        });
      else toast(`The words are not in "${other}" any more. It is being looked at anew.`);
      look();
    } finally {
      setBusy('');
    }
  };
  return (
    <ul aria-label="Posts that should link here">
      {here.map((one) => (
        <li key={one.postId} className="border-t py-1.5">
          <p className="break-words">
            <WordLink quiet to={`/posts/${one.postId}/write`}>
              {one.title}
            </WordLink>{' '}
            <span className="text-[12px] text-soft">{STATUS_NAMES[one.status]}</span>
          </p>
          <p className="mt-0.5 border-l-2 border-sand pl-2 font-serif leading-[1.35] break-words text-soft">
            <LinkedWords {...one.offer} />
          </p>
          <Editable>
            <Button
              look="word"
              className="mt-0.5 text-[13px]"
              disabled={busy !== ''}
              onClick={() => attempt(put(one), 'The link could not be put in')}
            >
              Put the link into that post
            </Button>
            {one.status === 'published' && (
              <span className="text-[12px] text-soft"> It is published: publish it anew afterwards.</span>
            )}
          </Editable>
        </li>
      ))}
    </ul>
  );
}
