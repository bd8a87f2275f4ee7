import { passesAt, type StoredQuilt } from '@lattice/contract';
import { type LogEntry, same } from '@lattice/core';
import type { Answers } from './answers.ts';
import { api, serverError } from '../api.ts';
import type { AppDispatch } from '../thunk.ts';
import type {} from '../../state/items.ts';
import type { Outcome, Senders } from './outbox.ts';

/** What a call came to: what was answered, or what went wrong. */
interface Called<T> {
  readonly data?: T | undefined;
  readonly error?: unknown;
}

/** Out of reach passes, and what the server says does. */
function passes(error: unknown): boolean {
  const { status } = error as { readonly status?: unknown };
  return typeof status !== 'number' || passesAt(status);
}

function outcomeOf<T, A>({ data, error }: Called<T>, answer: (data: NonNullable<T>) => A): Outcome<A> {
  if (error === undefined) return { went: 'done', answer: answer(data as NonNullable<T>) };
  const { code, message, details } = serverError(error);
  // Everything else is for the quilter to settle.
  if (!passes(error)) return { went: 'refused', message, code, details };
  // A fault in taking this very thing says nothing of the next.
  return { went: 'not-yet', message, ...(code === 'unexpected' && { alone: true }) };
}

/** How each kind goes to the server. A new kind is one function here. */
export function sendersOver(dispatch: () => AppDispatch): Senders<Answers> {
  const { addEntries, addPicture, addQuilt, bookLongArm, cancelLongArm, saveQuilt } = api.endpoints;
  return {
    plan: async ({ quilt, revision, plan }) => {
      const outcome = outcomeOf(
        await dispatch()(saveQuilt.initiate({ id: quilt, revision, plan })),
        (saved) => saved,
      );
      if (outcome.went !== 'refused' || outcome.code !== 'stale') return outcome;
      // The answer to our own write was lost on the way: theirs is ours.
      const theirs = outcome.details as StoredQuilt;
      return same(theirs.plan, plan) ? { went: 'done', answer: theirs } : outcome;
    },
    quilt: async ({ quilt, plan }) =>
      outcomeOf(await dispatch()(addQuilt.initiate({ id: quilt, plan })), (added) => added),
    entry: async ({ entry }) => outcomeOf(await dispatch()(addEntries.initiate([entry])), () => null),
    picture: async ({ id, file }) =>
      outcomeOf(await dispatch()(addPicture.initiate({ id, file })), (made) => made),
    booking: async ({ quilt, entry, job }) =>
      outcomeOf(await dispatch()(bookLongArm.initiate({ quilt, entry, job })), (said) => said),
    cancel: async ({ quilt, entry, number }) => {
      const outcome = outcomeOf(
        await dispatch()(cancelLongArm.initiate({ quilt, entry, number })),
        (said): LogEntry | null => said.entry,
      );
      const unknown = outcome.went === 'refused' && outcome.code === 'no-such-booking';
      return unknown ? { went: 'done', answer: null } : outcome;
    },
  };
}
