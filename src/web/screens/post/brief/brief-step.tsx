import { ClipboardCopy, FileDown, Printer } from 'lucide-react';
import { useMemo } from 'react';
import { wholeProfile } from '../../../../core/criteria/index.ts';
import { emptyFields, readMarkdown, writeDocx } from '../../../../core/draft/index.ts';
import { slugOf } from '../../../../core/listing/index.ts';
import { briefInstructions, briefMarkdown, briefOf } from '../../../../core/writing/index.ts';
import { briefOfPost, changeBrief } from '../../../data/briefs.ts';
import type { BriefRow } from '../../../data/study-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { download } from '../../../ui/download.ts';
import { DraftView } from '../../../ui/draft-view.tsx';
import { Panes } from '../../../ui/panes.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { useStudyRow } from '../study/use-study-row.ts';
import { BriefParts } from './brief-parts.tsx';
import { ComesBack } from './comes-back.tsx';

/** Brief: what another writer needs to know, part by part, and the ways to hand it over and take the text in. */
export function BriefStep() {
  const { session, site } = usePost();
  const { fields, outline } = useAppSelector((state) => state.openPost);
  const study = useStudyRow(session.siteId, session.id);
  const row = useLiveQuery(() => briefOfPost(session.siteId, session.id), [session]);
  const bodyWords = wholeProfile(site.profile).limits.bodyWords;
  const brief = useMemo(
    () => (row ? briefOf(fields, outline, study?.facts ?? null, row, bodyWords) : null),
    [fields, outline, study, row, bodyWords],
  );
  const markdown = useMemo(() => (brief ? briefMarkdown(brief) : ''), [brief]);
  const draft = useMemo(() => readMarkdown(markdown).draft, [markdown]);
  if (!row || !brief || study === undefined) return <Waiting className="m-6 h-60" />;
  const name = `brief-${slugOf(fields.title || fields.keyword) || 'untitled'}`;
  const change = (patch: Partial<BriefRow>) => attempt(changeBrief(session.siteId, session.id, () => patch));
  const instructions = briefInstructions(brief);
  const docx = async () => {
    const title = fields.title || fields.keyword || 'Untitled';
    const { bytes } = await writeDocx(
      {
        fields: { ...emptyFields(), title: `Brief: ${title}` },
        draft: { ...draft, blocks: draft.blocks.slice(1) },
      },
      new Map(),
    );
    const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
    download(`${name}.docx`, new Blob([bytes], { type }));
  };
  return (
    <main className="flex h-full min-h-0 flex-col print:block print:h-auto">
      <Panes
        name="brief"
        main={
          <section
            aria-label="Parts of the brief"
            className="min-h-0 min-w-0 flex-1 overflow-auto px-6 py-5 print:hidden"
          >
            <div className="mb-4 flex flex-wrap items-baseline gap-x-4">
              <h2 className="font-serif text-xl font-semibold">Brief</h2>
              <p className="text-[13px] text-soft">
                {study ? (
                  `Terms, topics and length from the study of "${study.query}".`
                ) : (
                  <>
                    Without a study it knows no terms and topics.{' '}
                    <WordLink to="../study" relative="path" quiet>
                      Study the result pages
                    </WordLink>
                  </>
                )}
              </p>
            </div>
            <Editable>
              <BriefParts brief={brief} row={row} study={study} onChange={change} />
            </Editable>
          </section>
        }
        side={
          <section aria-label="The brief as it is handed over" className="flex min-h-0 flex-1 flex-col">
            <div className="flex flex-wrap gap-2 border-b px-5 py-3 print:hidden">
              <Button
                look="main"
                onClick={() =>
                  attempt(copyText(instructions, 'The brief is copied as instructions.', `${name}.txt`))
                }
              >
                <ClipboardCopy size={15} aria-hidden />
                Copy as instructions
              </Button>
              <Button onClick={() => download(`${name}.md`, markdown, 'text/markdown')}>
                <FileDown size={15} aria-hidden />
                Markdown
              </Button>
              <Button onClick={() => attempt(docx())}>
                <FileDown size={15} aria-hidden />
                .docx
              </Button>
              <Button onClick={() => print()}>
                <Printer size={15} aria-hidden />
                Print
              </Button>
            </div>
            <div className="min-h-0 flex-1 overflow-auto px-5 py-4 print:overflow-visible">
              <article
                aria-label="Brief to read"
                className="rounded-md border bg-sheet px-6 py-5 print:border-0 print:p-0"
              >
                <DraftView blocks={draft.blocks} />
              </article>
              <Editable>
                <ComesBack instructions={instructions} />
              </Editable>
            </div>
          </section>
        }
        sideName="the brief as it is handed over"
        sideWidth={540}
        least={360}
        mainLeast={420}
        below={900}
      />
    </main>
  );
}
