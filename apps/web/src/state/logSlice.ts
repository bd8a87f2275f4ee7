import { type LogEntry, mergeLogs } from '@lattice/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

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
