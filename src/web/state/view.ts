import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How the window is looked at just now; forgotten with it. */
interface View {
  /** The sheet alone. */
  quiet: boolean;
  /** The bar for finding and replacing is open. */
  finding: boolean;
}

const slice = createSlice({
  name: 'view',
  initialState: { quiet: false, finding: false } as View,
  reducers: {
    quietSet: (state, { payload }: PayloadAction<boolean>) => {
      state.quiet = payload;
    },
    findingSet: (state, { payload }: PayloadAction<boolean>) => {
      state.finding = payload;
    },
  },
});

export const { quietSet, findingSet } = slice.actions;
export const viewReducer = slice.reducer;
