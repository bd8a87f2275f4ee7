import {
  finishedSize,
  type InStock,
  OF_CLOTH,
  type Plan,
  type Quilt,
  quiltAsCut,
  same,
  stashIn,
  stockFor,
  toBuy,
  type ToBuy,
  withStock,
} from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import { shallowEqual } from 'react-redux';
import type { RootState } from './state.ts';
import { wayKey } from './viewSlice.ts';
import { layoutOf, quiltOf } from './workedOut.ts';

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

/** Everything worked out from the plan in hand; what a change leaves as it was stays the same object. */
export const selectQuilt: (state: RootState) => Quilt = createSelector(selectPlan, quiltOf);

/** What the top comes to, without waiting for what to cut and to buy. */
export const selectFinished = createSelector(selectPlan, (plan) => finishedSize(plan, layoutOf(plan)));

/** What the drawing needs of a quilt: neither what to cut nor what to buy holds it up. */
export type Drawn = Pick<Quilt, 'layout' | 'finished' | 'target'>;

/** What is drawn of the plan in hand. */
export const selectDrawn: (state: RootState) => Drawn = createSelector(
  selectPlan,
  selectFinished,
  (plan, known): Drawn => ({ layout: layoutOf(plan), ...known }),
);

/** What was logged of cloth: a seam that is sewn changes nothing of what is to buy or to cut. */
const selectLogOfCloth = createSelector(
  (state: RootState) => state.log,
  (log) => log.filter(({ kind }) => OF_CLOTH.has(kind)),
  { memoizeOptions: { resultEqualityCheck: shallowEqual } },
);

/** What is still to be bought, cloth by cloth, with each as it lies on the table: less what is set aside, cut or in the house. */
export const selectToBuy: (state: RootState) => readonly ToBuy[] = createSelector(
  selectPlan,
  selectQuilt,
  selectLogOfCloth,
  (state: RootState) => state.saving.id,
  (state: RootState) => state.view.ways,
  (plan, quilt, log, id, ways) =>
    toBuy(plan, quilt, { id: id ?? '', log }, (fabric) =>
      id === null ? undefined : ways[wayKey(id, fabric)],
    ),
);

/** The quilt with its strips as they are cut at the table, whichever way was chosen there. */
export const selectQuiltAsCut: (state: RootState) => Quilt = createSelector(
  selectPlan,
  selectQuilt,
  selectToBuy,
  quiltAsCut,
);

/** The edge as it is cut at the table: the same object as long as it says the same. */
export const selectEdgeAsCut: (state: RootState) => Quilt['edge'] = createSelector(
  selectQuiltAsCut,
  ({ edge }) => edge,
  { memoizeOptions: { resultEqualityCheck: same } },
);
