import { bookingIn, type LogEntry, mergeLogs } from '@lattice/core';
import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { RootState } from '../app/store.ts';

/** The log as far as this browser has heard it: every entry once, in the order things happened. */
const slice = createSlice({
  name: 'log',
  initialState: [] as readonly LogEntry[],
  reducers: {
    /** Entries were made here or heard from the server; ones that are known already change nothing. */
    entriesHeard: (log, { payload }: PayloadAction<readonly LogEntry[]>): readonly LogEntry[] => {
      const known = new Set(log.map((entry) => entry.id));
      return payload.every((entry) => known.has(entry.id)) ? log : mergeLogs(log as LogEntry[], payload);
    },
  },
});

export const { entriesHeard } = slice.actions;
export const logReducer = slice.reducer;

/** The booking the open quilt has; null without one. */
export const selectBooking = createSelector(
  (state: RootState) => state.log,
  (state: RootState) => state.saving.id,
  (state: RootState) => state.plan.present?.unit ?? 'in',
  (log, id, unit) => (id === null ? null : bookingIn(log, id, unit)),
);

/** Quilts whose quilting is booked. */
export const selectBooked = createSelector(
  (state: RootState) => state.log,
  (log): ReadonlySet<string> => {
    const quilts = new Set(log.map((entry) => entry.quilt));
    return new Set([...quilts].filter((quilt) => bookingIn(log, quilt, 'in') !== null));
  },
);
