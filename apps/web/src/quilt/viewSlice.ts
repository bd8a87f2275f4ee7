import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type Theme = 'day' | 'evening';

/** What the quilter looks at: which parts are pointed at, and the light in the room. */
interface View {
  readonly pointed: readonly string[];
  readonly theme: Theme;
}

const initialState: View = { pointed: [], theme: 'day' };

const slice = createSlice({
  name: 'view',
  initialState: initialState as View,
  reducers: {
    pointedAt: (state, { payload }: PayloadAction<readonly string[]>): View => ({ ...state, pointed: payload }),
    themeChosen: (state, { payload }: PayloadAction<Theme>): View => ({ ...state, theme: payload }),
  },
});

export const { pointedAt, themeChosen } = slice.actions;
export const viewReducer = slice.reducer;
