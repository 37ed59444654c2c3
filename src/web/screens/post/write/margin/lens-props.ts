import type { RefObject } from 'react';
import type { CriterionResult } from '../../../../../core/criteria/index.ts';
import type { StudyRow } from '../../../../data/study-rows.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';

/** What every lens of the margin is given. */
export interface LensProps {
  body: BodyEditor;
  /** The column that holds the sheet; places of notes are measured within it. */
  column: RefObject<HTMLDivElement | null>;
  /** The note whose words are marked in the text. */
  inHand: string | null;
  setInHand: (id: string | null) => void;
  /** The note that was asked for from the sheet: it stands on its line. */
  pinned: string | null;
  /** What is to be mended, most points first. */
  notes: CriterionResult[];
  /** The study that the post goes by; null: none. */
  study: StudyRow | null;
}
