import type { CriterionResult } from '../../../../core/criteria/index.ts';

/** What a criterion measured, as a table shows it: `1 link`, `62`, a dash where nothing could be measured. */
export const measuredInWords = ({ measured, unit }: Pick<CriterionResult, 'measured' | 'unit'>): string =>
  typeof measured === 'number'
    ? `${measured.toLocaleString('en')}${unit ? ` ${measured === 1 ? unit.replace(/s$/, '') : unit}` : ''}`
    : String(measured ?? '–');
