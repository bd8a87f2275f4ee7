import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How this browser stands to the house: who it is there, and whether the shelf can be written to. */
export interface ServerAccess {
  /** Whoever sits at the machine, or somebody from the local network and what they may. */
  readonly who: 'owner' | 'edit' | 'view';
  /** Why nothing can be saved, in words that end a sentence; null where it can. */
  readonly readOnly: string | null;
  readonly shared: boolean;
  /** It has to be said who one is first. */
  readonly shut: boolean;
}

const initialState: ServerAccess = { who: 'owner', readOnly: null, shared: false, shut: false };

const slice = createSlice({
  name: 'house',
  initialState: initialState as ServerAccess,
  reducers: {
    accessReceived: (_, { payload }: PayloadAction<Omit<ServerAccess, 'shut'>>): ServerAccess => ({
      ...payload,
      shut: false,
    }),
    doorShut: (state): ServerAccess => ({ ...state, shut: true }),
  },
});

export const { accessReceived, doorShut } = slice.actions;
export const houseReducer = slice.reducer;
