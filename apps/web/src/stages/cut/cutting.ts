import {
  type CutRecord,
  type CuttingStep,
  type LogEntry,
  planEntry,
  stepEntry,
  type TableCloth,
} from '@lattice/core';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { selectPlan } from '../../state/selectors.ts';
import type { Thunk } from '../../sync/thunk.ts';

/** A step was done. With the first of a plan the plan itself is kept, so that it lasts as long as it is cut by. */
export const stepDone =
  (cloth: string, table: TableCloth, step: CuttingStep): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { unit } = selectPlan(getState());
    let plan = table.plan.id;
    if (plan === null)
      [plan] = (await dispatch(
        writeLog([{ kind: 'cutting-planned', body: planEntry(cloth, table, unit) }]),
      )) as [string];
    await dispatch(writeLog([{ kind: 'step-cut', body: stepEntry(cloth, plan, step, unit) }]));
  };

/** The last step that was done had not been. */
export const stepUndone =
  ({ done }: CutRecord, step: CuttingStep): Thunk<Promise<void>> =>
  async (dispatch) => {
    const entries = done.get(step.id);
    if (entries) await dispatch(writeLog([{ kind: 'step-uncut', body: { entries: [...entries] } }]));
  };

/** Pieces were spoiled, or a length of cloth cannot be used. */
export const cutLost =
  (body: Extract<LogEntry, { kind: 'cut-lost' }>['body']): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'cut-lost', body }]));
  };
