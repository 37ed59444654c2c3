import {
  type Audit,
  type AuditChange,
  auditTotals,
  byPromise,
  type ChangedPost,
  criterionTitle,
  promiseOf,
} from '../../core/audit/index.ts';
import { oneLine } from './one-line.ts';

const NAMED = 10;
const points = (value: number) => `+${value.toFixed(1)}`.padStart(6);
const signed = (value: number) => `${value < 0 ? '-' : '+'}${Math.abs(value).toFixed(1)}`;
const counted = (count: number, one: string) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : `${one}s`}`;

const changed = (heading: string, posts: readonly ChangedPost[]): string[] =>
  posts.length === 0
    ? []
    : [
        '',
        `${heading} (${posts.length}):`,
        ...posts
          .slice(0, NAMED)
          .map(
            ({ title, before, after, group }) =>
              `${signed(after - before).padStart(6)}  ${oneLine(title)}: ${before.toFixed(1)}, now ${after.toFixed(1)}${group ? `, mostly ${group}` : ''}`,
          ),
      ];

const sinceThen = ({
  since,
  mean,
  groups,
  rose,
  fell,
  came,
  gone,
  isJudgedOtherwise,
}: AuditChange): string[] => [
  '',
  mean
    ? `Since ${since}: ${mean.before.toFixed(1)} then, ${mean.after.toFixed(1)} now (${signed(mean.after - mean.before)}) for the posts of both days`
    : `Since ${since}: no post is in both`,
  ...groups
    .filter(({ before, after }) => Math.abs(after - before) >= 0.0005)
    .map(({ group, before, after }) => `${signed((after - before) * 100).padStart(6)} %  ${group}`),
  ...(isJudgedOtherwise ? ['The criteria or their weights were others then: part of it is theirs.'] : []),
  ...changed('Fell', fell),
  ...changed('Rose', rose),
  ...(came.length > 0
    ? [
        '',
        `New: ${came
          .slice(0, NAMED)
          .map(({ title }) => oneLine(title))
          .join(', ')}`,
      ]
    : []),
  ...(gone.length > 0 ? ['', `Gone: ${gone.slice(0, NAMED).map(oneLine).join(', ')}`] : []),
];

/** An audit for people, beside an earlier one where there is one. */
export function auditText(audit: Audit, change: AuditChange | null): string {
  const { posts, pages, pairs = [], hasFigures } = audit;
  const { mean, groups, faults } = auditTotals(posts);
  const unfit = pages.filter((page) => page.faults.length > 0);
  return [
    mean === null ? 'No post' : `${counted(posts.length, 'post')}: ${mean.toFixed(1)} of 100 on average`,
    '',
    ...groups.map(
      ({ group, share }) =>
        `${share === null ? '     -' : `${(share * 100).toFixed(0)} %`.padStart(6)}  ${group}`,
    ),
    '',
    hasFigures ? 'Worth mending first, points times impressions:' : 'Worth mending first:',
    ...byPromise(posts)
      .slice(0, NAMED)
      .map((post) => {
        const [first] = post.gains;
        const seen = hasFigures ? `${Math.round(promiseOf(post)).toLocaleString('en').padStart(10)}  ` : '';
        return `${seen}${points(100 - post.score)}  ${oneLine(post.title)}${first ? `: ${criterionTitle(first[0])} ${signed(first[1])}` : ''}`;
      }),
    '',
    'What costs most:',
    ...faults
      .slice(0, NAMED)
      .map(
        ({ title, id, posts: own, points: cost }) =>
          `${points(cost)}  ${title} in ${counted(own, 'post')} (${id})`,
      ),
    ...(pages.length > 0
      ? [
          '',
          `Other pages: ${pages.length - unfit.length} of ${pages.length} fit`,
          ...unfit
            .slice(0, NAMED)
            .map(
              ({ path, kind, faults: own }) => `  ${oneLine(path)} (${kind}): ${own.map(oneLine).join(', ')}`,
            ),
        ]
      : []),
    ...(pairs.length > 0
      ? [
          '',
          `Languages that do not fit (${pairs.length}):`,
          ...pairs
            .slice(0, NAMED)
            .map(({ path, title, fault }) => `  ${oneLine(path)}, ${oneLine(title)}: ${oneLine(fault)}`),
        ]
      : []),
    ...(change ? sinceThen(change) : []),
  ].join('\n');
}
