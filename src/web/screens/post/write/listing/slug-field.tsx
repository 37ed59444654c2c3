import { useEffect, useId, useState } from 'react';
import { asksForSlug } from '../../../../state/post/move-address.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { slugAsked } from '../../../../state/view.ts';
import { isEnter } from '../../../../ui/keys.ts';
import { usePost } from '../../frame/post-context.ts';

/**
 * The slug of the post. That of a published post is known to readers: what is typed changes it only when the field is left,
 * and not before it was asked about.
 */
export function SlugField() {
  const { session } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const asked = useAppSelector((state) => state.view.slugAsked);
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const asks = asksForSlug(fields);
  // What was answered, here or elsewhere, stands.
  useEffect(() => {
    if (asked === null) setTyped(null);
  }, [asked]);
  const leave = () => {
    if (typed === null) return;
    if (typed === fields.slug) setTyped(null);
    else dispatch(slugAsked({ postId: session.id, slug: typed }));
  };
  return (
    <>
      <label htmlFor={id} className="sr-only">
        Slug
      </label>
      <input
        id={id}
        value={typed ?? fields.slug}
        placeholder="slug-of-the-post"
        onChange={(event) => {
          const slug = event.target.value.replace(/[\s/?#]+/g, '-');
          if (asks) setTyped(slug);
          else session.setFields({ slug });
        }}
        onBlur={leave}
        onKeyDown={(event) => {
          if (isEnter(event)) {
            // The question takes the focus: the same press would answer it.
            event.preventDefault();
            leave();
          } else if (event.key === 'Escape') setTyped(null);
        }}
        className="min-w-0 flex-1 rounded bg-transparent"
      />
    </>
  );
}
