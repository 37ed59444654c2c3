import { useMemo, useState } from 'react';
import { briefOfPost, changeBrief } from '../../../data/briefs.ts';
import { changeChoices } from '../../../data/studies.ts';
import type { StudyRow } from '../../../data/study-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { Panes } from '../../../ui/panes.tsx';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import type { StudyView } from '../../../workers/study.ts';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { BandsPanel } from './bands-panel.tsx';
import { ChangePanel } from './change-panel.tsx';
import { OpenedPage } from './opened-page.tsx';
import { PagesTable } from './pages-table.tsx';
import { QuestionsTab } from './questions-tab.tsx';
import { StatementsTab } from './statements-tab.tsx';
import { addQuestions, copyForPost, takePages, takeStudyOut } from './study-actions.ts';
import { TermMatrix } from './term-matrix.tsx';
import { TermPanel, TermsTab } from './terms-tab.tsx';
import { TopicsTab } from './topics-tab.tsx';
import { UnsaidTab } from './unsaid-tab.tsx';

const TABS = ['pages', 'terms', 'matrix', 'topics', 'questions', 'figures', 'unsaid'] as const;
type Tab = (typeof TABS)[number];
const TAB_NAMES: Record<Tab, string> = {
  pages: 'Pages',
  terms: 'Terms',
  matrix: 'Terms by page',
  topics: 'Topics',
  questions: 'Questions',
  figures: 'Figures',
  unsaid: 'What nobody says',
};

/** What the pages of a study share, tab by tab, and beside it what is in hand. */
export function StudyTabs({ row, view }: { row: StudyRow; view: StudyView }) {
  const { session } = usePost();
  const { fields, words } = useAppSelector((state) => state.openPost);
  const [tab, setTab] = useState<Tab>('pages');
  const [opened, setOpened] = useState('');
  const [term, setTerm] = useState('');
  const brief = useLiveQuery(() => briefOfPost(session.siteId, session.id), [session]);
  const keys = useMemo(() => view.study.terms.map(({ key }) => key), [view]);
  const stamp = JSON.stringify(row.pages.map(({ left }) => left));
  const length = fields.targetWords ?? Math.max(words, Math.round(view.study.bands.words?.median ?? 0));

  const chosenTerm = view.study.terms.find(({ key }) => key === term);
  const counts: Partial<Record<Tab, number>> = {
    pages: view.study.taken.length,
    terms: view.study.terms.length,
    topics: view.study.topics.length,
    questions: view.study.questions.length,
    figures: view.study.statements.length,
    unsaid: view.study.unsaid.length,
  };
  const besides = tab === 'pages' || (tab === 'terms' && chosenTerm);
  return (
    <Panes
      name="study"
      main={
        <TabSet value={tab} onChange={setTab} className="flex min-h-0 min-w-0 flex-1 flex-col">
          <TabRow
            label="What the pages share"
            tabs={TABS.map((id) => ({ id, name: TAB_NAMES[id], count: counts[id] }))}
            className="px-6 pt-1 pb-3"
          />
          <TabPanel of={tab} className="min-h-0 flex-1 overflow-auto px-6 pb-8">
            {tab === 'pages' && (
              <>
                {row.earlier && <ChangePanel studyId={row.id} stamp={stamp} />}
                <PagesTable
                  lines={view.lines}
                  opened={opened}
                  onOpen={setOpened}
                  onTake={(addresses, taken) => attempt(takePages(row.id, addresses, taken))}
                />
                <p className="mt-4 flex flex-wrap gap-x-5 gap-y-1 text-[13px]">
                  {row.posts.length > 1 && (
                    <Button look="word" onClick={() => attempt(copyForPost(row, session.id))}>
                      A copy for this post alone
                    </Button>
                  )}
                  <Button look="word" onClick={() => attempt(takeStudyOut(row.id))}>
                    Take the study out
                  </Button>
                </p>
              </>
            )}
            {tab === 'terms' && (
              <TermsTab
                study={row.id}
                terms={view.study.terms}
                pages={view.study.taken.length}
                choices={row.choices}
                length={length}
                chosen={term}
                onChoose={setTerm}
                onChoices={(change) => changeChoices(row.id, change)}
              />
            )}
            {tab === 'matrix' && <TermMatrix terms={view.study.terms} lines={view.lines} />}
            {tab === 'topics' && <TopicsTab topics={view.study.topics} />}
            {tab === 'questions' && (
              <Editable>
                <QuestionsTab
                  questions={view.study.questions}
                  chosen={fields.questions}
                  onChoose={(text, chosen) =>
                    session.setFields({
                      questions: chosen
                        ? [...fields.questions, text]
                        : fields.questions.filter((each) => each !== text),
                    })
                  }
                  onAdd={(asked) => attempt(addQuestions(row.id, asked))}
                />
              </Editable>
            )}
            {tab === 'figures' && (
              <StatementsTab
                statements={view.study.statements}
                chosen={brief?.figures ?? []}
                onChoose={(statement, chosen) =>
                  attempt(
                    changeBrief(session.siteId, session.id, ({ figures }) => ({
                      figures: chosen
                        ? [...figures, statement]
                        : figures.filter(
                            ({ address, text }) => address !== statement.address || text !== statement.text,
                          ),
                    })),
                  )
                }
              />
            )}
            {tab === 'unsaid' && <UnsaidTab unsaid={view.study.unsaid} />}
          </TabPanel>
        </TabSet>
      }
      side={
        besides ? (
          <aside
            aria-label={tab === 'terms' ? 'Term' : opened ? 'Page' : 'Bands'}
            className="min-h-0 flex-1 overflow-auto"
          >
            {tab === 'terms' && chosenTerm ? (
              <TermPanel studyId={row.id} term={chosenTerm} stamp={stamp} />
            ) : opened ? (
              <OpenedPage studyId={row.id} address={opened} keys={keys} onClose={() => setOpened('')} />
            ) : (
              <BandsPanel study={view.study} lines={view.lines} />
            )}
          </aside>
        ) : null
      }
      sideName="what stands beside the study"
      sideWidth={340}
      below={760}
    />
  );
}
