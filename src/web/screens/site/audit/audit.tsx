import { useCallback, useState } from 'react';
import { auditCsv, writeAuditFile } from '../../../../core/audit/index.ts';
import { dayIn } from '../../../../core/site/index.ts';
import type { PageRow, SiteRow } from '../../../data/post-rows.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { download } from '../../../ui/download.ts';
import { Empty } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { Notice } from '../../../ui/notice.tsx';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { useZone } from '../../../ui/zone.ts';
import { siteWorker } from '../../../workers/site-client.ts';
import { LongLookLine } from '../long-look-line.tsx';
import { SiteHeader } from '../site-header.tsx';
import { useLongLook } from '../use-long-look.ts';
import { useSiteRows } from '../use-site-rows.ts';
import { AuditSummary } from './audit-summary.tsx';
import { AuditedPosts } from './audited-posts.tsx';
import { ChangedPosts } from './changed-posts.tsx';
import { OtherPages } from './other-pages.tsx';
import { SharedFaults } from './shared-faults.tsx';
import { type ShownAudit, useAudits } from './use-audits.ts';

/** The whole site judged: kept by day, held against an earlier day. */
export function AuditScreen() {
  const found = useSiteRows();
  if (!found) return <Waiting />;
  return <OfSite key={found.site.id} site={found.site} pages={found.pages} count={found.posts.length} />;
}

type View = 'posts' | 'change' | 'faults' | 'pages';

function OfSite({ site, pages, count }: { site: SiteRow; pages: readonly PageRow[]; count: number }) {
  const zone = useZone();
  const audits = useAudits(site.id);
  const [view, setView] = useState<View>('posts');
  const look = useLongLook(
    useCallback(
      (worker, job, tell) => worker.audit(site.id, dayIn(zone, new Date()), job, tell),
      [site.id, zone],
    ),
    'The site could not be audited',
  );
  // What was scored before it was stopped is kept: it goes on from there.
  const ahead = useLiveQuery(
    async () => (await siteWorker()).auditAhead(site.id),
    [site.id, look.done === null],
  );
  if (!audits) return <Waiting />;
  const { audit, totals, change } = audits;
  const isBegun = ahead !== undefined && ahead.scored > 0 && ahead.scored < ahead.posts;
  return (
    <main className="flex h-full flex-col">
      <SiteHeader>
        {count > 0 && look.done === null && (
          <Button look={audit ? 'plain' : 'main'} onClick={look.look}>
            {isBegun
              ? `Audit ${counted(count, 'post')}: ${ahead.posts - ahead.scored} to go`
              : audit
                ? 'Audit again'
                : `Audit ${counted(count, 'post')}`}
          </Button>
        )}
        <LongLookLine of={look} name="Auditing" />
      </SiteHeader>
      {count === 0 && pages.length === 0 ? (
        <Empty title="There is nothing to audit yet">
          Once there are posts, all of them are scored here, kept by day, and held against an earlier day.
        </Empty>
      ) : !audit ? (
        <div className="min-h-0 flex-1 overflow-auto px-6">
          <Empty title="The site has not been audited yet">
            An audit scores every post as it stands, adds up what costs the site most, and tells what is worth
            mending first. It is kept by day: the next one says what rose and what fell.
          </Empty>
        </div>
      ) : (
        <TabSet value={view} onChange={setView} className="flex min-h-0 flex-1 flex-col px-6 pb-4">
          <AuditBar audits={audits} site={site} zone={zone} />
          <AuditSummary totals={totals} change={change} />
          {change?.isJudgedOtherwise && (
            <Notice>
              The criteria, or the weights and limits of the house, were others on that day: part of the
              change is theirs.
            </Notice>
          )}
          <TabRow
            label="What the audit shows"
            className="mt-4"
            tabs={[
              { id: 'posts', name: 'Posts', count: audit.posts.length },
              {
                id: 'change',
                name: 'Rose and fell',
                count: change ? change.rose.length + change.fell.length : '',
              },
              { id: 'faults', name: 'What costs most', count: totals.faults.length },
              { id: 'pages', name: 'Other pages' },
            ]}
          />
          <TabPanel of="posts" className="flex min-h-0 flex-1 pt-2 data-[state=inactive]:hidden">
            <AuditedPosts posts={audit.posts} hasFigures={audit.hasFigures} />
          </TabPanel>
          <TabPanel of="change" className="min-h-0 flex-1 overflow-auto pt-3">
            {change ? (
              <ChangedPosts change={change} />
            ) : (
              <p className="py-6 text-soft">
                This is the first audit. The next one, on another day, says what rose and what fell since.
              </p>
            )}
          </TabPanel>
          <TabPanel of="faults" className="min-h-0 flex-1 overflow-auto pt-3">
            <SharedFaults faults={totals.faults} posts={totals.posts} />
          </TabPanel>
          <TabPanel of="pages" className="min-h-0 flex-1 overflow-auto pt-3">
            <OtherPages site={site} pages={pages} />
          </TabPanel>
        </TabSet>
      )}
    </main>
  );
}

/** Which day is looked at, beside which, of which posts; and the ways out of the application. */
function AuditBar({ audits, site, zone }: { audits: ShownAudit; site: SiteRow; zone: string }) {
  const { days, day, since, set, setDay, setSince, setSet, audit } = audits;
  if (!audit) return null;
  const named = (value: string) => ({ value, name: dayInWords(value, zone) });
  const file = `audit-${site.baseAddress.replace(/^https?:\/\//, '').replace(/[^\w.-]+/g, '-') || 'site'}-${day}`;
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">
      <label className="flex items-center gap-2">
        Audit of
        <Choice aria-label="Day of the audit" value={day} onChange={setDay} options={days.map(named)} />
      </label>
      {since !== '' && (
        <label className="flex items-center gap-2">
          beside
          <Choice
            aria-label="Beside the audit of"
            value={since}
            onChange={setSince}
            options={days.filter((one) => one < day).map(named)}
          />
        </label>
      )}
      <label className="flex items-center gap-2">
        of
        <Choice
          aria-label="Posts that are looked at"
          value={set}
          onChange={setSet}
          options={[
            { value: 'readers', name: 'posts for readers' },
            { value: 'all', name: 'all posts' },
          ]}
        />
      </label>
      {!audit.hasFigures && (
        <WordLink quiet to="/import">
          Bring search performance to see what is most promising
        </WordLink>
      )}
      <span className="ml-auto flex flex-wrap gap-2">
        <WordLink quiet to={`/site/audit/report?day=${day}&since=${since}&of=${set}`}>
          Report on paper
        </WordLink>
        <Button onClick={() => download(`${file}.csv`, auditCsv(audit), 'text/csv')}>CSV</Button>
        <Button onClick={() => download(`${file}.json`, writeAuditFile(audit), 'application/json')}>
          JSON
        </Button>
      </span>
    </div>
  );
}
