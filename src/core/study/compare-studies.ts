import { BAND_FIGURES, type BandFigure, type Study } from './study.ts';
import type { TermGroup } from './terms.ts';

/** What a later study of a query has that an earlier one had not, and the reverse. */
export interface StudyChange {
  pagesIn: string[];
  pagesOut: string[];
  termsIn: { form: string; group: TermGroup }[];
  termsOut: { form: string; group: TermGroup }[];
  /** Terms that changed their group. */
  termsMoved: { form: string; from: TermGroup; to: TermGroup }[];
  /** Medians that moved. */
  bands: { figure: BandFigure; from: number; to: number }[];
}

/** Compares two studies. Terms are followed by their base forms. */
export function compareStudies(before: Study, after: Study): StudyChange {
  const [earlier, later] = [before, after].map(
    ({ terms }) => new Map(terms.map(({ key, form, group }) => [key, { form, group }])),
  );
  const only = (here: typeof earlier, there: typeof earlier) =>
    [...here].flatMap(([key, term]) => (there.has(key) ? [] : [term]));
  return {
    pagesIn: after.taken.filter((address) => !before.taken.includes(address)),
    pagesOut: before.taken.filter((address) => !after.taken.includes(address)),
    termsIn: only(later, earlier),
    termsOut: only(earlier, later),
    termsMoved: [...later].flatMap(([key, { form, group }]) => {
      const was = earlier.get(key);
      return was && was.group !== group ? [{ form, from: was.group, to: group }] : [];
    }),
    bands: BAND_FIGURES.flatMap((figure) => {
      const [from, to] = [before.bands[figure]?.median, after.bands[figure]?.median];
      return from !== undefined && to !== undefined && from !== to ? [{ figure, from, to }] : [];
    }),
  };
}
