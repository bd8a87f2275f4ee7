import { type Plan, planProblems } from '@lattice/core';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import type { RootState } from '../app/store.ts';
import { planChanged } from './planSlice.ts';
import { selectPlan } from './selectors.ts';

/**
 * Changes the plan in hand. A change that would make it unsound is not taken: the answer says why, and
 * the last good plan, with its drawing, stays. Null when it was taken.
 */
export function useEdit() {
  const store = useStore<RootState>();
  return useCallback(
    (change: (plan: Plan) => Plan, gesture: string | null = null): string | null => {
      const before = selectPlan(store.getState());
      const after = change(before);
      const [problem] = planProblems(after);
      if (problem) return problem.message;
      if (JSON.stringify(after) !== JSON.stringify(before)) store.dispatch(planChanged(after, gesture));
      return null;
    },
    [store],
  );
}
