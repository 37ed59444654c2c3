import { FileCode, FileJson, FileText, FileType2, Printer } from 'lucide-react';
import { useNavigate } from 'react-router';
import { attempt } from '../../../state/attempt.ts';
import { exportPost } from '../../../state/post/export-post.ts';
import type { Export } from '../../../state/post/exports.ts';
import { releaseBy, wayOf } from '../../../state/post/publish-post.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Ridge } from '../../../ui/ridge.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { Editable } from '../frame/editable.tsx';
import { LeftOverNotice } from '../frame/left-over-notice.tsx';
import { usePost } from '../frame/post-context.ts';
import { useLeftOver } from '../frame/use-left-over.ts';
import { Ledger } from '../ledger/ledger.tsx';
import { AddressPanel } from './address-panel.tsx';
import { ChangedFile } from './changed-file.tsx';
import { Filing } from './filing.tsx';
import { HouseChecklist } from './house-checklist.tsx';
import { LookList } from './look-list.tsx';
import { OnTheWay } from './on-the-way.tsx';
import { OtherEyes } from './other-eyes.tsx';
import { ReadBackPanel } from './read-back-panel.tsx';
import { SendPanel } from './send-panel.tsx';
import { Stands } from './stands.tsx';
import {
  useFoundRelease,
  useLook,
  useNeighbours,
  usePostRow,
  useStandIn,
  useStanding,
} from './use-release.ts';
import { useWayAccount } from './use-way-account.ts';

/** Release: the last look in the order in which a careful person looks, and beside it the way to the readers. */
export function Release() {
  const post = usePost();
  const { session, site } = post;
  const { fields, report } = useAppSelector((state) => state.openPost);
  const navigate = useNavigate();
  const leftOver = useLeftOver(session);
  const row = usePostRow(session.id);
  const blog = useStandIn();
  const { takenBy, newer } = useNeighbours(post);
  const look = useLook(post, row, takenBy);
  const account = useStanding(post, row);
  useFoundRelease(post, row, blog?.address ?? '');
  const there = useWayAccount(wayOf(site));
  const exportAs = (as: Export) => attempt(exportPost(session, site, as));
  if (!report || !look) return <Waiting className="m-8 h-56" />;
  const way = wayOf(site);
  const settings = way?.kind === 'stand-in' ? (blog?.settings ?? null) : null;
  const release = way ? releaseBy(way, row?.release) : undefined;
  // The blog beside may stand at another port than when the post was sent to it.
  const address =
    release && way?.kind === 'stand-in' && blog && URL.canParse(release.url)
      ? `${blog.address}${new URL(release.url).pathname}`
      : (release?.url ?? '');
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)_300px] gap-x-10 px-8 py-7 max-[940px]:grid-cols-1 max-[700px]:px-4">
        <div className="min-w-0">
          <LeftOverNotice postId={session.id} leftOver={leftOver} />
          <Stands settings={settings} newer={newer} />
          <LookList items={look.items} overruled={row?.overruled ?? []} postId={session.id} />
          <Editable>
            <Filing settings={settings} known={there?.categories ?? []} />
            <div className="mb-8">
              <HouseChecklist session={session} site={site} />
            </div>
          </Editable>
          <section
            aria-label="Score by group"
            className="mb-6 flex flex-wrap items-end gap-x-8 gap-y-4 border-t pt-5"
          >
            <div>
              <p className="text-[48px] leading-none font-semibold">{report.score.toFixed(1)}</p>
              <p className="mt-1 text-soft">of 100 points</p>
            </div>
            <div className="max-w-full overflow-x-auto">
              <Ridge groups={report.groups} width={560} height={84} names />
            </div>
          </section>
          <Ledger criteria={report.criteria} />
        </div>
        <aside aria-label="To the readers" className="min-w-0 max-[940px]:order-first max-[940px]:mb-8">
          <div className="sticky top-0">
            <SendPanel
              account={account}
              held={look.held}
              row={row}
              address={blog?.address ?? ''}
              passesOn={there?.syndicateTo ?? []}
            />
            {address && release && !release.withdrawn && way?.kind !== 'folder' && (
              <AddressPanel address={address} />
            )}
            {release && way?.kind === 'folder' && (
              <p className="mt-4 border-t pt-3 text-[13px] text-soft">
                It lies in <span className="break-all text-ink">{release.url.replace(/^folder:/, '')}</span>
              </p>
            )}
            {release && way?.kind === 'folder' && (
              <ChangedFile release={release} written={{ fields, draft: session.finished.draft }} />
            )}
            {way &&
              way.kind !== 'folder' &&
              release?.versionId &&
              !release.withdrawn &&
              Date.parse(release.out) <= Date.now() && (
                <ReadBackPanel siteId={session.siteId} postId={session.id} release={release} way={way} />
              )}
            <OnTheWay
              postId={session.id}
              hasRelease={row?.release !== undefined}
              written={{ fields, draft: session.finished.draft }}
            />
            <OtherEyes review={row?.review} />
            <div role="group" aria-label="Export" className="mt-4 border-t pt-3">
              <p className="mb-1.5 text-[13px] text-soft">As a file</p>
              <div className="flex flex-wrap gap-2">
                <Button onClick={() => exportAs('md')}>
                  <FileText size={15} aria-hidden />
                  Markdown
                </Button>
                <Button onClick={() => exportAs('docx')}>
                  <FileType2 size={15} aria-hidden />
                  .docx
                </Button>
                <Button onClick={() => exportAs('html')}>
                  <FileCode size={15} aria-hidden />
                  HTML
                </Button>
                <Button onClick={() => navigate(`/posts/${session.id}/report`)}>
                  <Printer size={15} aria-hidden />
                  Print
                </Button>
                <Button onClick={() => exportAs('score')}>
                  <FileJson size={15} aria-hidden />
                  Score report
                </Button>
              </div>
            </div>
          </div>
        </aside>
      </div>
    </main>
  );
}
