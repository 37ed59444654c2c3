import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { openComments } from '../../../../../core/review/index.ts';
import { database } from '../../../../data/database.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { useLiveQuery } from '../../../../state/use-live-query.ts';
import { TabPanel, TabSet, TabStrip } from '../../../../ui/tabs.tsx';
import { usePost } from '../../frame/post-context.ts';
import { useStudyRow } from '../../study/use-study-row.ts';
import { useTalkRow } from '../../talk/use-talk.ts';
import type { LensProps } from './lens-props.ts';
import { LENSES } from './lenses.tsx';
import { useNotes } from './use-notes.ts';

/** The margin: a strip of lenses, and what the one in hand shows. */
export function Margin(props: Omit<LensProps, 'notes' | 'study'>) {
  const { session } = usePost();
  const post = useAppSelector((state) => state.openPost);
  const study = useStudyRow(session.siteId, session.id) ?? null;
  const notes = useNotes(study?.facts ?? null);
  const review = useLiveQuery(async () => (await database().posts.get(session.id))?.review, [session.id]);
  const hasTalk = Boolean(useTalkRow(session.id));
  const lenses = hasTalk ? LENSES : LENSES.filter(({ id }) => id !== 'talk');
  const comments = review ? openComments(review).length : 0;
  const led = (useLocation().state as { lens?: string } | null)?.lens;
  const [chosen, setChosen] = useState(led ?? LENSES[0].id);
  const pattern = useAppSelector((state) => state.view.pattern);
  useEffect(() => {
    if (pattern !== null) setChosen('patterns');
  }, [pattern]);
  const { component: Shown } = lenses.find(({ id }) => id === chosen) ?? LENSES[0];
  return (
    <TabSet value={chosen} onChange={setChosen} upright className="flex flex-1 items-stretch">
      <div className="w-[62px] shrink-0 bg-sand/25">
        <TabStrip
          label="Margin"
          tabs={lenses.map(({ id, name, count }) => ({
            id,
            name,
            count: count(post, { notes, study, comments }),
          }))}
        />
      </div>
      <TabPanel of={chosen} className="flex min-w-0 flex-1 items-stretch outline-offset-[-2px]">
        <Shown {...props} notes={notes} study={study} />
      </TabPanel>
    </TabSet>
  );
}
