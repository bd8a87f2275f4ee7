import { type LogEntry, STASH, type StashPiece, stashIn, type Unit } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../../state/state.ts';
import { newId } from '../../browser/tabs.ts';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import type { Thunk } from '../../sync/thunk.ts';

type Put = Extract<LogEntry, { kind: 'stash-put' }>['body'];
type Moved = Extract<LogEntry, { kind: 'stash-moved' }>['body'];

/** The maker's stash by the log; lengths in the unit asked for. */
export const selectStash: (state: RootState, unit: Unit) => readonly StashPiece[] = createSelector(
  (state: RootState) => state.log,
  (_: RootState, unit: Unit) => unit,
  (log, unit) => stashIn(log, unit),
);

/** Puts cloth into the stash, or says something else of cloth that is there. */
export const putInStash =
  (pieces: readonly (Omit<Put, 'id'> & { readonly id?: string })[]): Thunk<Promise<void>> =>
  async (dispatch) => {
    const said = pieces.map((piece) => ({
      kind: 'stash-put' as const,
      body: { ...piece, id: piece.id ?? newId() },
    }));
    await dispatch(writeLog(said, STASH));
  };

/** Sets pieces aside for a cloth, gives them back, or says that they are gone. */
export const moveStash =
  (body: Moved): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'stash-moved', body }], STASH));
  };
