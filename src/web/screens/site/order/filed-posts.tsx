import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type Category, categoriesInTree } from '../../../../core/listing/index.ts';
import { type CategoryAdvice, movedTo } from '../../../../core/site/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted, listInWords } from '../../../ui/figures.ts';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import type { Proposal } from './use-arranging.tsx';

const ROW = 40;

/** What a post is called while it has no title. */
const nameOf = ({ fields }: PostRow) => fields.title || 'Untitled';

/** Categories to choose from: one within another is shown behind it. */
const choices = (categories: readonly Category[]) =>
  categoriesInTree(categories).map(({ slug, name, parent }) => ({
    value: slug,
    name: parent ? `${categories.find((one) => one.slug === parent)?.name ?? parent} › ${name}` : name,
  }));

/** The posts of a category, to be moved to another, one or many; `name` is empty for those that have none. */
export function FiledPosts({
  name,
  posts,
  categories,
  advice,
  propose,
}: {
  name: string;
  posts: readonly PostRow[];
  categories: readonly Category[];
  advice: CategoryAdvice | null;
  propose: (proposal: Proposal) => void;
}) {
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const others = choices(categories.filter((one) => one.name !== name));
  const [to, setTo] = useState('');
  const target = categories.find(({ slug }) => slug === (to || others[0]?.value));
  const homes = useMemo(
    () =>
      new Map(
        (name === '' ? (advice?.homes ?? []) : []).flatMap(({ id, category, words }) => {
          const own = categories.find(({ slug }) => slug === category);
          return own ? [[id, { own, words }] as const] : [];
        }),
      ),
    [advice, categories, name],
  );
  const chosen = posts.filter(({ id }) => selected.has(id));
  const move = (moves: readonly { post: PostRow; into: Category }[], title: string, said: string) => {
    propose({
      title,
      said,
      change: { filings: new Map(moves.map(({ post, into }) => [post.id, movedTo(post.fields, into.name)])) },
    });
    setSelected(new Set());
  };
  const likely = posts.flatMap((post) => {
    const home = homes.get(post.id);
    return home ? [{ post, into: home.own }] : [];
  });
  const columns: GridColumn<PostRow>[] = [
    {
      id: 'title',
      name: 'Post',
      width: 'minmax(0,1.6fr)',
      className: 'truncate',
      cell: (row) => (
        <Link to={`/posts/${row.id}/release`} title={nameOf(row)} className="hover:text-sea hover:underline">
          {nameOf(row)}
        </Link>
      ),
    },
    {
      id: 'status',
      name: 'Status',
      width: '84px',
      className: 'text-soft',
      cell: ({ fields }) => STATUS_NAMES[fields.status],
    },
    {
      id: 'others',
      name: 'Also filed under',
      width: 'minmax(0,0.9fr)',
      className: 'truncate text-soft',
      cell: ({ fields }) => (
        <span title={fields.categories.join(', ')}>
          {[name === '' ? fields.category : '', ...fields.categories].filter(Boolean).join(', ') || '–'}
        </span>
      ),
    },
    ...(name === ''
      ? [
          {
            id: 'like',
            name: 'Most like the posts in',
            width: 'minmax(0,1fr)',
            className: 'truncate',
            cell: ({ id }: PostRow) => {
              const home = homes.get(id);
              return home ? (
                <span title={`They speak of ${listInWords(home.words)}`}>
                  {home.own.name} <span className="text-soft">{home.words.join(', ')}</span>
                </span>
              ) : (
                <span className="text-soft">{advice ? 'none of them' : ''}</span>
              );
            },
          },
        ]
      : []),
  ];
  return (
    <>
      <div className="flex min-h-10 flex-wrap items-center gap-2 pb-1">
        <h2 className="mr-2 font-semibold">
          {name === ''
            ? `${counted(posts.length, 'post')} without a main category`
            : counted(posts.length, 'post')}
        </h2>
        {chosen.length > 0 && target && (
          <>
            <label className="flex items-center gap-2">
              Move {chosen.length} to
              <Choice value={target.slug} onChange={setTo} options={others} className="px-2 py-1" />
            </label>
            <Button
              onClick={() =>
                move(
                  chosen.map((post) => ({ post, into: target })),
                  `Move ${counted(chosen.length, 'post')} to ${target.name}`,
                  `${counted(chosen.length, 'post is', 'posts are')} filed under ${target.name}`,
                )
              }
            >
              Move
            </Button>
          </>
        )}
        {chosen.length === 0 && likely.length > 0 && (
          <Button
            onClick={() =>
              move(
                likely,
                `File ${counted(likely.length, 'post')} where they are most alike`,
                `${counted(likely.length, 'post is', 'posts are')} filed`,
              )
            }
          >
            File {likely.length} where they are most alike
          </Button>
        )}
      </div>
      <div className="flex min-h-40 flex-1">
        <DataGrid
          name="Posts of the category"
          columns={columns}
          count={posts.length}
          rowAt={(place) => posts[place]}
          nameOf={nameOf}
          rowHeight={ROW}
          selection={{ selected, onSelect: setSelected, keyAt: (place) => posts[place].id }}
          none={
            <None>
              {name === '' ? 'Every post has its category.' : `No post is filed under ${name} above all.`}
            </None>
          }
        />
      </div>
    </>
  );
}
