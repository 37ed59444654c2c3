import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ScoreReport } from '../../core/criteria/index.ts';
import { emptyFields, type PostFields } from '../../core/draft/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import type { Coverage, OfferedFix, ScoreAnswer } from '../workers/scoring-worker.ts';

/** How far what is written has come. */
export type SaveState = 'saved' | 'saving' | 'failed';

/** What the last change did to the score. */
export interface LastChange {
  gain: number;
  /** The criterion that moved most. */
  what: string;
}

export interface OpenPost {
  id: string | null;
  siteId: string;
  fields: PostFields;
  outline: OutlineItem[];
  save: SaveState;
  /** UTC instant of the last save; empty before the first. */
  savedAt: string;
  /** Why saving failed, in words. */
  problem: string;
  /** Another tab writes this post; this one shows what it writes. */
  following: boolean;
  /** Why scoring stopped, in words; empty where it runs. */
  scoringProblem: string;
  report: ScoreReport | null;
  words: number;
  fixes: Record<string, OfferedFix[]>;
  lastChange: LastChange | null;
  /** How the post stands to its study; null: it has none. */
  coverage: Coverage | null;
  /** How the score stood when the trial under way began; null: none is. */
  trial: { report: ScoreReport; words: number } | null;
}

const initialState: OpenPost = {
  id: null,
  siteId: '',
  fields: emptyFields(),
  outline: [],
  save: 'saved',
  savedAt: '',
  problem: '',
  following: false,
  scoringProblem: '',
  report: null,
  words: 0,
  fixes: {},
  lastChange: null,
  coverage: null,
  trial: null,
};

/** Below this a change of the score is none that a reader would see. */
const VISIBLE = 0.05;

function changeBetween(before: ScoreReport, after: ScoreReport): LastChange | null {
  const gain = after.score - before.score;
  if (Math.abs(gain) < VISIBLE) return null;
  let most = after.criteria[0];
  let size = 0;
  after.criteria.forEach((line, at) => {
    const moved = Math.abs(
      line.points - line.available - (before.criteria[at].points - before.criteria[at].available),
    );
    if (moved > size) {
      size = moved;
      most = line;
    }
  });
  return { gain, what: most.title };
}

const slice = createSlice({
  name: 'openPost',
  initialState,
  reducers: {
    postOpened: (
      _state,
      {
        payload,
      }: PayloadAction<{
        id: string;
        siteId: string;
        fields: PostFields;
        outline: OutlineItem[];
        changed: string;
      }>,
    ) => ({
      ...initialState,
      id: payload.id,
      siteId: payload.siteId,
      fields: payload.fields,
      outline: payload.outline,
      savedAt: payload.changed,
    }),
    postClosed: () => initialState,
    /** What another tab wrote, or what was put back from a version. */
    contentSet: (
      state,
      { payload }: PayloadAction<{ fields: PostFields; outline: OutlineItem[]; changed: string }>,
    ) => {
      state.fields = payload.fields;
      state.outline = payload.outline;
      state.savedAt = payload.changed;
    },
    trialBegun: (state) => {
      if (state.report) state.trial = { report: state.report, words: state.words };
    },
    trialEnded: (state) => {
      state.trial = null;
    },
    presenceSet: (state, { payload }: PayloadAction<{ following: boolean }>) => {
      state.following = payload.following;
    },
    scoringFailed: (state, { payload }: PayloadAction<string>) => {
      state.scoringProblem = payload;
    },
    fieldsSet: (state, { payload }: PayloadAction<Partial<PostFields>>) => {
      Object.assign(state.fields, payload);
    },
    outlineSet: (state, { payload }: PayloadAction<OutlineItem[]>) => {
      state.outline = payload;
    },
    saveStarted: (state) => {
      state.save = 'saving';
    },
    saved: (state, { payload }: PayloadAction<string>) => {
      state.save = 'saved';
      state.savedAt = payload;
      state.problem = '';
    },
    saveFailed: (state, { payload }: PayloadAction<string>) => {
      state.save = 'failed';
      state.problem = payload;
    },
    scored: (state, { payload }: PayloadAction<ScoreAnswer>) => {
      if (payload.postId !== state.id) return;
      const change = state.report ? changeBetween(state.report as ScoreReport, payload.report) : null;
      if (change) state.lastChange = change;
      state.report = payload.report;
      state.words = payload.words;
      state.fixes = payload.fixes;
      state.coverage = payload.coverage;
      state.scoringProblem = '';
    },
  },
});

export const {
  postOpened,
  postClosed,
  contentSet,
  presenceSet,
  trialBegun,
  trialEnded,
  fieldsSet,
  outlineSet,
  saveStarted,
  saved,
  saveFailed,
  scored,
  scoringFailed,
} = slice.actions;
export const openPostReducer = slice.reducer;
