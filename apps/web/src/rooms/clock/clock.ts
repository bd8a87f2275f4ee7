import { type Running, sittingsIn, type Work } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../../state/state.ts';
import { type Said, writeLog } from '../../sync/outbox/writeLog.ts';
import type { Thunk } from '../../sync/thunk.ts';

/** Every sitting of the maker, whatever quilt it was at, and the clock that runs. */
export const selectSittings = createSelector(
  (state: RootState) => state.log,
  (log) => sittingsIn(log),
);

/** Sits down to work; a clock that runs elsewhere is stopped by that, and one that was left on says so. */
export const clockStarted =
  (work: Work, step?: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'clock-started', body: { work, ...(step ? { step } : {}) } }]));
  };

/** The clock of this quilt's work, if it runs, goes on at another step. */
export const clockMoved =
  (work: Work, step: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { running } = selectSittings(getState());
    if (!running || running.work !== work || running.quilt !== getState().saving.id) return;
    if (running.step !== step)
      await dispatch(writeLog([{ kind: 'clock-moved', body: { start: running.id, step } }]));
  };

/** Gets up: by the clock, or after so many minutes where it was forgotten. */
export const clockStopped =
  ({ id, quilt }: Running, minutes: number | null): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'clock-stopped', body: { start: id, minutes } }], quilt));
  };

/** Time typed in: so long, how much was done where that is known, and at which step if that is said. */
export const timeNoted =
  (work: Work, minutes: number, amount: number | null, step: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    const body = { work, minutes, amount, ...(step === '' ? {} : { step }) };
    await dispatch(writeLog([{ kind: 'time-noted', body }]));
  };

/** Time that does not count, or counts again. */
export const sittingExcluded =
  (entry: string, quilt: string, struck: boolean): Thunk<Promise<void>> =>
  async (dispatch) => {
    const said: Said = { kind: 'time-struck', body: { entry, struck } };
    await dispatch(writeLog([said], quilt));
  };
