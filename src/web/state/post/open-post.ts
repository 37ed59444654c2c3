import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ScoreReport } from '../../../core/criteria/index.ts';
import { emptyFields, type PostFields } from '../../../core/draft/index.ts';
import type { OutlineItem } from '../../../core/outline/index.ts';
import type { TrialStart } from '../../data/visit-rows.ts';
import type { Coverage, Offers, ScoreAnswer } from '../../workers/scoring-worker.ts';

/** How far what is written has come. */
export type SaveState = 'saved' | 'saving' | 'failed';

/** How far saving has come, and since when or why. */
export type Saving =
  | { save: 'saving' }
  | { save: 'saved' /** UTC instant. */; at: string }
  | { save: 'failed'; problem: string };

/** What the last change did to the score. */
export interface LastChange {
  gain: number;
  /** The criterion that moved most. */
  what: string;
}

export interface OpenPost {
  /** The visit of a post that is shown; empty: none. Whatever another visit sends is refused. */
  session: string;
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
  /** Changes that help, by criterion; those of the last report until the next ones are known. */
  fixes: Offers;
  lastChange: LastChange | null;
  /** How the post stands to its study; null: it has none. */
  coverage: Coverage | null;
  /** How the score stood when the trial under way began; null: none is. */
  trial: TrialStart | null;
}

const initialState: OpenPost = {
  session: '',
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

/** What a session says, with its own sign: two visits of one post are two sessions. */
type Said<Payload> = PayloadAction<{ session: string } & Payload>;

/** A change that only the session shown may make. */
const own =
  <Payload>(change: (state: OpenPost, payload: Payload) => void) =>
  (state: OpenPost, { payload }: Said<Payload>) => {
    if (payload.session === state.session) change(state, payload);
  };

const slice = createSlice({
  name: 'openPost',
  initialState,
  reducers: {
    postOpened: (
      _state,
      {
        payload,
      }: Said<{ id: string; siteId: string; fields: PostFields; outline: OutlineItem[]; changed: string }>,
    ) => ({
      ...initialState,
      session: payload.session,
      id: payload.id,
      siteId: payload.siteId,
      fields: payload.fields,
      outline: payload.outline,
      savedAt: payload.changed,
    }),
    postClosed: (state, { payload }: Said<object>) =>
      payload.session === state.session ? initialState : state,
    /** Fields and outline as the session has them. */
    contentShown: own<{ fields: PostFields; outline: OutlineItem[] }>((state, { fields, outline }) => {
      state.fields = fields;
      state.outline = outline;
    }),
    trialBegun: own<TrialStart>((state, { report, words }) => {
      state.trial = { report, words };
    }),
    trialEnded: own<object>((state) => {
      state.trial = null;
    }),
    presenceSet: own<{ following: boolean }>((state, { following }) => {
      state.following = following;
    }),
    scoringFailed: own<{ reason: string }>((state, { reason }) => {
      state.scoringProblem = reason;
    }),
    saveMoved: own<{ saving: Saving }>((state, { saving }) => {
      state.save = saving.save;
      state.problem = saving.save === 'failed' ? saving.problem : '';
      if (saving.save === 'saved') state.savedAt = saving.at;
    }),
    offered: own<{ offers: Offers }>((state, { offers }) => {
      state.fixes = offers;
    }),
    scored: own<{ answer: ScoreAnswer }>((state, { answer }) => {
      const change = state.report ? changeBetween(state.report as ScoreReport, answer.report) : null;
      if (change) state.lastChange = change;
      state.report = answer.report;
      state.words = answer.words;
      state.coverage = answer.coverage;
      state.scoringProblem = '';
    }),
  },
});

export const {
  postOpened,
  postClosed,
  contentShown,
  presenceSet,
  trialBegun,
  trialEnded,
  saveMoved,
  offered,
  scored,
  scoringFailed,
} = slice.actions;
export const openPostReducer = slice.reducer;
