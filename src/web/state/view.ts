import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FieldValue } from '../../core/writing/index.ts';

/** How the window is looked at just now; forgotten with it. */
interface View {
  /** The sheet alone. */
  quiet: boolean;
  /** The bar for finding and replacing is open. */
  finding: boolean;
  /** The slug that a published post is about to get; null: none is asked about. */
  slugAsked: { postId: string; slug: string } | null;
  /** The picture on the bench: the block it stands in, or the featured one; null: none. */
  onBench: { blockId: string | null } | null;
  /** The pattern that was asked for by its id (empty: one is to be chosen), with values that are to stand in it; null: none was asked for. */
  pattern: { id: string; values: FieldValue[] | null } | null;
  /** Stretches of the draft that nobody said in its talk, while they are looked at. */
  added: { blockId: string; start: number; end: number; weighty: boolean }[];
}

const slice = createSlice({
  name: 'view',
  initialState: {
    quiet: false,
    finding: false,
    slugAsked: null,
    onBench: null,
    pattern: null,
    added: [],
  } as View,
  reducers: {
    quietSet: (state, { payload }: PayloadAction<boolean>) => {
      state.quiet = payload;
    },
    findingSet: (state, { payload }: PayloadAction<boolean>) => {
      state.finding = payload;
    },
    slugAsked: (state, { payload }: PayloadAction<View['slugAsked']>) => {
      state.slugAsked = payload;
    },
    benchSet: (state, { payload }: PayloadAction<View['onBench']>) => {
      state.onBench = payload;
    },
    addedShown: (state, { payload }: PayloadAction<View['added']>) => {
      state.added = payload;
    },
    patternAsked: (state, { payload }: PayloadAction<View['pattern']>) => {
      state.pattern = payload;
    },
  },
});

export const { addedShown, quietSet, findingSet, slugAsked, benchSet, patternAsked } = slice.actions;
export const viewReducer = slice.reducer;
