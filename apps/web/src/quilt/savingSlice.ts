import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { StoredQuilt } from '../app/api.ts';

/** How the plan in hand stands to the one the server keeps. */
export interface Saving {
  readonly id: string | null;
  /** The revision the plan in hand was built on. */
  readonly revision: number;
  readonly state: 'saved' | 'waiting' | 'saving' | 'offline' | 'refused' | 'stale';
  readonly message: string | null;
  /** The newer quilt, when somebody else's change came first. */
  readonly theirs: StoredQuilt | null;
}

const initialState: Saving = { id: null, revision: 0, state: 'saved', message: null, theirs: null };

const slice = createSlice({
  name: 'saving',
  initialState: initialState as Saving,
  reducers: {
    quiltOpened: (_, { payload }: PayloadAction<{ id: string; revision: number }>): Saving => ({
      ...initialState,
      ...payload,
    }),
    saveWaiting: (state): Saving => (state.state === 'stale' ? state : { ...state, state: 'waiting' }),
    saveStarted: (state): Saving => ({ ...state, state: 'saving' }),
    saveDone: (state, { payload }: PayloadAction<{ revision: number; more: boolean }>): Saving => ({
      ...state,
      revision: payload.revision,
      state: payload.more ? 'waiting' : 'saved',
      message: null,
      theirs: null,
    }),
    saveFailed: (
      state,
      { payload }: PayloadAction<{ state: 'offline' | 'refused'; message: string }>,
    ): Saving => ({ ...state, ...payload }),
    foundStale: (state, { payload }: PayloadAction<StoredQuilt>): Saving => ({
      ...state,
      state: 'stale',
      theirs: payload as never,
    }),
    /** The quilter chose which of two versions goes on; both stay in the history. */
    staleSettled: (state, { payload }: PayloadAction<{ revision: number; saved: boolean }>): Saving => ({
      ...state,
      revision: payload.revision,
      state: payload.saved ? 'saved' : 'waiting',
      theirs: null,
      message: null,
    }),
  },
});

export const { quiltOpened, saveWaiting, saveStarted, saveDone, saveFailed, foundStale, staleSettled } =
  slice.actions;
export const savingReducer = slice.reducer;
