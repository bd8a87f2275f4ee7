import type { StoredQuilt } from '@lattice/contract';
import { type BothChanged, mergePlans, type Plan, same, withTheirs } from '@lattice/core';
import { planChanged } from '../state/planSlice.ts';
import { staleSettled } from '../state/savingSlice.ts';
import type { Thunk } from './thunk.ts';

// What is fetched only where a quilt was changed in two places: most are worked on in one.

/** Who saved a quilt, and when, in words: "Kitchen tablet, at 10:14". */
export function savedInWords({ savedBy, updatedAt }: Pick<StoredQuilt, 'savedBy' | 'updatedAt'>): string {
  const at = new Date(updatedAt);
  const who = savedBy === '' ? 'Another tab or device' : savedBy;
  if (Number.isNaN(at.getTime())) return who;
  const today = at.toDateString() === new Date().toDateString();
  const time = at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  return `${who}, ${today ? `at ${time}` : `${at.toLocaleDateString()} at ${time}`}`;
}

/**
 * Goes on with a plan that takes what was changed elsewhere into account; what was in hand is one undo away. The plan
 * first, while nothing is sent: or what was in hand would go to the new revision, and over what is there.
 */
const goOnWith =
  (plan: Plan, theirs: StoredQuilt): Thunk<void> =>
  (dispatch, getState) => {
    const saved = same(plan, theirs.plan);
    const mine = getState().plan.present;
    if (!same(plan, mine)) dispatch(planChanged(plan));
    dispatch(staleSettled({ theirs, saved, together: savedInWords(theirs) }));
  };

/** Puts both together where they touch different things; else leaves the quilt to the quilter. */
export const putTogether =
  (theirs: StoredQuilt): Thunk<void> =>
  (dispatch, getState) => {
    const { plan, saving } = getState();
    if (saving.theirs !== theirs || !plan.present || !saving.base) return;
    const merged = mergePlans(saving.base, plan.present, theirs.plan);
    if (merged?.both.length === 0) dispatch(goOnWith(merged.plan, theirs));
  };

/** Settles what both changed: theirs where they were chosen, the own everywhere else. False where the two do not go together. */
export const settle =
  (chosen: readonly BothChanged[]): Thunk<boolean> =>
  (dispatch, getState) => {
    const { plan, saving } = getState();
    if (!saving.theirs || !saving.base || !plan.present) return false;
    const merged = mergePlans(saving.base, plan.present, saving.theirs.plan);
    const settled = merged && withTheirs(merged.plan, chosen);
    if (!settled) return false;
    dispatch(goOnWith(settled, saving.theirs));
    return true;
  };

/** Goes on with the newer version as it is; the own one is one undo away. */
export const takeTheirs = (): Thunk<void> => (dispatch, getState) => {
  const { theirs } = getState().saving;
  if (!theirs) return;
  dispatch(planChanged(theirs.plan));
  dispatch(staleSettled({ theirs, saved: true }));
};

/** Goes on with the own version as it is, written over the newer one by choice. */
export const keepMine = (): Thunk<void> => (dispatch, getState) => {
  const { theirs } = getState().saving;
  if (theirs) dispatch(staleSettled({ theirs, saved: false }));
};
