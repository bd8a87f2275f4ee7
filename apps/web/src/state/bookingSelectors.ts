import { bookingIn } from '@lattice/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from './state.ts';

/*
 * Apart from the other selectors: the shelf asks for these, and works no quilt out.
 */

/** The booking the open quilt has; null without one. */
export const selectBooking = createSelector(
  (state: RootState) => state.log,
  (state: RootState) => state.saving.id,
  (state: RootState) => state.plan.present?.unit ?? 'in',
  (log, id, unit) => (id === null ? null : bookingIn(log, id, unit)),
);

/** Quilts whose quilting is booked. */
export const selectBooked = createSelector(
  (state: RootState) => state.log,
  (log): ReadonlySet<string> => {
    const quilts = new Set(log.map((entry) => entry.quilt));
    return new Set([...quilts].filter((quilt) => bookingIn(log, quilt, 'in') !== null));
  },
);
