import { type InStock, type Plan, planProblems, same } from '@lattice/core';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import type { RootState } from './state.ts';
import { planChanged } from './planSlice.ts';
import { selectKeptPlan, selectSetAside } from './selectors.ts';
import { editRefused } from './viewSlice.ts';

/**
 * Changes the plan in hand. A change that would make it unsound is not taken: the answer says why, and
 * the last good plan, with its drawing, stays. Null when it was taken. A refusal that no field says beside itself
 * (`useAnswered`) is said by the page, so that none goes by in silence.
 */
export function useEdit() {
  const store = useStore<RootState>();
  return useCallback(
    (change: (plan: Plan) => Plan, gesture: string | null = null): string | null => {
      const before = selectKeptPlan(store.getState());
      const after = withoutPieces(change(before), selectSetAside(store.getState()));
      const [problem] = planProblems(after);
      if (problem) {
        store.dispatch(editRefused(problem.message));
        return problem.message;
      }
      if (!same(after, before)) store.dispatch(planChanged(after, gesture));
      return null;
    },
    [store],
  );
}

/** A change worked out from the whole plan carries what is set aside for it, which is the log's and not the plan's. */
function withoutPieces(plan: Plan, setAside: readonly InStock[]): Plan {
  const ids = new Set(setAside.map(({ id }) => id));
  return plan.stock.some(({ id }) => ids.has(id))
    ? { ...plan, stock: plan.stock.filter(({ id }) => !ids.has(id)) }
    : plan;
}
