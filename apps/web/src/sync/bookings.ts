import type { LongArmJob } from '@lattice/core';
import { newId, nextOrder } from '../browser/tabs.ts';
import type { Thunk } from './thunk.ts';

/** Asks the long-arm service to take a job; answers the id its answer will be found under. */
export const bookJob =
  (job: LongArmJob): Thunk<Promise<string>> =>
  async (_dispatch, getState, { outbox, tab }) => {
    const quilt = getState().saving.id!;
    const id = `booking-${newId()}`;
    await outbox.keep({ kind: 'booking', id, quilt, tab, order: nextOrder(), entry: newId(), job });
    await outbox.send();
    return id;
  };

/** Takes a booking back. It stands until the service has heard of it. */
export const cancelBooking =
  (number: string): Thunk<Promise<void>> =>
  async (_dispatch, getState, { outbox, tab }) => {
    const quilt = getState().saving.id!;
    const id = `cancel-${number}`;
    await outbox.keep({ kind: 'cancel', id, quilt, tab, order: nextOrder(), entry: newId(), number });
    await outbox.send();
  };
