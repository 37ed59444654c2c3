import { Eye, FileCode, FileJson, FileText, FileType2, Printer } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { notesOf } from '../../../../core/criteria/index.ts';
import { STATUSES, type Status } from '../../../../core/draft/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { exportPost } from '../../../state/post/export-post.ts';
import type { Export } from '../../../state/post/exports.ts';
import { setStatus } from '../../../state/post/set-status.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { ToWin } from '../../../ui/earned.tsx';
import { ChoiceField, TextField } from '../../../ui/field.tsx';
import { Ridge } from '../../../ui/ridge.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { Editable } from '../frame/editable.tsx';
import { LeftOverNotice } from '../frame/left-over-notice.tsx';
import { usePost } from '../frame/post-context.ts';
import { useLeftOver } from '../frame/use-left-over.ts';
import { Ledger } from '../ledger/ledger.tsx';
import { HouseChecklist } from './house-checklist.tsx';

/** Release: the whole account of the score, and the ways out. */
export function Release() {
  const { session, site } = usePost();
  const { fields, report } = useAppSelector((state) => state.openPost);
  const navigate = useNavigate();
  const leftOver = useLeftOver(session);
  const [refused, setRefused] = useState('');
  const exportAs = (as: Export) => attempt(exportPost(session, site, as));
  if (!report) return <Waiting className="m-8 h-56" />;
  const [first] = notesOf(report.criteria);
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-5xl px-8 py-7 max-[700px]:px-4">
        <LeftOverNotice postId={session.id} leftOver={leftOver} />
        <section aria-label="Score by group" className="mb-7 flex flex-wrap items-end gap-x-8 gap-y-5">
          <div>
            <p className="text-[64px] leading-none font-semibold">{report.score.toFixed(1)}</p>
            <p className="mt-1 text-soft">of 100 points</p>
          </div>
          <div className="max-w-full overflow-x-auto">
            <Ridge groups={report.groups} width={690} height={104} names />
          </div>
        </section>
        <div className="mb-8 flex flex-wrap items-end gap-x-6 gap-y-4 border-y py-4">
          <p className="mr-auto max-w-sm">
            {first ? (
              <>
                <span className="text-soft">First to mend: </span>
                {first.advice} <ToWin points={first.available - first.points} />
              </>
            ) : (
              'Nothing is left to win. Time to publish.'
            )}
          </p>
          <Editable>
            <div className="w-36">
              <ChoiceField<Status>
                label="Status"
                value={fields.status}
                onChange={(status) => setRefused(setStatus(session, status))}
                options={STATUSES.map((value) => ({ value, name: STATUS_NAMES[value] }))}
              />
            </div>
          </Editable>
          {refused && (
            <p role="alert" className="order-last w-full text-rust">
              {refused}
            </p>
          )}
          <div role="group" aria-label="Export" className="flex flex-wrap gap-2">
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
            <Button onClick={() => navigate(`/posts/${session.id}/reading`)}>
              <Eye size={15} aria-hidden />
              Reader’s view
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
        <Editable>
          <div className="mb-8 grid grid-cols-2 gap-x-8 gap-y-5 max-[820px]:grid-cols-1">
            <HouseChecklist session={session} site={site} />
            <div className="w-64">
              <TextField
                label="Author"
                value={fields.author}
                list={site.house.authors}
                onChange={(author) => session.setFields({ author })}
              />
            </div>
          </div>
        </Editable>
        <Ledger criteria={report.criteria} />
      </div>
    </main>
  );
}
