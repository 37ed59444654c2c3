import { useEffect, useMemo, useState } from 'react';
import { type SeasonBand, seasonBands } from '../../../../core/research/index.ts';
import { regionOf } from '../../../../core/site/index.ts';
import { database } from '../../../data/database.ts';
import { ideasOf } from '../../../data/ideas.ts';
import { listsOf } from '../../../data/lists.ts';
import { postsOf } from '../../../data/posts.ts';
import { currentSite } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { researchWorker } from '../../../workers/research-client.ts';

/** What a calendar is made of; undefined until it is read. */
export const useCalendarRows = () =>
  useLiveQuery(async () => {
    const site = await currentSite();
    if (!site) return undefined;
    const [posts, reuses, ideas, lists] = await Promise.all([
      postsOf(site.id),
      database().reuses.where('siteId').equals(site.id).toArray(),
      ideasOf(site.id),
      listsOf(site.id),
    ]);
    return { site, posts, reuses, ideas, lists };
  });

type Rows = NonNullable<ReturnType<typeof useCalendarRows>>;

/** What the writer wants to be found for: posts, lists and ideas that are kept. */
function wantedPhrases({ posts, lists, ideas }: Rows): string[] {
  const wanted = [
    ...posts.map(({ fields }) => fields.keyword),
    ...lists.map(({ primary }) => primary),
    ...ideas.flatMap(({ stage, keyword }) => (stage === 'kept' ? [keyword] : [])),
  ];
  return [...new Set(wanted.map((phrase) => phrase.trim()).filter(Boolean))].sort();
}

/** The seasons that touch some days, of what the writer wants to be found for. */
export function useSeasons(rows: Rows, from: string, to: string): SeasonBand[] {
  const { site } = rows;
  const phrases = useMemo(() => wantedPhrases(rows).join('\n'), [rows]);
  const [known, setKnown] = useState<{ phrase: string; months: readonly number[] | null }[]>([]);
  useEffect(() => {
    let late = false;
    const wanted = phrases.split('\n').filter(Boolean);
    if (wanted.length === 0) return;
    attempt(
      researchWorker()
        .then((worker) => worker.figures(site.id, regionOf(site), wanted))
        .then((lines) => {
          if (!late)
            setKnown(wanted.map((phrase, at) => ({ phrase, months: lines[at]?.keyword.months ?? null })));
        }),
    );
    return () => {
      late = true;
    };
  }, [phrases, site]);
  return useMemo(() => seasonBands(known, from, to), [known, from, to]);
}
