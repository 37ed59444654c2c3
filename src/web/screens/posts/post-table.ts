import type { PostRow, ScoreRow } from '../../data/post-rows.ts';

/** One line of the list. */
export interface PostLine {
  row: PostRow;
  score: ScoreRow | undefined;
}

export type SortKey = 'title' | 'status' | 'keyword' | 'words' | 'score' | 'changed';

export interface ListWish {
  search: string;
  status: string;
  sort: SortKey;
  descending: boolean;
}

const VALUES: Record<SortKey, (line: PostLine) => string | number> = {
  // Untitled posts stand behind all titles.
  title: ({ row }) => row.fields.title.toLowerCase() || '\uffff',
  status: ({ row }) => row.fields.status,
  keyword: ({ row }) => row.fields.keyword.toLowerCase(),
  words: ({ score }) => score?.words ?? -1,
  score: ({ score }) => score?.score ?? -1,
  changed: ({ row }) => row.changed,
};

/** The lines to show: filtered by words in title, keyword or slug and by status, then sorted. */
export function shownLines(
  lines: readonly PostLine[],
  { search, status, sort, descending }: ListWish,
): PostLine[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const value = VALUES[sort];
  const kept = lines.filter(({ row: { fields } }) => {
    if (status !== 'all' && fields.status !== status) return false;
    const text = `${fields.title} ${fields.keyword} ${fields.slug}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const compare = (a: PostLine, b: PostLine) => {
    const [x, y] = [value(a), value(b)];
    return typeof x === 'number' ? x - (y as number) : x.localeCompare(y as string);
  };
  return kept.sort((a, b) => (descending ? compare(b, a) : compare(a, b)));
}
