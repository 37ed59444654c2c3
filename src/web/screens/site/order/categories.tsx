import { ArrowDown, ArrowUp } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { type Category, categoriesInTree, categoryNamed } from '../../../../core/listing/index.ts';
import {
  type CategoryAdvice,
  type CategoryChange,
  categoriesOfPosts,
  categoryNameProblem,
  MOST_MAIN,
  nestedCategory,
  refiled,
  shiftedCategory,
  withCategory,
} from '../../../../core/site/index.ts';
import type { PostRow, SiteRow } from '../../../data/post-rows.ts';
import { postsOf } from '../../../data/posts.ts';
import { currentSite } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import { adoptCategories } from '../../../state/site/adopt-categories.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { Button } from '../../../ui/button.tsx';
import { counted, listInWords } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { longCall } from '../../../workers/long-call.ts';
import { siteWorker } from '../../../workers/site-client.ts';
import { SiteHeader } from '../site-header.tsx';
import { BlogKnows } from './blog-knows.tsx';
import { CategoryInHand } from './category-in-hand.tsx';
import { FiledPosts } from './filed-posts.tsx';
import { useArranging } from './use-arranging.tsx';

/** Posts without a main category of the blog, as one of the lists. */
const UNFILED = '';

/** The categories of the blog: their tree, what each holds, posts without one, and what could be put in better order. */
export function Categories() {
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    return site && { site, posts: await postsOf(site.id) };
  });
  return found ? <Ordered key={found.site.id} {...found} /> : <Waiting />;
}

/** Which posts are filed under a category above all; {@link UNFILED}: those under none that the blog has. */
const filedUnder = (posts: readonly PostRow[], categories: readonly Category[], slug: string): PostRow[] =>
  posts.filter(({ fields }) => (categoryNamed(categories, fields.category)?.slug ?? UNFILED) === slug);

function Ordered({ site, posts }: { site: SiteRow; posts: readonly PostRow[] }) {
  const categories = useMemo(
    () => site.categories ?? categoriesOfPosts(posts.map(({ fields }) => fields)),
    [site.categories, posts],
  );
  const isTheirs = site.categories !== undefined;
  useEffect(() => {
    if (!isTheirs) attempt(adoptCategories(site.id), 'The categories of the blog could not be read');
  }, [isTheirs, site.id]);
  const advice = useAdvice(site, posts);
  const { propose, preview } = useArranging(site.id);
  const [pressed, setChosen] = useState<string | null>(null);
  // What becomes of slugs: the category in hand stays in hand under another name, and merged into another that one is.
  const [followed, setFollowed] = useState<ReadonlyMap<string, string>>(new Map());
  const [problem, setProblem] = useState('');
  const tops = categories.filter(({ parent }) => parent === '');
  const isThere = (slug: string | null) => categories.some((one) => one.slug === slug);
  const chosen = isThere(pressed) ? pressed : (followed.get(pressed ?? '') ?? pressed);
  const own = categories.find(({ slug }) => slug === chosen);
  const slug =
    own?.slug ?? (chosen === UNFILED || categories.length === 0 ? UNFILED : (categories[0]?.slug ?? UNFILED));
  const inHand = own ?? categories.find((one) => one.slug === slug);
  const unfiled = filedUnder(posts, categories, UNFILED).length;
  /** Proposes what becomes of the tree, with the posts that follow it. */
  const proposeTree = (change: CategoryChange, title: string, said: string) => {
    setFollowed(change.slugs);
    propose({
      title,
      said,
      change: {
        categories: change.categories,
        slugs: change.slugs,
        filings: new Map(posts.map(({ id, fields }) => [id, refiled(fields, change)])),
      },
    });
  };
  const add = (name: string) => {
    const refused = categoryNameProblem(categories, name);
    setProblem(refused);
    if (refused) return false;
    proposeTree(withCategory(categories, name), `Add ${name}`, `${name} is a category now`);
    return true;
  };
  return (
    <main className="flex h-full flex-col">
      <SiteHeader>
        <p className="text-soft">
          {counted(categories.length, 'category', 'categories')}, {tops.length} of them main
        </p>
      </SiteHeader>
      <BlogKnows site={site} />
      <Nests advice={advice} categories={categories} tops={tops.length} propose={proposeTree} />
      <div className="flex min-h-0 flex-1 gap-6 px-6 pb-4 max-[860px]:flex-col max-[860px]:overflow-auto">
        <nav aria-label="Categories" className="w-72 shrink-0 overflow-auto max-[860px]:w-full">
          <ul>
            {categoriesInTree(categories).map((one) => (
              <Line
                key={one.slug}
                category={one}
                count={advice?.counts.get(one.slug)}
                isChosen={one.slug === slug}
                onChoose={() => setChosen(one.slug)}
                onShift={(by) =>
                  proposeTree(
                    shiftedCategory(categories, one.slug, by),
                    `Move ${one.name}`,
                    `${one.name} stands ${by < 0 ? 'earlier' : 'later'}`,
                  )
                }
              />
            ))}
            <li className="border-t">
              <button
                type="button"
                aria-current={slug === UNFILED}
                onClick={() => setChosen(UNFILED)}
                className="flex w-full gap-3 px-2 py-2 text-left hover:bg-sheet aria-[current=true]:bg-sheet aria-[current=true]:font-semibold"
              >
                <span className="flex-1">Without a main category</span>
                <span className={unfiled > 0 ? 'text-rust' : 'text-soft'}>{unfiled}</span>
              </button>
            </li>
          </ul>
          <AddForm
            label="Name of a new category"
            placeholder="Name of a new category"
            small
            onAdd={add}
            className="mt-2"
          />
          {problem && (
            <p role="alert" className="mt-1 text-rust">
              {problem}
            </p>
          )}
        </nav>
        <section
          aria-label={inHand?.name ?? 'Without a main category'}
          className="flex min-h-0 min-w-0 flex-1 flex-col"
        >
          {inHand && (
            <CategoryInHand
              key={inHand.slug}
              siteId={site.id}
              category={inHand}
              categories={categories}
              propose={proposeTree}
            />
          )}
          <FiledPosts
            key={`posts of ${slug}`}
            name={inHand?.name ?? ''}
            posts={filedUnder(posts, categories, slug)}
            categories={categories}
            advice={advice}
            propose={propose}
          />
        </section>
      </div>
      {preview}
    </main>
  );
}

/** A category in the tree, with how many posts it holds. */
function Line({
  category: { name, parent },
  count,
  isChosen,
  onChoose,
  onShift,
}: {
  category: Category;
  count: { own: number; all: number } | undefined;
  isChosen: boolean;
  onChoose: () => void;
  onShift: (by: -1 | 1) => void;
}) {
  return (
    <li className={`group flex items-center border-t ${isChosen ? 'bg-sheet' : ''}`}>
      <button
        type="button"
        aria-current={isChosen}
        onClick={onChoose}
        className={`flex min-w-0 flex-1 gap-3 py-2 pr-1 text-left hover:text-sea aria-[current=true]:font-semibold ${parent ? 'pl-7' : 'pl-2'}`}
      >
        <span className="min-w-0 flex-1 break-words">{name}</span>
      </button>
      <IconButton
        name={`${name} earlier`}
        icon={ArrowUp}
        size={14}
        onClick={() => onShift(-1)}
        className="opacity-0 group-hover:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100"
      />
      <IconButton
        name={`${name} later`}
        icon={ArrowDown}
        size={14}
        onClick={() => onShift(1)}
        className="opacity-0 group-hover:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100"
      />
      <span
        className="w-14 pr-2 text-right text-soft"
        title={count && count.all > count.own ? `${count.all} with those in it` : undefined}
      >
        {count && (count.all > count.own ? `${count.own} (${count.all})` : count.own)}
      </span>
    </li>
  );
}

/** Of more main categories than a reader takes in, which could stand within which. */
function Nests({
  advice,
  categories,
  tops,
  propose,
}: {
  advice: CategoryAdvice | null;
  categories: readonly Category[];
  tops: number;
  propose: (change: CategoryChange, title: string, said: string) => void;
}) {
  if (tops <= MOST_MAIN || !advice) return null;
  const nameOf = (slug: string) => categories.find((one) => one.slug === slug)?.name ?? slug;
  const empty = categories.filter(({ parent, slug }) => parent === '' && !advice.counts.get(slug)?.all);
  return (
    <section aria-label="Main categories" className="mx-6 mb-4 max-w-3xl rounded-md border bg-sheet p-3">
      <p>
        {tops} main categories: readers take in {MOST_MAIN} at a glance.
        {empty.length > 0 &&
          ` ${listInWords(empty.map(({ name }) => name))} ${empty.length === 1 ? 'holds' : 'hold'} no post.`}
        {advice.nests.length > 0 && ' By what their posts say:'}
      </p>
      <ul>
        {advice.nests.map(({ slug, into, words }) => (
          <li key={slug} className="mt-1.5 flex flex-wrap items-baseline gap-x-3">
            <span>
              <b>{nameOf(slug)}</b> could stand in <b>{nameOf(into)}</b>
              {words.length > 0 && <span className="text-soft">: both speak of {listInWords(words)}</span>}
            </span>
            <Button
              look="word"
              onClick={() =>
                propose(
                  nestedCategory(categories, slug, into),
                  `Put ${nameOf(slug)} in ${nameOf(into)}`,
                  `${nameOf(slug)} stands in ${nameOf(into)}`,
                )
              }
            >
              Put it there
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What could be done about the categories; null until it is known. The one before stays while it is worked out anew. */
function useAdvice(site: SiteRow, posts: readonly PostRow[]): CategoryAdvice | null {
  const [advice, setAdvice] = useState<CategoryAdvice | null>(null);
  const sign = useMemo(
    () => JSON.stringify([site.categories, posts.map(({ id, revision }) => `${id}${revision}`)]),
    [site.categories, posts],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew whenever the tree or a post changes
  useEffect(() => {
    const stopping = new AbortController();
    const look = async () => {
      const worker = await siteWorker();
      setAdvice(await longCall(worker, 'reads', stopping.signal, (job) => worker.advice(site.id, job)));
    };
    attempt(look(), 'The posts of the categories could not be read');
    return () => stopping.abort();
  }, [site.id, sign]);
  return advice;
}
