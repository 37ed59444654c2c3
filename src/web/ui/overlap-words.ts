import type { Overlap } from '../../core/research/index.ts';

/** Why two primary keywords are one, in words. */
const SAME: Record<NonNullable<Overlap['primaryBy']>, string> = {
  exact: 'one primary keyword',
  stems: 'one primary keyword in other forms',
  meaning: 'their primary keywords mean the same',
  results: 'the same pages are found for their primary keywords',
};

/** How far two lists or posts overlap, in words. */
export function overlapInWords({ degree, primaryBy, share }: Overlap): string {
  if (degree === 'clash')
    return `clash: ${primaryBy ? SAME[primaryBy] : `${Math.round(share * 100)} % shared`}`;
  return `${Math.round(share * 100)} % shared${degree === 'natural' ? ', natural' : ''}`;
}
