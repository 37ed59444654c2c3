import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type Theme = 'system' | 'light' | 'dark';
/** How the margin orders its notes. */
export type NoteOrder = 'place' | 'points';

interface Preferences {
  theme: Theme;
  noteOrder: NoteOrder;
}

const KEY = 'dune-sparrow-preferences';

/** What was kept from last time; storage may be refused, then the defaults hold. */
function kept(): Preferences {
  const defaults: Preferences = { theme: 'system', noteOrder: 'place' };
  try {
    return { ...defaults, ...JSON.parse(localStorage.getItem(KEY) ?? '{}') };
  } catch {
    return defaults;
  }
}

const slice = createSlice({
  name: 'preferences',
  initialState: kept,
  reducers: {
    themeChosen: (state, { payload }: PayloadAction<Theme>) => {
      state.theme = payload;
    },
    noteOrderChosen: (state, { payload }: PayloadAction<NoteOrder>) => {
      state.noteOrder = payload;
    },
  },
});

/** Keeps preferences for next time. */
export function keepPreferences(preferences: Preferences): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(preferences));
  } catch {
    // A private window refuses storage: the choice holds until it is closed.
  }
}

export const { themeChosen, noteOrderChosen } = slice.actions;
export const preferencesReducer = slice.reducer;
