import { pacesFrom, sizeDoneIn } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../../state/state.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { selectSittings } from './clock.ts';

/** The maker's pace at every kind of work, from the sittings at all quilts. */
export const selectPaces = createSelector(
  selectSittings,
  (state: RootState) => state.log,
  (state: RootState) => state.saving.id,
  (state: RootState) => selectQuilt(state).finished,
  (state: RootState) => selectPlan(state).unit,
  ({ sittings }, log, id, { width, height }, unit) => {
    const size = { width: width.value, height: height.value, unit };
    return pacesFrom(sittings, sizeDoneIn(log, new Map(id === null ? [] : [[id, size]])), unit);
  },
);
