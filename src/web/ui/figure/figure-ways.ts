/** How a figure comes of the rows that it opens to, as a sentence. */
export const WAYS = {
  clicks: 'The clicks of these rows added up.',
  impressions: 'The impressions of these rows added up.',
  rate: 'The clicks of these rows over their impressions.',
  position: 'The mean of the ranks of these rows, each showing counted.',
  change: 'Clicks of the later days less those of the earlier, which are counted up to as many days.',
  toWin:
    'Impressions times the click rate at the rank in reach (by the click curve in House rules), less the clicks that there are.',
} as const;
