import type { EntryBody, RecordField } from '@lattice/core';
import { newId, nextOrder } from '../../browser/tabs.ts';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import type { Thunk } from '../../sync/thunk.ts';

/** Something the maker wants kept, its photos with it: they wait here as its words do, until the server is there. */
export const noteKept =
  (body: Omit<EntryBody['noted'], 'pictures'>, photos: readonly Blob[]): Thunk<Promise<void>> =>
  async (dispatch, getState, { outbox, tab }) => {
    const quilt = getState().saving.id!;
    const pictures: string[] = [];
    for (const file of photos) {
      const id = newId();
      await outbox.keep({ kind: 'picture', id, quilt, tab, order: nextOrder(), block: null, file });
      pictures.push(id);
    }
    await dispatch(writeLog([{ kind: 'noted', body: { ...body, pictures } }]));
  };

/** A note said otherwise; what it said stays in the log. */
export const noteReworded =
  (note: string, text: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'note-reworded', body: { note, text } }]));
  };

/** A note struck out, or let stand again. */
export const noteStruck =
  (note: string, struck: boolean): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'note-struck', body: { note, struck } }]));
  };

/** When the quilt has to be ready. */
export const dueDateSet =
  (body: EntryBody['due-said']): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'due-said', body }]));
  };

/** What only the maker can say of the finished quilt. */
export const recordFieldSet =
  (field: RecordField, text: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'record-said', body: { field, text } }]));
  };

/** What the whole quilt measured, quilted or washed. */
export const quiltMeasured =
  (body: EntryBody['quilt-measured']): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'quilt-measured', body }]));
  };
