import { useId, useState } from 'react';
import { categoryPath, comparablePath } from '../../../../core/listing/index.ts';
import {
  type AddressFate,
  linkTargets,
  openToReaders,
  type StandingPage,
  whatHappens,
} from '../../../../core/site/index.ts';
import type { PageRow, PostRow, SiteRow } from '../../../data/post-rows.ts';
import { hasLists } from '../../../data/site-around.ts';
import { WordLink } from '../../../ui/word-link.tsx';

/** What stands where on the site. */
function standing(site: SiteRow, posts: readonly PostRow[], pages: readonly PageRow[]) {
  const found = new Map<string, StandingPage>(
    pages.map(({ path, title, address }) => [path, { title: title || address, postId: null, status: null }]),
  );
  for (const { path, title, postId, status } of linkTargets(posts, { ...site, pages: null }))
    found.set(path, { title, postId, status });
  const { categories = [] } = site;
  for (const { slug, name } of hasLists(site) ? categories : []) {
    const path = comparablePath(categoryPath({ categories }, slug));
    if (path !== null && !found.has(path))
      found.set(path, { title: `The posts of ${name}`, postId: null, status: null });
  }
  const home = comparablePath('/') ?? '/';
  if (!found.has(home)) found.set(home, { title: 'The home page', postId: null, status: null });
  return found;
}

/** What a reader comes to at an address of the site: typed, and told at once. */
export function TryAddress({
  site,
  posts,
  pages,
}: {
  site: SiteRow;
  posts: readonly PostRow[];
  pages: readonly PageRow[];
}) {
  const [typed, setTyped] = useState('');
  const id = useId();
  const fate =
    typed.trim() === ''
      ? null
      : whatHappens(
          typed,
          standing(site, posts, pages),
          site.redirects ?? [],
          site.baseAddress,
          openToReaders(posts.map(({ fields }) => fields.status)),
        );
  return (
    <div className="mt-2 flex max-w-3xl flex-wrap items-baseline gap-x-3 gap-y-1">
      <label htmlFor={id}>What happens with this address?</label>
      <input
        id={id}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        placeholder="/journal/old-address"
        className="min-w-56 flex-1 rounded-md border bg-sheet px-2.5 py-1.5"
      />
      <p role="status" className="w-full text-[13px]">
        {fate && <Fate fate={fate} />}
      </p>
    </div>
  );
}

function Fate({ fate }: { fate: AddressFate }) {
  switch (fate.kind) {
    case 'page': {
      const { page, way, path, isOpen } = fate;
      return (
        <>
          {way.length > 0 && (
            <span className="text-soft">
              {way.join(' leads to ')} leads to {path}:{' '}
            </span>
          )}
          {page.postId === null ? (
            <strong>{page.title}</strong>
          ) : (
            <WordLink to={`/posts/${page.postId}/write`}>{page.title}</WordLink>
          )}{' '}
          {isOpen ? 'is opened.' : <span className="text-ochre">is no post that readers can open yet.</span>}
        </>
      );
    }
    case 'leads':
      return fate.isElsewhere ? (
        <>It leads away from the site, to {fate.to}.</>
      ) : (
        <span className="text-ochre">
          It leads to {fate.to}, where no page of the site is known: readers would find nothing.
        </span>
      );
    case 'gone':
      return <>It was taken away for good: readers are told so (410).</>;
    case 'nothing':
      return (
        <span className="text-ochre">
          Nothing stands at {fate.path} and nothing leads on from there: readers would find nothing (404).
        </span>
      );
    case 'circle':
      return (
        <span className="text-rust">
          It leads round and round: {fate.way.join(', ')}. Take one of these redirects out.
        </span>
      );
    case 'elsewhere':
      return <>That is no address of this site.</>;
    case 'no-address':
      return <span className="text-soft">Type a path, or a whole address of the site.</span>;
  }
}
