import { useEffect, useState } from 'react';
import { phraseKey } from '../../../core/research/index.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import type { KeywordLine } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** What is known of phrases, by region and phrase. */
export type Figures = ReadonlyMap<string, KeywordLine>;

/** Under which a phrase stands among the figures. */
export const figureKey = (region: string, phrase: string) => `${region}\n${phraseKey(phrase)}`;
/** The name of a file that a list is saved as. */
export const listFileName = ({ name }: ListRow, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'list'
  }.${ending}`;

/** Searches a month of all phrases of a list. */
export const volumeOf = (list: ListRow, figures: Figures) =>
  list.phrases.reduce(
    (sum, phrase) => sum + (figures.get(figureKey(list.region, phrase))?.keyword.volume ?? 0),
    0,
  );

/** What is known of the phrases on lists. */
export function useFigures(siteId: string, lists: readonly ListRow[]): Figures {
  const [figures, setFigures] = useState<Figures>(new Map());
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker().then(async (worker) => {
        const known = new Map<string, KeywordLine>();
        for (const { region, phrases } of lists)
          for (const [at, line] of (await worker.figures(siteId, region, phrases)).entries())
            if (line) known.set(figureKey(region, phrases[at]), line);
        if (!late) setFigures(known);
      }),
    );
    return () => {
      late = true;
    };
  }, [siteId, lists]);
  return figures;
}
