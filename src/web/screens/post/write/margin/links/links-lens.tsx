import { useState } from 'react';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';
import { useLook } from '../use-look.ts';
import { AtFault } from './at-fault.tsx';
import { FromHere } from './from-here.tsx';
import { ToHere } from './to-here.tsx';

/** The links of the post: from here, to here, and what is wrong with those that stand. */
export function LinksLens({ body }: Pick<LensProps, 'body'>) {
  const { session } = usePost();
  const [withDrafts, setWithDrafts] = useState(false);
  const { answer: view, look } = useLook(
    session,
    (worker) => worker.fromHere(session.siteId, session.id, session.finished, withDrafts),
    'The links could not be looked through',
    String(withDrafts),
  );
  return (
    <section aria-label="Links" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {view ? (
        <>
          <FromHere view={view} body={body} withDrafts={withDrafts} setWithDrafts={setWithDrafts} />
          <ToHere />
          <AtFault view={view} body={body} look={look} />
        </>
      ) : (
        <Waiting name="Looking through the links" className="h-40" />
      )}
    </section>
  );
}
