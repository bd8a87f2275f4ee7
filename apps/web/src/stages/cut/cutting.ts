import {
  type CutRecord,
  type CuttingStep,
  type LogEntry,
  planEntry,
  stepEntry,
  type TableCloth,
} from '@lattice/core';
import { newId, nextOrder } from '../../outbox/tabs.ts';
import { addHeard, hearLog } from '../../outbox/wiring.ts';
import { selectPlan } from '../../quilt/selectors.ts';
import type { Thunk } from '../../quilt/thunk.ts';

type Said = {
  [K in LogEntry['kind']]: Pick<Extract<LogEntry, { kind: K }>, 'kind' | 'body'>;
}[LogEntry['kind']];

/** Writes entries into the log: kept in this browser at once, sent when that can be. Answers their ids. */
const write =
  (said: readonly Said[]): Thunk<Promise<string[]>> =>
  async (dispatch, getState, { outbox, keeping, tab }) => {
    const quilt = getState().saving.id!;
    const now = Date.now();
    // A moment apart, so that they sort as they happened.
    const entries = said.map(
      (one, i) => ({ ...one, id: newId(), quilt, at: new Date(now + i).toISOString() }) as LogEntry,
    );
    await addHeard(entries, dispatch, keeping);
    for (const entry of entries)
      await outbox.keep({ kind: 'entry', id: entry.id, quilt, tab, order: nextOrder(), entry });
    void outbox.send();
    return entries.map(({ id }) => id);
  };

/** A step was done. With the first of a plan the plan itself is kept, so that it lasts as long as it is cut by. */
export const stepDone =
  (cloth: string, table: TableCloth, step: CuttingStep): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { unit } = selectPlan(getState());
    let plan = table.plan.id;
    if (plan === null)
      [plan] = (await dispatch(
        write([{ kind: 'cutting-planned', body: planEntry(cloth, table, unit) }]),
      )) as [string];
    await dispatch(write([{ kind: 'step-cut', body: stepEntry(cloth, plan, step, unit) }]));
  };

/** The last step that was done had not been. */
export const stepUndone =
  ({ done }: CutRecord, step: CuttingStep): Thunk<Promise<void>> =>
  async (dispatch) => {
    const entries = done.get(step.id);
    if (entries) await dispatch(write([{ kind: 'step-uncut', body: { entries: [...entries] } }]));
  };

/** Pieces were spoiled, or a length of cloth cannot be used. */
export const cutLost =
  (body: Extract<LogEntry, { kind: 'cut-lost' }>['body']): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(write([{ kind: 'cut-lost', body }]));
  };

/** Hears what other devices and tabs have done since. */
export const hearOthers =
  (): Thunk<Promise<void>> =>
  async (dispatch, _getState, { keeping }) => {
    await hearLog(keeping, dispatch);
  };
