import { computeAgain, computeQuilt, type Plan, type Quilt } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../app/store.ts';

/** The plan in hand. Only screens that show an open quilt ask for it. */
export function selectPlan(state: RootState): Plan {
  const plan = state.plan.present;
  if (!plan) throw new Error('No quilt is open.');
  return plan;
}

let latest: { plan: Plan; quilt: Quilt } | null = null;

/** Everything worked out from the plan in hand, computed once for each plan; what a change leaves as it was stays the same object. */
export const selectQuilt: (state: RootState) => Quilt = createSelector(selectPlan, (plan) => {
  const quilt = latest ? computeAgain(plan, latest) : computeQuilt(plan);
  latest = { plan, quilt };
  return quilt;
});
