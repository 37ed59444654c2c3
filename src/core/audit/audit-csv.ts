import Papa from 'papaparse';
import { GROUPS } from '../criteria/index.ts';
import { type Audit, byPromise, criterionTitle, promiseOf } from './audit.ts';

const percent = (share: number | null) => (share === null ? '' : Math.round(share * 100));
const oneDecimal = (value: number) => Math.round(value * 10) / 10;

/** Notes of a post that a table names. */
const NAMED = 3;

/** The posts of an audit as a table, what there is to win first; shares of groups in per cent, empty where nothing of one applies. */
export const auditCsv = ({ posts, hasFigures }: Pick<Audit, 'posts' | 'hasFigures'>): string =>
  `${Papa.unparse(
    {
      fields: [
        'Title',
        'Address',
        'Status',
        'Score',
        'Words',
        'Clicks',
        'Impressions',
        'Points x impressions',
        ...GROUPS.map((group) => `${group} %`),
        ...Array.from({ length: NAMED }, (_, at) => `To mend ${at + 1}`),
      ],
      data: byPromise(posts).map((post) => [
        post.title,
        post.path ?? '',
        post.status,
        oneDecimal(post.score),
        post.words,
        hasFigures ? post.clicks : '',
        hasFigures ? post.impressions : '',
        hasFigures ? Math.round(promiseOf(post)) : '',
        ...post.groups.map(percent),
        ...post.gains.slice(0, NAMED).map(([id, gain]) => `${criterionTitle(id)} (+${oneDecimal(gain)})`),
      ]),
    },
    // A spreadsheet would compute what begins like a formula: an apostrophe in front keeps it a text.
    { newline: '\n', escapeFormulae: true },
  )}\n`;
