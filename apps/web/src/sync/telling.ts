import type { Plan } from '@lattice/core';
import { createListenerMiddleware, isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import type { RootState } from '../state/state.ts';
import { writeLog } from './outbox/writeLog.ts';
import { planChanged, isUndoOrRedo } from '../state/planSlice.ts';
import { staleSettled, tellingFrom } from '../state/savingSlice.ts';
import type { AppDispatch, Thunk } from './thunk.ts';

/** So long after the last change what was decided is told: a drag is one decision. */
const QUIET_MS = 4000;

/** The plan as the journal knows it, of the quilt that is open. */
interface Told {
  readonly quilt: string;
  readonly plan: Plan;
}

/**
 * Tells the journal what was decided and measured, in words, a moment after the hand rests; at once when the page is
 * left. Whoever only looks decides nothing.
 */
export function tellingMiddleware() {
  const listening = createListenerMiddleware<RootState, AppDispatch>();
  let told: Told | null = null;
  /** As it was left by the last change: another quilt may lie open by the time it is told. */
  let latest: Plan | null = null;
  const tell = (): Thunk<Promise<void>> => async (dispatch, getState) => {
    if (!told || !latest || getState().house.who === 'view') return;
    const { quilt, plan: before } = told;
    const after = latest;
    if (before === after) return;
    told = { quilt, plan: after };
    // What finds the words takes more script than a first screen should.
    const { planChangesBetween } = await import('./tellChanges.ts');
    const changes = planChangesBetween(before, after);
    if (changes.length > 0)
      await dispatch(writeLog([{ kind: 'plan-changed', body: { changes: changes.slice(0, 200) } }], quilt));
  };
  listening.startListening({
    actionCreator: tellingFrom,
    effect: (_, { getState, dispatch }) => {
      const { plan, saving } = getState();
      // What was decided of the quilt before is told first.
      dispatch(tell());
      latest = null;
      told = plan.present && saving.id ? { quilt: saving.id, plan: plan.present } : null;
    },
  });
  listening.startListening({
    matcher: (action): action is UnknownAction =>
      isUndoOrRedo(action) || isAnyOf(planChanged, staleSettled)(action),
    effect: async (_, { dispatch, getState, cancelActiveListeners, delay }) => {
      const { plan, saving } = getState();
      // A draft that is taken up while its quilt opens was told when it was made.
      if (saving.id !== told?.quilt) return;
      latest = plan.present;
      cancelActiveListeners();
      const leaving = () => void dispatch(tell());
      addEventListener('pagehide', leaving, { once: true });
      try {
        await delay(QUIET_MS);
        dispatch(tell());
      } finally {
        removeEventListener('pagehide', leaving);
      }
    },
  });
  return listening.middleware;
}
