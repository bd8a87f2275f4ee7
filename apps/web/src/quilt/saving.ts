import { createListenerMiddleware, isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import { ActionTypes } from 'redux-undo';
import { api, serverError, type StoredQuilt } from '../app/api.ts';
import type { RootState } from '../app/store.ts';
import { draftId, type OutboxItem, type PlanItem } from '../outbox/items.ts';
import type { OutboxEvent } from '../outbox/outbox.ts';
import type { Answers } from '../outbox/senders.ts';
import { nextOrder } from '../outbox/tabs.ts';
import type { Around, Dispatching } from '../outbox/wiring.ts';
import { takeLandedPictures } from './pictures.ts';
import { clearHistory, historyRestored, planChanged, planOpened } from './planSlice.ts';
import {
  foundStale,
  quiltOpened,
  saveDone,
  saveFailed,
  saveStarted,
  saveWaiting,
  staleSettled,
} from './savingSlice.ts';
import type { Thunk } from './thunk.ts';

/** Quiet time after a change before it is sent, and before undo is kept. */
const PAUSE_MS = 500;
/** Steps of undo and redo this browser keeps; the tab itself remembers more. */
const STEPS_KEPT = 30;

const isUndoOrRedo = (action: UnknownAction) =>
  action.type === ActionTypes.UNDO || action.type === ActionTypes.REDO;
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Autosave. Every change is this tab's draft in the outbox at once and goes after a short pause; a quilt changed
 * elsewhere meanwhile waits for the quilter's choice.
 */
export function savingMiddleware(around: Around) {
  const listening = createListenerMiddleware<RootState>();
  const keepLatest = oneAtATime((state: RootState) => keepDraft(around, state));
  listening.startListening({
    matcher: (action): action is UnknownAction =>
      isUndoOrRedo(action) || isAnyOf(planChanged, staleSettled)(action),
    effect: async (action, { getState, dispatch, cancelActiveListeners, delay }) => {
      cancelActiveListeners();
      const { saving } = getState();
      if (action.type === staleSettled.type && saving.state === 'saved') {
        await around.outbox.drop(draftId(saving.id!, around.tab));
        return;
      }
      dispatch(saveWaiting());
      await keepLatest(getState);
      await delay(PAUSE_MS);
      void around.outbox.send();
      await keepHistory(around, getState());
    },
  });
  return listening.middleware;
}

/** The plan in hand as this tab's draft; while a newer version elsewhere waits to be settled it is not sent. */
async function keepDraft({ outbox, tab }: Around, { plan, saving }: RootState): Promise<void> {
  const { id: quilt, revision, state } = saving;
  if (!plan.present || !quilt) return;
  const draft: PlanItem = {
    kind: 'plan',
    id: draftId(quilt, tab),
    quilt,
    tab,
    order: nextOrder(),
    revision,
    plan: plan.present,
  };
  await outbox.keep(state === 'stale' ? { ...draft, refused: 'Changed elsewhere' } : draft);
}

/**
 * Work on what then is, one at a time: while it is at work, whatever is asked for meanwhile is one more round, so that
 * a drag does not write its quilt a hundred times.
 */
function oneAtATime(work: (state: RootState) => Promise<unknown>) {
  let running: Promise<void> | null = null;
  let again = false;
  return (getState: () => RootState): Promise<void> => {
    again = true;
    running ??= (async () => {
      while (again) {
        again = false;
        await work(getState());
      }
    })().finally(() => (running = null));
    return running;
  };
}

async function keepHistory({ keeping }: Around, { plan, saving }: RootState): Promise<void> {
  const { past, present, future } = plan;
  if (!present || !saving.id) return;
  const steps = (plans: typeof past) => plans.flatMap((p) => p ?? []);
  await keeping
    .keepHistory({
      quilt: saving.id,
      past: steps(past).slice(-STEPS_KEPT),
      present,
      future: steps(future).slice(0, STEPS_KEPT),
    })
    // A browser without room keeps no undo; the draft has been kept before.
    .catch(() => undefined);
}

/** What the outbox tells of the open quilt's draft. */
export const heardOfDraft =
  (event: OutboxEvent<Answers>): Thunk<void> =>
  (dispatch, getState, { tab }) => {
    if (event.what === 'changed') return;
    const { plan, saving } = getState();
    const { item } = event;
    // Whatever cannot go keeps the draft behind it.
    if (event.what === 'not-yet' && (saving.state === 'waiting' || saving.state === 'saving'))
      dispatch(saveFailed({ state: 'offline', message: event.message }));
    if (item.kind !== 'plan') return;
    if (item.quilt !== saving.id || item.tab !== tab) return;
    switch (event.what) {
      case 'sending':
        dispatch(saveStarted());
        break;
      case 'sent': {
        const { revision } = event.answer as StoredQuilt;
        dispatch(saveDone({ revision, more: plan.present !== item.plan && !same(plan.present, item.plan) }));
        break;
      }
      case 'refused':
        if (event.code === 'stale') dispatch(foundStale(event.details as StoredQuilt));
        else dispatch(saveFailed({ state: 'refused', message: event.message }));
        break;
    }
  };

/**
 * Opens a quilt, taking up a draft that this browser kept of it, and the undo that goes with it. A quilt that is on
 * its way to the server is opened as it waits here. Throws the server's error when it cannot be fetched.
 */
export const openQuilt =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, getState, around) => {
    const found = (await newHere(id, around)) ?? (await fetchQuilt(id, dispatch as Dispatching));
    const draft = await draftOf(id, around);
    dispatch(quiltOpened({ id, revision: draft ? draft.revision : found.revision }));
    dispatch(planOpened(found.plan));
    dispatch(clearHistory());
    const kept = await around.keeping.history(id).catch(() => null);
    const present = draft?.plan ?? found.plan;
    const undone = kept !== null && same(kept.present, present);
    if (undone) dispatch(historyRestored(kept));
    if (draft) await takeUpDraft(draft, found, undone)(dispatch, getState, around);
    if (getState().saving.id === id) await dispatch(takeLandedPictures());
  };

/** A draft that was left here becomes this tab's own; what it was is let go once that is kept. */
const takeUpDraft =
  (draft: PlanItem, found: Pick<StoredQuilt, 'revision' | 'plan'>, undone: boolean): Thunk<Promise<void>> =>
  async (dispatch, getState, around) => {
    const { id, quilt, plan, revision } = draft;
    if (same(plan, found.plan)) {
      dispatch(quiltOpened({ id: quilt, revision: found.revision }));
      return around.outbox.drop(id);
    }
    // With its undo it stands already, and has only to be sent.
    dispatch(undone ? staleSettled({ revision, saved: false }) : planChanged(plan));
    await keepDraft(around, getState());
    if (id !== draftId(quilt, around.tab)) await around.outbox.drop(id);
  };

/** A quilt that was made here and is not on the server yet. */
async function newHere(
  id: string,
  { outbox }: Around,
): Promise<Pick<StoredQuilt, 'revision' | 'plan'> | null> {
  const waiting = (await outbox.items()).find((item) => item.kind === 'quilt' && item.quilt === id);
  return waiting?.kind === 'quilt' ? { revision: 1, plan: waiting.plan } : null;
}

async function fetchQuilt(id: string, dispatch: Dispatching): Promise<StoredQuilt> {
  const asked = api.endpoints.quilt.initiate(id, { forceRefetch: true, subscribe: false });
  const { data, error } = (await dispatch(asked as never)) as { data?: StoredQuilt; error?: unknown };
  if (!data) throw serverError(error);
  return data;
}

/** The latest draft of a quilt that this tab or one that was closed left here; those of open tabs are theirs. */
async function draftOf(id: string, { outbox, tab, openTabs }: Around): Promise<PlanItem | null> {
  const others = new Set([...(await openTabs())].filter((open) => open !== tab));
  const drafts = (await outbox.items()).filter(
    (item: OutboxItem): item is PlanItem =>
      item.kind === 'plan' && item.quilt === id && !others.has(item.tab),
  );
  return drafts.at(-1) ?? null;
}

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
