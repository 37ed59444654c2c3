import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { HeldPosts } from '../data/held-posts.ts';

/** Posts that this browser held and that are gone from its storage; null: none are missing. */
const slice = createSlice({
  name: 'lostPosts',
  initialState: null as HeldPosts | null,
  reducers: {
    postsMissed: (_state, { payload }: PayloadAction<HeldPosts>) => payload,
    /** They were brought back, or are not missed. */
    postsFound: () => null,
  },
});

export const { postsMissed, postsFound } = slice.actions;
export const lostPostsReducer = slice.reducer;
