import { Eye, FileCode, FileJson, FileText, FileType2, Printer } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { DraftReadings, notesOf } from '../../../../core/criteria/index.ts';
import { STATUSES, type Status, writeHtmlPage, writeMarkdown } from '../../../../core/draft/index.ts';
import { scoreReportJson } from '../../../../core/formats/index.ts';
import { effectiveMetaTitle, slugOf } from '../../../../core/listing/index.ts';
import { scorePost } from '../../../../core/scoring/index.ts';
import { indexedPost, isForReaders, publishingNeeds } from '../../../../core/site/index.ts';
import { readScene } from '../../../data/read-scene.ts';
import { sceneOf } from '../../../data/scene.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { download } from '../../../ui/download.ts';
import { ToWin } from '../../../ui/earned.tsx';
import { ChoiceField, TextField } from '../../../ui/field.tsx';
import { listInWords } from '../../../ui/figures.ts';
import { Ridge } from '../../../ui/ridge.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { jobsWorker } from '../../../workers/jobs-client.ts';
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
  const setStatus = (status: Status) => {
    const needs = isForReaders(status) ? publishingNeeds(session.finished) : [];
    if (needs.length > 0) {
      setRefused(`It cannot go out yet: it needs ${listInWords(needs)}.`);
      return;
    }
    setRefused('');
    session.setFields({ status });
  };
  const name = slugOf(fields.slug || fields.title) || 'untitled';
  const exportReport = async () => {
    const data = await readScene(site.id);
    if (!data) return;
    const scene = sceneOf(data);
    const { finished: document } = session;
    const { facts, report: fresh } = scorePost(
      document,
      indexedPost(session.id, document),
      scene,
      new DraftReadings(),
    );
    download(
      `${name}.score.json`,
      JSON.stringify(scoreReportJson(`${name}.md`, 'markdown', facts, fresh), null, 2),
      'application/json',
    );
  };
  const exportDocx = async () => {
    const { file, left, lost } = await (await jobsWorker()).exportDocx(site.id, session.finished);
    download(`${name}.docx`, file);
    const said = [
      ...(left.length
        ? [
            `${left.length} ${left.length === 1 ? 'picture is' : 'pictures are'} named in the text instead of shown.`,
          ]
        : []),
      ...(lost.length ? [`A word processor has nothing for ${listInWords(lost)}.`] : []),
    ];
    if (said.length) toast(said.join(' '), { duration: 12_000 });
  };
  // With pictures it is a folder, zipped: a file alone would show holes where they stand.
  const exportText = async (ending: 'md' | 'html', text: string) => {
    const file = { name: `${name}.${ending}`, text };
    const zip = await (await jobsWorker()).zipWithPictures(site.id, session.finished, file);
    if (zip) download(`${name}.zip`, zip);
    else download(file.name, text, ending === 'md' ? 'text/markdown' : 'text/html');
  };
  const exportHtml = () => {
    const metaTitle = effectiveMetaTitle(fields.metaTitle, fields.title, site.titlePattern, site.name);
    const document = {
      ...session.finished,
      fields: { ...fields, language: fields.language || site.language },
    };
    return exportText('html', writeHtmlPage(document, metaTitle));
  };
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
                onChange={setStatus}
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
            <Button onClick={() => attempt(exportText('md', writeMarkdown(session.finished)))}>
              <FileText size={15} aria-hidden />
              Markdown
            </Button>
            <Button onClick={() => attempt(exportDocx())}>
              <FileType2 size={15} aria-hidden />
              .docx
            </Button>
            <Button onClick={() => attempt(exportHtml())}>
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
            <Button onClick={() => attempt(exportReport())}>
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
