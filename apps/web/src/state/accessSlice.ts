import type { House } from '@lattice/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How this browser stands to the house: who it is there, and whether the shelf can be written to. */
interface ServerAccess extends House {
  /** It has to be said who one is first. */
  readonly shut: boolean;
}

const initialState: ServerAccess = { who: 'owner', readOnly: null, shared: false, shut: false };

const slice = createSlice({
  name: 'house',
  initialState: initialState as ServerAccess,
  reducers: {
    accessReceived: (_, { payload }: PayloadAction<House>): ServerAccess => ({
      ...payload,
      shut: false,
    }),
    doorShut: (state): ServerAccess => ({ ...state, shut: true }),
  },
});

export const { accessReceived, doorShut } = slice.actions;
export const houseReducer = slice.reducer;
