import type { Plan } from '@lattice/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import undoable, { ActionCreators, ActionTypes, type StateWithHistory } from 'redux-undo';

/** The plan in hand; null until a quilt is opened. Facts only: everything worked out is selected from it. */
const slice = createSlice({
  name: 'plan',
  initialState: null as Plan | null,
  reducers: {
    /** A quilt was opened: its plan, with no history yet. */
    planOpened: (_, { payload }: PayloadAction<Plan>) => payload as never,
    /**
     * The quilter changed something. Changes of one `gesture` (a drag) are undone as one. Frozen at its
     * root, so that the store does not walk through every block to freeze it too.
     */
    planChanged: {
      reducer: (_, { payload }: PayloadAction<Plan, string, { gesture: string | null }>) => payload as never,
      prepare: (plan: Plan, gesture: string | null = null) => ({
        payload: Object.freeze(plan),
        meta: { gesture },
      }),
    },
  },
});

export const { planOpened, planChanged } = slice.actions;
export const undo = ActionCreators.undo;
export const redo = ActionCreators.redo;
export const clearHistory = ActionCreators.clearHistory;

export type PlanHistory = StateWithHistory<Plan | null>;

/** The plan with its past and future, two hundred steps deep. */
const history = undoable(slice.reducer, {
  limit: 200,
  groupBy: (action) => (planChanged.match(action) ? action.meta.gesture : null),
  syncFilter: true,
});

/**
 * Undo takes back what was decided, not what a service has taken on: a booking stays, and one that was cancelled
 * stays so, whichever plan is gone back to.
 */
export const planReducer: typeof history = (before, action) => {
  const after = history(before, action);
  const went = action.type === ActionTypes.UNDO || action.type === ActionTypes.REDO;
  if (!went || !before?.present || !after.present) return after;
  const { booking } = before.present.quilting;
  const { quilting } = after.present;
  if (JSON.stringify(quilting.booking) === JSON.stringify(booking)) return after;
  const present = Object.freeze({
    ...after.present,
    quilting: { ...quilting, booking, by: booking ? ('long-arm' as const) : quilting.by },
  });
  return { ...after, present, _latestUnfiltered: present };
};
