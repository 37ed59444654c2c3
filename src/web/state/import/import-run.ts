import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** One line of an import's account. */
export interface AccountLine {
  /** The file, with its path. */
  file: string;
  outcome: 'new' | 'replaced' | 'left' | 'pages' | 'settings' | 'refused';
  /** What became of it, in words. */
  said: string;
  /** What was guessed or left out. */
  notes: string[];
  /** The post that it became. */
  postId: string | null;
}

/** Stands in the place of a file where something could not be taken back. */
export const TAKEN_BACK_BUT = 'Taken back, but';

interface ImportRun {
  state: 'idle' | 'running' | 'done' | 'stopped' | 'undoing' | 'undone';
  done: number;
  total: number;
  /** The file in hand. */
  current: string;
  lines: AccountLine[];
}

const initialState: ImportRun = { state: 'idle', done: 0, total: 0, current: '', lines: [] };

const slice = createSlice({
  name: 'importRun',
  initialState,
  reducers: {
    importStarted: () => ({ ...initialState, state: 'running' as const }),
    importMoved: (
      state,
      { payload }: PayloadAction<{ done: number; total: number; current: string; lines: AccountLine[] }>,
    ) => {
      Object.assign(state, { done: payload.done, total: payload.total, current: payload.current });
      state.lines = [...state.lines, ...payload.lines];
    },
    importEnded: (state, { payload }: PayloadAction<'done' | 'stopped' | 'undoing' | 'undone'>) => {
      state.state = payload;
      state.current = '';
    },
    importForgotten: () => initialState,
  },
});

export const { importStarted, importMoved, importEnded, importForgotten } = slice.actions;
export const importRunReducer = slice.reducer;
