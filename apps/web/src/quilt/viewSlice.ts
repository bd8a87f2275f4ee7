import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type Theme = 'day' | 'evening';

/** What the quilter looks at: which parts are pointed at, and the light in the room. */
interface View {
  readonly pointed: readonly string[];
  readonly theme: Theme;
  /** The straight grain is marked on the drawing. */
  readonly grain: boolean;
}

const initialState: View = { pointed: [], theme: 'day', grain: false };

const slice = createSlice({
  name: 'view',
  initialState: initialState as View,
  reducers: {
    pointedAt: (state, { payload }: PayloadAction<readonly string[]>): View => ({
      ...state,
      pointed: payload,
    }),
    grainMarked: (state, { payload }: PayloadAction<boolean>): View => ({ ...state, grain: payload }),
    themeChosen: (state, { payload }: PayloadAction<Theme>): View => ({ ...state, theme: payload }),
  },
});

export const { pointedAt, grainMarked, themeChosen } = slice.actions;
export const viewReducer = slice.reducer;
