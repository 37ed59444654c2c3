import type { VersionReason, VersionRow } from '../../../data/post-rows.ts';
import { dayInWords, timeInWords } from '../../../ui/day.ts';

const REASONS: Record<VersionReason, string> = {
  time: 'while writing',
  named: 'by hand',
  paste: 'before a paste',
  restore: 'before a restore',
  import: 'before an import',
  aside: 'from another tab',
  trial: 'before a trial',
  published: 'when it was sent out',
};

/** Why a version was kept. */
export const reasonInWords = ({ reason }: Pick<VersionRow, 'reason'>): string => `kept ${REASONS[reason]}`;

/** When a version was kept, e.g. `today 14:06`. */
export const momentInWords = ({ at }: Pick<VersionRow, 'at'>, zone: string): string =>
  `${dayInWords(at, zone)} ${timeInWords(at, zone)}`;
