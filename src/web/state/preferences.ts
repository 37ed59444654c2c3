import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { remember, remembered } from '../ui/remembered.ts';

export type Theme = 'system' | 'light' | 'dark';
/** How the margin orders its notes. */
export type NoteOrder = 'place' | 'points';

interface Preferences {
  theme: Theme;
  noteOrder: NoteOrder;
  /** Earned criteria stand under the notes too. */
  showEarned: boolean;
  /** The listing as a phone shows it. */
  phoneListing: boolean;
  /** Columns that are left out, by table: `posts`, `phrases`. */
  hiddenColumns: Record<string, string[]>;
  /** UTC instant of the last backup; empty before the first. */
  lastBackup: string;
  /** UTC instant from which a week is counted to the next reminder of a backup. */
  remindFrom: string;
}

const KEY = 'dune-sparrow-preferences';

/** What was kept from last time; storage may be refused, then the defaults hold. */
function kept(): Preferences {
  const defaults: Preferences = {
    theme: 'system',
    noteOrder: 'place',
    showEarned: false,
    phoneListing: false,
    hiddenColumns: {},
    lastBackup: '',
    remindFrom: new Date().toISOString(),
  };
  try {
    return { ...defaults, ...JSON.parse(remembered(KEY) ?? '{}') };
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
    showEarnedSet: (state, { payload }: PayloadAction<boolean>) => {
      state.showEarned = payload;
    },
    phoneListingSet: (state, { payload }: PayloadAction<boolean>) => {
      state.phoneListing = payload;
    },
    columnsHidden: (
      state,
      { payload: { table, hidden } }: PayloadAction<{ table: string; hidden: string[] }>,
    ) => {
      state.hiddenColumns[table] = hidden;
    },
    backupSaved: (state, { payload }: PayloadAction<string>) => {
      state.lastBackup = payload;
    },
    backupPutOff: (state, { payload }: PayloadAction<string>) => {
      state.remindFrom = payload;
    },
  },
});

/** Keeps preferences for next time. */
export const keepPreferences = (preferences: Preferences): void => remember(KEY, JSON.stringify(preferences));

export const {
  themeChosen,
  noteOrderChosen,
  showEarnedSet,
  phoneListingSet,
  columnsHidden,
  backupSaved,
  backupPutOff,
} = slice.actions;
export const preferencesReducer = slice.reducer;
