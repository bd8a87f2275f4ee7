import type { CuttingManner, FoundSheet } from '@lattice/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

import { planChanged } from './planSlice.ts';
import { quiltOpened } from './savingSlice.ts';

export type Theme = 'day' | 'evening';

/** What the quilter looks at: which parts are pointed at, and the light in the room. */
interface View {
  readonly pointed: readonly string[];
  readonly theme: Theme;
  /** A tape is in the hand, or about to be. */
  readonly held: boolean;
  /** The straight grain is marked on the drawing. */
  readonly grain: boolean;
  /** Why the last change was not taken, until it is said beside its field or another is taken. */
  readonly refused: string | null;
  /** How cloths are to be cut that are not begun, by quilt and cloth. */
  readonly ways: Readonly<Record<string, ChosenWay>>;
}

/** The manner, and a plan that a longer search found. */
export interface ChosenWay {
  readonly manner: CuttingManner;
  readonly found: FoundSheet | null;
}

/** The key a cloth of a quilt has there. */
export const wayKey = (quilt: string, cloth: string): string => `${quilt} ${cloth}`;

const initialState: View = { pointed: [], theme: 'day', held: false, grain: false, refused: null, ways: {} };

const slice = createSlice({
  name: 'view',
  initialState: initialState as View,
  reducers: {
    pointedAt: (state, { payload }: PayloadAction<readonly string[]>): View =>
      payload.join() === state.pointed.join() ? state : { ...state, pointed: payload },
    grainMarked: (state, { payload }: PayloadAction<boolean>): View => ({ ...state, grain: payload }),
    tapeHeld: (state, { payload }: PayloadAction<boolean>): View =>
      state.held === payload ? state : { ...state, held: payload },
    editRefused: (state, { payload }: PayloadAction<string>): View => ({ ...state, refused: payload }),
    refusalAnswered: (state): View => (state.refused === null ? state : { ...state, refused: null }),
    wayChosen: (state, { payload: { of, way } }: PayloadAction<{ of: string; way: ChosenWay }>): View => ({
      ...state,
      ways: { ...state.ways, [of]: way },
    }),
    themeChosen: (state, { payload }: PayloadAction<Theme>): View => ({ ...state, theme: payload }),
  },
  // Marks are made on one quilt, and the next is come to without them.
  extraReducers: (build) =>
    build
      .addCase(quiltOpened, (state): View => ({
        ...state,
        pointed: [],
        held: false,
        grain: false,
        refused: null,
      }))
      .addCase(planChanged, (state): View => (state.refused === null ? state : { ...state, refused: null })),
});

export const { pointedAt, tapeHeld, grainMarked, editRefused, refusalAnswered, wayChosen, themeChosen } =
  slice.actions;
export const viewReducer = slice.reducer;
