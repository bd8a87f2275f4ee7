import type { Plan } from '@lattice/core';
import {
  createAction,
  createSlice,
  type Draft,
  type PayloadAction,
  type UnknownAction,
} from '@reduxjs/toolkit';
import undoable, { ActionCreators, ActionTypes, newHistory } from 'redux-undo';

/** The plan in hand; null until a quilt is opened. Facts only: everything worked out is selected from it. */
const slice = createSlice({
  name: 'plan',
  initialState: null as Plan | null,
  reducers: {
    /** A quilt was opened: its plan, with no history yet. */
    planOpened: (_, { payload }: PayloadAction<Plan>) => payload as Draft<Plan>,
    /**
     * The quilter changed something. Changes of one `gesture` (a drag) are undone as one. Frozen at its
     * root, so that the store does not walk through every block to freeze it too.
     */
    planChanged: {
      reducer: (_, { payload }: PayloadAction<Plan, string, { gesture: string | null }>) =>
        payload as Draft<Plan>,
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
/** Whether the plan was gone back or forth in. */
export const isUndoOrRedo = ({ type }: UnknownAction): boolean =>
  type === ActionTypes.UNDO || type === ActionTypes.REDO;
export const clearHistory = ActionCreators.clearHistory;

/** The plan with its past and future, two hundred steps deep. */
const history = undoable(slice.reducer, {
  limit: 200,
  groupBy: (action) => (planChanged.match(action) ? action.meta.gesture : null),
  syncFilter: true,
});

/** Undo and redo as this browser kept them go with the plan they belong to. */
export const historyRestored = createAction<{
  past: readonly Plan[];
  present: Plan;
  future: readonly Plan[];
}>('plan/historyRestored');

export const planReducer: typeof history = (before, action) => {
  if (!historyRestored.match(action)) return history(before, action);
  const { past, present, future } = action.payload;
  return newHistory<Plan | null>([...past], present, [...future]);
};
