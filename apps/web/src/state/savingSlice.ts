import type { StoredQuilt } from '@lattice/contract';
import type { Plan } from '@lattice/core';
import { createAction, createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How the plan in hand stands to the one the server keeps. */
export interface Saving {
  readonly id: string | null;
  /** The revision the plan in hand was built on. */
  readonly revision: number;
  /** The plan of that revision; null where it is not known, as of a draft from before it was kept. */
  readonly base: Plan | null;
  /** What was sent since that revision and not answered yet, the latest last: the server may have taken any of it. */
  readonly unanswered: readonly Plan[];
  readonly state: 'saved' | 'waiting' | 'saving' | 'offline' | 'refused' | 'stale';
  readonly message: string | null;
  /** The newer quilt, when somebody else's change came first. */
  readonly theirs: StoredQuilt | null;
  /** That changes of somebody else were put together with these, and whose; null where none were. */
  readonly together: string | null;
}

/** What is known of a quilt when it is opened. */
type Opening = Pick<Saving, 'id' | 'revision' | 'base'> & Partial<Pick<Saving, 'unanswered'>>;

/** Tries without an answer that are remembered; the pauses between them grow, so it takes a long while to be more. */
const UNANSWERED_KEPT = 8;

const initialState: Saving = {
  id: null,
  revision: 0,
  base: null,
  unanswered: [],
  state: 'saved',
  message: null,
  theirs: null,
  together: null,
};

/** From here on changes of the open quilt are the maker's: what it was opened with has been told before. */
export const tellingFrom = createAction('saving/tellingFrom');

const slice = createSlice({
  name: 'saving',
  initialState: initialState as Saving,
  reducers: {
    quiltOpened: (_, { payload }: PayloadAction<Opening>): Saving => ({
      ...initialState,
      ...payload,
    }),
    saveWaiting: (state): Saving => (state.state === 'stale' ? state : { ...state, state: 'waiting' }),
    saveStarted: (state, { payload }: PayloadAction<Plan>): Saving => ({
      ...state,
      state: 'saving',
      unanswered: [...state.unanswered, payload].slice(-UNANSWERED_KEPT),
    }),
    saveDone: (
      state,
      { payload }: PayloadAction<{ revision: number; base: Plan; more: boolean }>,
    ): Saving => ({
      ...state,
      revision: payload.revision,
      base: payload.base,
      unanswered: [],
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
      theirs: payload,
    }),
    /** What was changed elsewhere is taken into account: what goes on is made to that revision. */
    staleSettled: (
      state,
      { payload }: PayloadAction<{ theirs: StoredQuilt; saved: boolean; together?: string }>,
    ): Saving => ({
      ...state,
      revision: payload.theirs.revision,
      base: payload.theirs.plan,
      unanswered: [],
      state: payload.saved ? 'saved' : 'waiting',
      theirs: null,
      message: null,
      together: payload.together ?? null,
    }),
    /** A draft that stands already, with its undo, has only to be sent. */
    draftStands: (state): Saving => ({ ...state, state: 'waiting' }),
    togetherSeen: (state): Saving => ({ ...state, together: null }),
  },
});

export const {
  quiltOpened,
  saveWaiting,
  saveStarted,
  saveDone,
  saveFailed,
  foundStale,
  staleSettled,
  draftStands,
  togetherSeen,
} = slice.actions;
export const savingReducer = slice.reducer;
