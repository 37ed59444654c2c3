import type { ComponentType, ReactNode } from 'react';
import type { RootState } from '../../../../state/store.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { Editable } from '../../frame/editable.tsx';
import { Ledger } from '../../ledger/ledger.tsx';
import { HelpLens } from '../help/help-lens.tsx';
import { LanguageLens } from './language/language-lens.tsx';
import type { LensProps } from './lens-props.ts';
import { LinksLens } from './links/links-lens.tsx';
import { Notes } from './notes/notes.tsx';
import { PicturesLens } from './pictures/pictures-lens.tsx';
import { QuestionsLens } from './questions/questions-lens.tsx';
import { ReviewLens } from './review/review-lens.tsx';
import { SectionsLens } from './sections/sections-lens.tsx';
import { SourcesLens } from './sources/sources-lens.tsx';
import { TalkLens } from './talk/talk-lens.tsx';
import { TermsLens } from './terms/terms-lens.tsx';
import { TrialLens } from './trial/trial-lens.tsx';
import { VoiceLens } from './voice/voice-lens.tsx';

type OpenPost = RootState['openPost'];

/** One way to look at the post from its margin. A new one is one folder and one line in the list below. */
export interface Lens {
  id: string;
  name: string;
  /** What stands with its name on the strip; nothing for null. */
  count: (post: OpenPost, given: Pick<LensProps, 'notes' | 'study'> & { comments: number }) => ReactNode;
  component: ComponentType<LensProps>;
}

const signed = (points: number) => `${points < 0 ? '−' : '+'}${Math.abs(points).toFixed(1)}`;

function LedgerLens() {
  const criteria = useAppSelector((state) => state.openPost.report?.criteria) ?? [];
  return <Ledger narrow criteria={criteria} />;
}

/** The lenses in the order of the strip. */
export const LENSES: readonly Lens[] = [
  { id: 'notes', name: 'Notes', count: (_post, { notes }) => notes.length, component: Notes },
  {
    id: 'terms',
    name: 'Terms',
    count: ({ coverage }, { study }) => (study?.facts ? Object.keys(coverage?.uses ?? {}).length : null),
    component: TermsLens,
  },
  {
    id: 'questions',
    name: 'Questions',
    count: ({ fields }) => fields.questions.length || null,
    component: (props) => (
      <Editable>
        <QuestionsLens {...props} />
      </Editable>
    ),
  },
  {
    id: 'patterns',
    name: 'Patterns',
    count: () => null,
    component: (props) => (
      <Editable>
        <HelpLens {...props} />
      </Editable>
    ),
  },
  { id: 'links', name: 'Links', count: () => null, component: LinksLens },
  { id: 'review', name: 'Review', count: (_post, { comments }) => comments || null, component: ReviewLens },
  { id: 'talk', name: 'Talk', count: () => null, component: TalkLens },
  { id: 'pictures', name: 'Pictures', count: () => null, component: PicturesLens },
  { id: 'sources', name: 'Sources', count: () => null, component: SourcesLens },
  { id: 'language', name: 'Language', count: () => null, component: LanguageLens },
  { id: 'voice', name: 'Voice', count: () => null, component: VoiceLens },
  { id: 'sections', name: 'Sections', count: () => null, component: SectionsLens },
  { id: 'ledger', name: 'Ledger', count: () => null, component: LedgerLens },
  {
    id: 'trial',
    name: 'Try it',
    count: ({ trial, report }) => (trial && report ? signed(report.score - trial.report.score) : null),
    component: () => (
      <Editable>
        <TrialLens />
      </Editable>
    ),
  },
];
