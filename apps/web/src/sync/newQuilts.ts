import type { Plan } from '@lattice/core';
import { newId, nextOrder } from '../browser/tabs.ts';
import type { Thunk } from './thunk.ts';

/**
 * Puts a new quilt on the shelf: kept here at once under its own id, so that one can go on with it, and sent as soon
 * as the server can be reached. Answers the id.
 */
export const addQuilt =
  (plan: Plan): Thunk<Promise<string>> =>
  async (_dispatch, _getState, { outbox, tab }) => {
    const quilt = newId();
    await outbox.keep({ kind: 'quilt', id: `quilt-${quilt}`, quilt, tab, order: nextOrder(), plan });
    await outbox.send();
    return quilt;
  };
