import { useCallback } from 'react';
import { Link } from 'react-router';
import type { LossCause } from '../../../core/performance/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { figureRows } from '../../state/site/figure-rows.ts';
import { useResearch } from '../../state/use-research.ts';
import { FigureRows } from '../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../ui/figure/figure-ways.ts';
import { counted, countInWords } from '../../ui/figures.ts';
import { Waiting } from '../../ui/waiting.tsx';
import type { ResearchClient } from '../../workers/research-client.ts';
import type { NamedThing } from '../../workers/three-things.ts';
import { LINK } from './part.tsx';

/** Why a page matters now, and where something is done about it. */
function thingInWords({ reason, postId, path }: NamedThing): { why: string; to: string } {
  const post = postId ? `/posts/${postId}` : null;
  const page = `/site/performance/page?path=${encodeURIComponent(path)}`;
  switch (reason.kind) {
    case 'losing':
      return { why: LOSING[reason.cause], to: page };
    case 'harmed':
      return { why: `Fewer open it since it was changed: ${reason.words}.`, to: page };
    case 'title':
      return {
        why: 'It is opened less often than its ranks give: try another title.',
        to: post ? `${post}/write` : page,
      };
    case 'near-win':
      return {
        why: `“${reason.query}” stands at ${reason.position.toFixed(1)}: a better place is in reach.`,
        to: post ? `${post}/write` : page,
      };
    case 'season':
      return {
        why: `The season of “${reason.query}” begins ${reason.weeks === 0 ? 'within days' : `in ${counted(reason.weeks, 'week')}`}: refresh it.`,
        to: post ? `${post}/write` : page,
      };
  }
}

/** How the clicks at stake come of the rows that they open to. */
const THING_WAYS: Record<NamedThing['reason']['kind'], string> = {
  losing: `${WAYS.change} Told for four weeks.`,
  harmed:
    'Clicks that the later days would have had without the change, as the other pages show, less those that there are. Told for four weeks.',
  title:
    'What your other pages give at the ranks of these queries, less their clicks. Told for four weeks; by query under Performance, Titles under the curve.',
  'near-win': `${WAYS.toWin} Told for four weeks.`,
  season:
    'The clicks of these rows, told for four weeks, times what its best months are searched more than this one.',
};

const LOSING: Record<LossCause, string> = {
  position: 'It loses readers: others stand before it now.',
  season: 'It loses readers to the season.',
  shown: 'It loses readers: it is shown less often.',
  clickRate: 'It loses readers: it stands where it stood and fewer open it.',
};

/** The three things that matter now by what came of posts in search; nothing where no figures were brought. */
export function Things({ site }: { site: SiteRow }) {
  // Another rule of the house may make another thing matter.
  const [things] = useResearch(
    useCallback((worker: ResearchClient) => worker.thingsThatMatter(site.id), [site]),
  );
  if (things === undefined) return <Waiting name="What matters most" className="mx-6 mb-8 h-28" />;
  if (things === null || things.length === 0) return null;
  return (
    <section aria-label="What matters most" className="px-6 pb-8">
      <h2 className="mb-1 flex items-baseline gap-3">
        <span className="font-serif text-lg font-semibold">
          {things.length === 3 ? 'Three things that matter most' : 'What matters most'}
        </span>
        <Link to="/site/performance" className="text-[13px] text-marram hover:underline">
          Performance
        </Link>
        <span className="text-[13px] text-soft">by the clicks in four weeks that are at stake</span>
      </h2>
      <ol className="grid grid-cols-3 gap-x-6 max-[900px]:grid-cols-1">
        {things.map((thing) => {
          const { why, to } = thingInWords(thing);
          return (
            <li key={thing.path} className="min-w-0 border-t py-2">
              <p className="flex items-baseline gap-3">
                <Link to={to} className={`${LINK} min-w-0 flex-1 truncate`} title={thing.title}>
                  {thing.title}
                </Link>
                <span className="font-semibold whitespace-nowrap text-ochre tabular-nums">
                  <FigureRows
                    source={figureRows(site.id, thing.path, thing.rows.windows, thing.rows.queries)}
                    title="Clicks at stake in four weeks"
                    way={THING_WAYS[thing.reason.kind]}
                  >
                    {countInWords(thing.clicks)}
                  </FigureRows>{' '}
                  clicks
                </span>
              </p>
              <p className="text-[13px] text-soft">{why}</p>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
