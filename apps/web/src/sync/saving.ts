import { same } from '@lattice/core';
import type { Saved, StoredQuilt } from '@lattice/contract';
import { createListenerMiddleware, isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import { api, serverError, type ServerError } from './api.ts';
import type { RootState } from '../state/state.ts';
import { draftId, type OutboxItem, type PlanItem } from '../state/items.ts';
import type { OutboxEvent } from './outbox/outbox.ts';
import type { Answers } from './outbox/answers.ts';
import { inRounds } from './outbox/rounds.ts';
import { nextOrder } from '../browser/tabs.ts';
import type { Around, AppDispatch } from './thunk.ts';
import { changedElsewhere } from './elsewhere.ts';
import { takeLandedPictures } from './pictures.ts';
import { clearHistory, historyRestored, planChanged, planOpened, isUndoOrRedo } from '../state/planSlice.ts';
import {
  draftStands,
  quiltOpened,
  saveDone,
  saveFailed,
  saveStarted,
  saveWaiting,
  staleSettled,
  tellingFrom,
} from '../state/savingSlice.ts';
import type { Thunk } from './thunk.ts';

/** Quiet time after a change before it is sent, and before undo is kept. */
const PAUSE_MS = 500;
/** Steps of undo and redo this browser keeps; the tab itself remembers more. */
const STEPS_KEPT = 30;

/**
 * Autosave. Every change is this tab's draft in the outbox at once and goes after a short pause; a quilt changed
 * elsewhere meanwhile waits for the quilter's choice.
 */
export function savingMiddleware(around: Around) {
  const listening = createListenerMiddleware<RootState, AppDispatch>();
  let latest: RootState;
  // A drag does not write its quilt a hundred times.
  const keepLatest = inRounds(() => keepDraft(around, latest));
  listening.startListening({
    matcher: (action): action is UnknownAction =>
      isUndoOrRedo(action) || isAnyOf(planChanged, staleSettled, draftStands)(action),
    effect: async (action, { getState, dispatch, cancelActiveListeners, delay }) => {
      cancelActiveListeners();
      const { saving, house } = getState();
      // Whoever only looks may try things out; nothing of it is kept.
      if (house.who === 'view') return;
      if (action.type === staleSettled.type && saving.state === 'saved') {
        await around.outbox.drop(draftId(saving.id!, around.tab));
        return;
      }
      dispatch(saveWaiting());
      latest = getState();
      await keepLatest();
      await delay(PAUSE_MS);
      void around.outbox.send();
      await keepHistory(around, getState());
    },
  });
  return listening.middleware;
}

/** The plan in hand as this tab's draft; while a newer version elsewhere waits to be settled it is not sent. */
async function keepDraft({ outbox, tab }: Around, { plan, saving }: RootState): Promise<void> {
  const { id: quilt, revision, base, unanswered, state } = saving;
  if (!plan.present || !quilt) return;
  const draft: PlanItem = {
    kind: 'plan',
    id: draftId(quilt, tab),
    quilt,
    tab,
    order: nextOrder(),
    revision,
    plan: plan.present,
    ...(base ? { base } : {}),
    ...(unanswered.length > 0 ? { unanswered } : {}),
  };
  await outbox.keep(state === 'stale' ? { ...draft, refused: 'Changed elsewhere' } : draft);
}

async function keepHistory({ browser }: Around, { plan, saving }: RootState): Promise<void> {
  const { past, present, future } = plan;
  if (!present || !saving.id) return;
  const steps = (plans: typeof past) => plans.flatMap((p) => p ?? []);
  await browser
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
    // Whatever cannot go keeps the draft behind it; trouble with a thing of another quilt does not.
    const holds = event.what === 'not-yet' && (!event.alone || item.quilt === saving.id);
    if (holds && (saving.state === 'waiting' || saving.state === 'saving'))
      dispatch(saveFailed({ state: 'offline', message: event.message }));
    if (item.kind !== 'plan') return;
    if (item.quilt !== saving.id || item.tab !== tab) return;
    switch (event.what) {
      case 'sending':
        dispatch(saveStarted((item as PlanItem).plan));
        break;
      case 'sent': {
        const { revision } = event.answer as Saved;
        const more = plan.present !== item.plan && !same(plan.present, item.plan);
        dispatch(saveDone({ revision, base: item.plan, more }));
        break;
      }
      case 'refused':
        if (event.code === 'stale') dispatch(changedElsewhere(event.details as StoredQuilt));
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
    const found = (await newHere(id, around)) ?? (await fetchQuilt(id, dispatch as AppDispatch));
    const draft = await draftOf(id, around);
    if (found.problems.length > 0) throw toMend(found as StoredQuilt);
    const { revision, plan: base } = found;
    const knownBase = draft && draft.revision !== revision ? (draft.base ?? null) : base;
    dispatch(
      quiltOpened({
        ...{ id, revision: draft?.revision ?? revision, base: knownBase },
        ...(draft?.unanswered && { unanswered: draft.unanswered }),
      }),
    );
    dispatch(planOpened(found.plan));
    dispatch(clearHistory());
    const kept = await around.browser.history(id).catch(() => null);
    const present = draft?.plan ?? found.plan;
    const undone = kept !== null && same(kept.present, present);
    if (undone) dispatch(historyRestored(kept));
    if (draft) await takeUpDraft(draft, found, undone)(dispatch, getState, around);
    if (getState().saving.id !== id) return;
    dispatch(tellingFrom());
    await dispatch(takeLandedPictures());
  };

/** A quilt that was kept and cannot be drawn: it is opened to be mended. */
const toMend = (quilt: StoredQuilt): ServerError => ({
  code: 'to-mend',
  message: 'This quilt has to be mended before it can be drawn.',
  details: quilt,
});

/** A draft that was left here becomes this tab's own; what it was is let go once that is kept. */
const takeUpDraft =
  (draft: PlanItem, found: Found, undone: boolean): Thunk<Promise<void>> =>
  async (dispatch, getState, around) => {
    const { id, quilt, plan } = draft;
    if (same(plan, found.plan)) {
      dispatch(quiltOpened({ id: quilt, revision: found.revision, base: found.plan }));
      return around.outbox.drop(id);
    }
    // With its undo it stands already, and has only to be sent.
    dispatch(undone ? draftStands() : planChanged(plan));
    await keepDraft(around, getState());
    if (id !== draftId(quilt, around.tab)) await around.outbox.drop(id);
  };

/** A quilt as it was found, here or on the server. */
type Found = Pick<StoredQuilt, 'revision' | 'plan' | 'problems'>;

/** A quilt that was made here and is not on the server yet. */
async function newHere(id: string, { outbox }: Around): Promise<Found | null> {
  const waiting = (await outbox.items()).find((item) => item.kind === 'quilt' && item.quilt === id);
  return waiting?.kind === 'quilt' ? { revision: 1, plan: waiting.plan, problems: [] } : null;
}

async function fetchQuilt(id: string, dispatch: AppDispatch): Promise<StoredQuilt> {
  const asked = api.endpoints.quilt.initiate(id, { forceRefetch: true, subscribe: false });
  const { data, error } = await dispatch(asked);
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
