import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { importRunReducer } from './import/import-run.ts';
import { lostPostsReducer } from './lost-posts.ts';
import { openPostReducer } from './post/open-post.ts';
import { keepPreferences, preferencesReducer } from './preferences.ts';
import { viewReducer } from './view.ts';

export const store = configureStore({
  reducer: {
    openPost: openPostReducer,
    importRun: importRunReducer,
    preferences: preferencesReducer,
    view: viewReducer,
    lostPosts: lostPostsReducer,
  },
  // Reports are large and made by one worker: walking them on every action would cost more than it finds.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
});

export type RootState = ReturnType<typeof store.getState>;
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();

let preferences = store.getState().preferences;
// From the first visit on, so that a week can be counted from it.
keepPreferences(preferences);
store.subscribe(() => {
  const next = store.getState().preferences;
  if (next === preferences) return;
  preferences = next;
  keepPreferences(next);
});
