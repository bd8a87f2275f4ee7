import type { LongArmAnswer } from '@lattice/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { OutboxItem } from './items.ts';

/** An item as the screen knows it: what it is of, without what it carries. */
export type ShownItem = Pick<OutboxItem, 'id' | 'kind' | 'quilt' | 'tab' | 'order' | 'refused'> & {
  readonly block?: string;
  /** Of a new quilt: what it is called. */
  readonly title?: string;
};

/** What waits to be sent, and how the last try went. */
interface Waiting {
  readonly items: readonly ShownItem[];
  /** Why it waits; null while nothing keeps it. */
  readonly message: string | null;
  /** Not even this browser keeps it: it goes with the tab. */
  readonly fleeting: boolean;
  /** The long-arm service's last answer to a booking, by the item's id. */
  readonly bookings: Readonly<Record<string, LongArmAnswer>>;
  /** What was done to a block's picture that one would want to know, by the block's id. */
  readonly pictureNotes: Readonly<Record<string, readonly string[]>>;
}

const initialState: Waiting = { items: [], message: null, fleeting: false, bookings: {}, pictureNotes: {} };

const slice = createSlice({
  name: 'outbox',
  initialState: initialState as Waiting,
  reducers: {
    itemsChanged: (state, { payload }: PayloadAction<readonly ShownItem[]>): Waiting => ({
      ...state,
      items: payload,
      message: payload.some((item) => item.refused === undefined) ? state.message : null,
    }),
    sendingStarted: (state): Waiting => (state.message === null ? state : { ...state, message: null }),
    sendingWaits: (state, { payload }: PayloadAction<string>): Waiting => ({ ...state, message: payload }),
    keptInMemory: (state): Waiting => ({ ...state, fleeting: true }),
    bookingAnswered: (state, { payload }: PayloadAction<{ id: string; answer: LongArmAnswer }>): Waiting => ({
      ...state,
      bookings: { ...state.bookings, [payload.id]: payload.answer },
    }),
    pictureTaken: (
      state,
      { payload }: PayloadAction<{ block: string; notes: readonly string[] }>,
    ): Waiting => ({ ...state, pictureNotes: { ...state.pictureNotes, [payload.block]: payload.notes } }),
  },
});

export const { itemsChanged, sendingStarted, sendingWaits, keptInMemory, bookingAnswered, pictureTaken } =
  slice.actions;
export const outboxReducer = slice.reducer;
