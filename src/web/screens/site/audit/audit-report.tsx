import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import {
  auditChange,
  auditTotals,
  byPromise,
  criterionTitle,
  promiseOf,
} from '../../../../core/audit/index.ts';
import { auditOf } from '../../../data/audits.ts';
import { currentSite } from '../../../data/sites.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { Empty } from '../../../ui/empty.tsx';
import { counted, countInWords } from '../../../ui/figures.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { useZone } from '../../../ui/zone.ts';
import { AuditSummary } from './audit-summary.tsx';
import { ChangedPosts } from './changed-posts.tsx';
import { PAGE_KIND_NAMES } from './page-kind-names.ts';
import { limitedTo } from './use-audits.ts';

/** Posts and faults that are printed: more nobody reads on paper; the table has all. */
const PRINTED = 40;
const FAULTS = 12;

/** An audit as a clean page: for paper, for a PDF, for somebody who was not there. */
export function AuditReport() {
  const zone = useZone();
  const [asked] = useSearchParams();
  const day = asked.get('day') ?? '';
  const since = asked.get('since') ?? '';
  const set = asked.get('of') === 'all' ? 'all' : 'readers';
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    if (!site) return undefined;
    return { site, own: await auditOf(site.id, day), before: since ? await auditOf(site.id, since) : null };
  }, [day, since]);
  const audit = useMemo(() => limitedTo(found?.own, set), [found, set]);
  const before = useMemo(() => limitedTo(found?.before, set), [found, set]);
  if (!found) return <Waiting className="m-8 h-56" />;
  if (!audit)
    return (
      <Empty title="There is no audit of that day" ways={<WordLink to="/site/audit">To the audits</WordLink>}>
        It may have been taken out, or the address was cut.
      </Empty>
    );
  const totals = auditTotals(audit.posts);
  const change = before ? auditChange(before, audit) : null;
  const { hasFigures, pages } = audit;
  const unfit = pages.filter(({ faults }) => faults.length > 0);
  return (
    <main className="h-full overflow-auto print:h-auto print:overflow-visible">
      <article aria-label="Audit" className="mx-auto max-w-3xl px-8 py-7 print:p-0">
        <span className="float-right flex gap-3 print:hidden">
          <WordLink quiet to="/site/audit">
            Back
          </WordLink>
          <Button onClick={() => print()}>
            <Printer size={15} aria-hidden />
            Print or save as PDF
          </Button>
        </span>
        <h1 className="font-serif text-[26px] leading-tight font-semibold">Audit of {found.site.name}</h1>
        <p className="mb-5 text-soft">
          {dayInWords(day, zone)}, {set === 'all' ? 'all posts' : 'posts for readers'}
          {change && `, beside ${dayInWords(change.since, zone)}`}
        </p>
        <AuditSummary totals={totals} change={change} />
        <section aria-label="Worth mending first" className="mt-6">
          <h2 className="mb-1 font-serif text-xl font-semibold">
            Worth mending first{hasFigures ? ': points to win times impressions' : ''}
          </h2>
          <table className="w-full text-[13px]">
            <thead>
              <tr className="border-b text-left text-soft">
                <th className="py-1 font-normal">Post</th>
                <th className="w-14 py-1 text-right font-normal">Score</th>
                {hasFigures && <th className="w-24 py-1 text-right font-normal">Impressions</th>}
                {hasFigures && <th className="w-20 py-1 text-right font-normal">Promise</th>}
                <th className="w-2/5 py-1 pl-4 font-normal">Wins most</th>
              </tr>
            </thead>
            <tbody>
              {byPromise(audit.posts)
                .slice(0, PRINTED)
                .map((post) => (
                  <tr key={post.id} className="break-inside-avoid border-b align-baseline">
                    <td className="py-1 break-words">{post.title}</td>
                    <td className="py-1 text-right">{post.score.toFixed(1)}</td>
                    {hasFigures && <td className="py-1 text-right">{countInWords(post.impressions)}</td>}
                    {hasFigures && <td className="py-1 text-right">{countInWords(promiseOf(post))}</td>}
                    <td className="py-1 pl-4 text-soft">
                      {post.gains
                        .slice(0, 2)
                        .map(([id, gain]) => `${criterionTitle(id)} (+${gain.toFixed(1)})`)
                        .join(', ')}
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
          {audit.posts.length > PRINTED && (
            <p className="mt-1 text-[13px] text-soft">
              And {counted(audit.posts.length - PRINTED, 'post')} more: the table has them all.
            </p>
          )}
        </section>
        <section aria-label="What costs most" className="mt-6">
          <h2 className="mb-1 font-serif text-xl font-semibold">What costs most over all posts</h2>
          <ol className="text-[13px] sm:columns-2 sm:gap-8">
            {totals.faults.slice(0, FAULTS).map(({ id, title, posts, points }) => (
              <li key={id} className="flex break-inside-avoid justify-between gap-3 border-b py-1">
                {title}
                <span className="whitespace-nowrap text-soft">
                  {points.toFixed(0)} points in {counted(posts, 'post')}
                </span>
              </li>
            ))}
          </ol>
        </section>
        {pages.length > 0 && (
          <section aria-label="Other pages" className="mt-6">
            <h2 className="mb-1 font-serif text-xl font-semibold">
              Other pages: {pages.length - unfit.length} of {pages.length} are fit
            </h2>
            <ul className="text-[13px]">
              {unfit.map(({ path, kind, faults }) => (
                <li key={path} className="break-inside-avoid border-b py-1 break-words">
                  {path} <span className="text-soft">({PAGE_KIND_NAMES[kind].toLowerCase()})</span>:{' '}
                  {faults.join(', ')}
                </li>
              ))}
            </ul>
          </section>
        )}
        {change && (
          <section aria-label="Rose and fell" className="mt-6">
            <h2 className="mb-2 font-serif text-xl font-semibold">Since {dayInWords(change.since, zone)}</h2>
            <ChangedPosts change={change} />
          </section>
        )}
      </article>
    </main>
  );
}
