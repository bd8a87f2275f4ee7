import type { StoredQuilt } from '@lattice/contract';
import { same } from '@lattice/core';
import { foundStale, type Saving, staleSettled } from '../state/savingSlice.ts';
import type { Thunk } from './thunk.ts';

/**
 * Whether what the server has is of this tab's own making: a write whose answer was lost on the way, or is known and came
 * while the next was being kept.
 */
const isOwn = ({ base, revision, unanswered }: Saving, theirs: StoredQuilt): boolean =>
  (theirs.revision === revision && same(theirs.plan, base)) ||
  unanswered.some((sent) => same(sent, theirs.plan));

/**
 * A quilt was changed elsewhere while it was changed here. Where the two touch different things they are put together
 * and go on; where both changed one field, it is for the quilter to say.
 */
export const changedElsewhere =
  (theirs: StoredQuilt): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { plan, saving } = getState();
    if (isOwn(saving, theirs)) {
      dispatch(staleSettled({ theirs, saved: same(plan.present, theirs.plan) }));
      return;
    }
    dispatch(foundStale(theirs));
    // Where this part of the app cannot be had, the choice is the quilter's.
    const settling = await import('./settling.ts').catch(() => null);
    if (settling) dispatch(settling.putTogether(theirs));
  };
