import { Link } from 'react-router';
import type { UnansweredQuery } from '../../../../core/performance/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { takeAsSupporting } from '../../../state/post/take-supporting.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { counted, countInWords } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { NamedPage } from '../../../workers/performance-scene.ts';
import { PageLink } from './page-link.tsx';

/** Queries that posts are shown for and do not answer yet, each with the ways on. */
export function UnansweredList({
  found,
  siteId,
  from,
  to,
  isOfOnePage = false,
}: {
  found: readonly (UnansweredQuery & NamedPage)[];
  siteId: string;
  from: string;
  to: string;
  isOfOnePage?: boolean;
}) {
  const take = async (postId: string, query: string) => {
    const back = await takeAsSupporting(postId, query);
    if (back === null) throw new Error('The post is gone, or has the keyword already.');
    offerUndo(`“${query}” is a supporting keyword now: Write shows where it is missing.`, back);
  };
  // Wordings that ask for the same are in the sums.
  const rowsOf = ({ path, query, alike }: UnansweredQuery & NamedPage) =>
    figureRows(siteId, path, [{ from, to }], [query, ...alike]);
  return (
    <ul aria-label="Queries not answered yet">
      {found.map((one) => {
        const { path, postId, query, alike, position, impressions, meantFor } = one;
        return (
          <li
            key={`${path} ${query}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-6 border-t py-2.5 first:border-t-0"
          >
            <div className="min-w-0">
              <p className="break-words">
                <span className="font-semibold">{query}</span>
                {alike.length > 0 && (
                  <span className="text-soft"> and {counted(alike.length, 'more wording')}</span>
                )}
              </p>
              <p className="truncate text-[13px] text-soft">
                {!isOfOnePage && <PageLink page={one} />}
                {!isOfOnePage && ', '}
                position{' '}
                <FigureRows source={rowsOf(one)} title={`Position for “${query}”`} way={WAYS.position}>
                  {position?.toFixed(1) ?? '–'}
                </FigureRows>
                {meantFor && (
                  <>
                    . Another post has it as its target:{' '}
                    <Link to={`/posts/${meantFor}/write`} className="text-marram hover:underline">
                      link to that one
                    </Link>
                  </>
                )}
              </p>
              {postId && !meantFor && (
                <p className="mt-1 flex flex-wrap gap-x-4 text-[13px]">
                  <WordLink to={`/posts/${postId}/study?query=${encodeURIComponent(query)}`}>
                    Study it
                  </WordLink>
                  <Button look="word" onClick={() => attempt(take(postId, query))}>
                    Take as a supporting keyword
                  </Button>
                  <WordLink to={`/posts/${postId}/write`}>Write</WordLink>
                </p>
              )}
            </div>
            <p className="text-right whitespace-nowrap">
              <FigureRows source={rowsOf(one)} title={`Impressions for “${query}”`} way={WAYS.impressions}>
                {countInWords(impressions)}
              </FigureRows>{' '}
              <span className="text-[13px] text-soft">impressions</span>
            </p>
          </li>
        );
      })}
    </ul>
  );
}
