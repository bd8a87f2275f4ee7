import { computeQuilt, type Plan, type Quilt } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../app/store.ts';

/** The plan in hand. Only screens that show an open quilt ask for it. */
export function selectPlan(state: RootState): Plan {
  const plan = state.plan.present;
  if (!plan) throw new Error('No quilt is open.');
  return plan;
}

/** Everything worked out from the plan in hand, computed once for each plan. */
export const selectQuilt: (state: RootState) => Quilt = createSelector(selectPlan, computeQuilt);
