import { createListenerMiddleware, isAnyOf, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { ActionTypes } from 'redux-undo';
import { api, serverError, type StoredQuilt } from '../app/api.ts';
import { dropDraft, findDraft, keepDraft } from './draft.ts';
import { clearHistory, planChanged, type PlanHistory, planOpened } from './planSlice.ts';
import {
  foundStale,
  quiltOpened,
  saveDone,
  saveFailed,
  saveStarted,
  saveWaiting,
  type Saving,
  staleSettled,
} from './savingSlice.ts';

interface SavingState {
  readonly plan: PlanHistory;
  readonly saving: Saving;
}
type Thunk<R> = ThunkAction<R, SavingState, unknown, UnknownAction>;

/** Quiet time after a change before it is sent, and before a failed save is tried again. */
const PAUSE_MS = 500;
const RETRY_MS = 4000;

const isUndoOrRedo = (action: UnknownAction) =>
  action.type === ActionTypes.UNDO || action.type === ActionTypes.REDO;
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Autosave. Every change is kept in the browser at once and sent after a short pause; sends follow one
 * another, never side by side, so a quilt cannot be stale against itself.
 */
export const savingMiddleware = createListenerMiddleware<SavingState>();

let sending: Promise<unknown> = Promise.resolve();

/** Sends what is then in hand, after whatever is still on its way. */
function sendNext(dispatch: (thunk: never) => unknown): Promise<unknown> {
  sending = sending.then(() => dispatch(sendPlan() as never)).catch(() => undefined);
  return sending;
}

savingMiddleware.startListening({
  matcher: (action): action is UnknownAction =>
    isUndoOrRedo(action) || isAnyOf(planChanged, staleSettled)(action),
  effect: async (action, { getState, dispatch, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    const {
      plan: { present: plan },
      saving,
    } = getState();
    if (
      !plan ||
      !saving.id ||
      (saving.state === 'saved' && saving.theirs === null && action.type === staleSettled.type)
    )
      return;
    keepDraft(saving.id, { revision: saving.revision, plan });
    dispatch(saveWaiting());
    await delay(PAUSE_MS);
    await sendNext(dispatch);
    while (getState().saving.state === 'offline') {
      await delay(RETRY_MS);
      await sendNext(dispatch);
    }
  },
});

/** Sends the plan in hand, unless a newer version elsewhere waits to be settled. */
const sendPlan = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const {
    plan: { present: plan },
    saving: { id, revision, state },
  } = getState();
  if (!plan || !id || state === 'stale' || state === 'saved') return;
  dispatch(saveStarted());
  const answer = await dispatch(
    api.endpoints.saveQuilt.initiate({ id, revision, plan }) as never as Thunk<
      Promise<{ data?: StoredQuilt; error?: unknown }>
    >,
  );
  if (getState().saving.id !== id) return;
  const taken = (kept: number) => {
    const more = getState().plan.present !== plan;
    if (more) keepDraft(id, { revision: kept, plan: getState().plan.present! });
    else dropDraft(id);
    dispatch(saveDone({ revision: kept, more }));
  };
  if (answer.data) return taken(answer.data.revision);
  const { code, message, details } = serverError(answer.error);
  if (code === 'stale') {
    const theirs = details as StoredQuilt;
    // The answer to our own write was lost on the way: theirs is ours.
    if (same(theirs.plan, plan)) return taken(theirs.revision);
    dispatch(foundStale(theirs));
  } else {
    const final = code === 'unsound-plan' || code === 'no-such-quilt' || code === 'too-large';
    dispatch(saveFailed({ state: final ? 'refused' : 'offline', message }));
  }
};

/** Opens a quilt, taking up a draft this browser kept of it. Throws the server's error when it cannot be fetched. */
export const openQuilt =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    const fetched = dispatch(
      api.endpoints.quilt.initiate(id, { forceRefetch: true, subscribe: false }) as never as Thunk<
        Promise<{ data?: StoredQuilt; error?: unknown }>
      >,
    );
    const { data, error } = await fetched;
    if (!data) throw serverError(error);
    const draft = findDraft(id);
    dispatch(quiltOpened({ id, revision: draft ? draft.revision : data.revision }));
    dispatch(planOpened(data.plan));
    dispatch(clearHistory());
    if (!draft) return;
    if (same(draft.plan, data.plan)) {
      dropDraft(id);
      dispatch(quiltOpened({ id, revision: data.revision }));
      return;
    }
    dispatch(planChanged(draft.plan));
  };

/** Goes on with the newer version; the own one is one undo away. */
export const takeTheirs = (): Thunk<void> => (dispatch, getState) => {
  const { theirs, id } = getState().saving;
  if (!theirs || !id) return;
  dispatch(staleSettled({ revision: theirs.revision, saved: true }));
  dispatch(planChanged(theirs.plan));
};

/** Goes on with the own version, written over the newer one by choice. */
export const keepMine = (): Thunk<void> => (dispatch, getState) => {
  const { theirs } = getState().saving;
  if (theirs) dispatch(staleSettled({ revision: theirs.revision, saved: false }));
};
