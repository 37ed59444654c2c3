import { CopyPlus, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { dayInWords } from '../../ui/day.ts';
import { ToWin } from '../../ui/earned.tsx';
import type { GridColumn } from '../../ui/grid/grid-column.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { Ridge } from '../../ui/ridge.tsx';
import { STATUS_NAMES } from '../../ui/status-names.ts';
import type { PostLine, SortKey } from './post-table.ts';

export type PostColumn = SortKey | 'first' | 'actions';

/** Columns that can be left out. */
export const CHOICES: { id: PostColumn; name: string }[] = [
  { id: 'status', name: 'Status' },
  { id: 'keyword', name: 'Keyword' },
  { id: 'words', name: 'Words' },
  { id: 'score', name: 'Score' },
  { id: 'first', name: 'First to mend' },
  { id: 'changed', name: 'Changed' },
];

/** What a post is called while it has no title. */
export const nameOfLine = ({ row }: PostLine) => row.fields.title || 'Untitled';

/** An action of a row: shown when the row is pointed at, or the button has the focus. */
const SHY = 'opacity-0 group-hover:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100';

/** The columns of the list of posts. */
export function postColumns({
  zone,
  startFrom,
  remove,
}: {
  zone: string;
  startFrom: (line: PostLine) => void;
  remove: (line: PostLine) => void;
}): GridColumn<PostLine, PostColumn>[] {
  return [
    {
      id: 'title',
      name: 'Post',
      width: 'minmax(180px,2.5fr)',
      phone: '1fr',
      sorts: 'ascending',
      cell: (line) => (
        <Link
          to={`/posts/${line.row.id}/write`}
          className="block truncate text-[14px] font-semibold hover:text-sea hover:underline"
          title={nameOfLine(line)}
        >
          {nameOfLine(line)}
        </Link>
      ),
    },
    {
      id: 'status',
      name: 'Status',
      width: '76px',
      sorts: 'ascending',
      className: 'text-soft',
      cell: ({ row }) => STATUS_NAMES[row.fields.status],
    },
    {
      id: 'keyword',
      name: 'Keyword',
      width: 'minmax(110px,1.2fr)',
      sorts: 'ascending',
      className: 'truncate',
      cell: ({ row }) => <span title={row.fields.keyword}>{row.fields.keyword || '–'}</span>,
    },
    {
      id: 'words',
      name: 'Words',
      width: '52px',
      right: true,
      sorts: 'descending',
      cell: ({ score }) => score?.words.toLocaleString('en') ?? '',
    },
    {
      id: 'score',
      name: 'Score',
      width: '172px',
      phone: '172px',
      sorts: 'descending',
      cell: ({ row, score }) => (
        <span className="flex items-center gap-3">
          <span className="w-6 font-semibold">
            {score ? (score.words === 0 && !row.fields.title ? '–' : Math.round(score.score)) : ''}
          </span>
          {score ? (
            <Ridge groups={score.groups} width={132} height={24} />
          ) : (
            <span className="h-4 w-32 rounded bg-sand/40" />
          )}
        </span>
      ),
    },
    {
      id: 'first',
      name: 'First to mend',
      width: 'minmax(150px,1.9fr)',
      cell: ({ score }) =>
        score?.first ? (
          <span className="flex items-baseline gap-2">
            <ToWin points={score.first.gain} />
            <span className="truncate text-soft" title={score.first.advice}>
              {score.first.advice}
            </span>
          </span>
        ) : (
          <span className="text-soft">{score ? 'Nothing left to win' : ''}</span>
        ),
    },
    {
      id: 'changed',
      name: 'Changed',
      width: '54px',
      sorts: 'descending',
      className: 'whitespace-nowrap text-soft',
      cell: ({ row }) => dayInWords(row.changed, zone),
    },
    {
      id: 'actions',
      name: 'What can be done',
      nameless: true,
      width: '48px',
      className: 'flex',
      cell: (line) => (
        <>
          <IconButton
            name={`Begin a post from ${nameOfLine(line)}`}
            icon={CopyPlus}
            size={14}
            onClick={() => startFrom(line)}
            className={SHY}
          />
          <IconButton
            name={`Delete ${nameOfLine(line)}`}
            icon={Trash2}
            size={14}
            look="grave"
            onClick={() => remove(line)}
            className={SHY}
          />
        </>
      ),
    },
  ];
}
