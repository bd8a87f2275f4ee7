import {
  computeAgain,
  computeQuilt,
  type InStock,
  layOut,
  type Plan,
  type Quilt,
  stashIn,
  stockFor,
  targetSize,
  type TargetSize,
  withStock,
} from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../app/store.ts';

/** The plan as it is kept. Only screens that show an open quilt ask for it. */
export function selectKeptPlan(state: RootState): Plan {
  const plan = state.plan.present;
  if (!plan) throw new Error('No quilt is open.');
  return plan;
}

/** What the maker's stash has set aside for the open quilt, to be used up in it. */
export const selectSetAside: (state: RootState) => readonly InStock[] = createSelector(
  (state: RootState) => state.log,
  (state: RootState) => state.saving.id,
  (state: RootState) => selectKeptPlan(state).unit,
  (log, quilt, unit) => (quilt === null ? [] : stockFor(stashIn(log, unit), quilt)),
);

/** The plan in hand with what is set aside for it: what everything is worked out from, drawn and given away. */
export const selectPlan: (state: RootState) => Plan = createSelector(
  selectKeptPlan,
  selectSetAside,
  withStock,
);

let latest: { plan: Plan; quilt: Quilt } | null = null;

function quiltOf(plan: Plan): Quilt {
  if (latest?.plan === plan) return latest.quilt;
  const quilt = latest ? computeAgain(plan, latest) : computeQuilt(plan);
  latest = { plan, quilt };
  return quilt;
}

/** Everything worked out from the plan in hand, computed once for each plan; what a change leaves as it was stays the same object. */
export const selectQuilt: (state: RootState) => Quilt = createSelector(selectPlan, quiltOf);

/** What the drawing needs of a quilt. */
export type Drawn = Pick<Quilt, 'layout' | 'joins'> & {
  readonly target: Pick<TargetSize, 'width' | 'height'> | null;
};

/** The quilt as it is laid out and no more: neither what to cut nor what to buy holds a drawing up. */
const laidOut = (plan: Plan): Drawn =>
  latest?.plan === plan
    ? latest.quilt
    : { layout: layOut(plan), joins: [], target: plan.target && targetSize(plan.target, plan.unit) };

/** What is drawn when a quilt is opened; its figures follow. */
export const selectFirstDrawn: (state: RootState) => Drawn = createSelector(selectPlan, laidOut);

/**
 * What is drawn of the plan in hand. While a tape is held what to cut and to buy follows when the hand pauses. Joins
 * are marked again then.
 */
export const selectDrawn: (state: RootState) => Drawn = createSelector(
  selectPlan,
  (state: RootState) => state.view.held,
  (plan, held): Drawn => (held ? laidOut(plan) : quiltOf(plan)),
);
