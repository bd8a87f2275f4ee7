import { type ErrorCode, ERRORS } from '@lattice/contract';
import type { ErrorRequestHandler } from 'express';
import { type Trouble, troubleOf } from './database/trouble.ts';
import { faultOfSaid } from './serve/checked.ts';

/** An error with an answer for the person: what is wrong, what it means, what to do. */
export class Refusal extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly details: unknown = null,
  ) {
    super(message);
  }

  get status(): number {
    return ERRORS[this.code].status;
  }
}

/** Types of errors that reading a request throws, and what they mean here. */
const BY_TYPE: Readonly<Record<string, readonly [code: ErrorCode, message: string]>> = {
  'entity.parse.failed': ['not-json', 'What arrived is not JSON, so nothing was changed.'],
  'entity.too.large': [
    'too-large',
    'This is too large to take: a quilt has at most 4 MB, a picture 25 MB. Nothing was changed.',
  ],
  'encoding.unsupported': [
    'bad-encoding',
    'What arrived is packed in a way that is not known here. Nothing was changed.',
  ],
  'charset.unsupported': [
    'bad-encoding',
    'What arrived is in an encoding this app cannot read. Save it as UTF-8. Nothing was changed.',
  ],
  'request.aborted': ['cut-short', 'The request broke off on its way. Nothing was changed.'],
};

/** How each trouble of the database is answered. */
const BY_TROUBLE: Readonly<Record<Trouble['kind'], readonly [code: ErrorCode, message: string]>> = {
  full: ['disk-full', 'The disk is full, so this was not saved. Free some space; the app keeps trying.'],
  'read-only': ['read-only', 'The data folder cannot be written to, so this was not saved.'],
  busy: ['busy', 'The database is busy with another write. The app will try again.'],
  disk: ['disk-error', 'The disk could not be read or written, so this was not saved.'],
  gone: ['folder-gone', 'The data folder was moved or removed while the server runs, so this was not saved.'],
  damaged: [
    'damaged',
    'The database is damaged, so this was not done. The README says how to go back to the last backup.',
  ],
  'not-ours': ['damaged', 'The database file was replaced by something else, so this was not done.'],
};

/** What a client did wrong, by the status some library says it with. */
const BY_STATUS: Readonly<Record<number, readonly [code: ErrorCode, message: string]>> = {
  404: ['no-such-address', 'There is nothing at this address.'],
  412: ['changed-meanwhile', 'This has changed meanwhile. Nothing was changed.'],
  416: ['no-such-part', 'There is no such part of it.'],
};
const UNREADABLE = ['bad-request', 'This request cannot be read, so nothing was changed.'] as const;

/** What an error means to the person; null for a fault of ours. */
export function refusalOf(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error;
  const { type, status } = error as { type?: string; status?: number };
  const trouble = troubleOf(error);
  const known = BY_TYPE[type ?? ''] ?? (trouble && BY_TROUBLE[trouble.kind]);
  if (known) return new Refusal(...known);
  if (error instanceof URIError) return new Refusal(...UNREADABLE);
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Refusal(...(BY_STATUS[status] ?? UNREADABLE));
  return null;
}

/** What is logged of a fault of ours: where it happened, never what somebody wrote. */
function faultOf(error: unknown): object {
  const { name, code, stack = '' } = error as Error & { code?: string };
  const at = stack.split('\n').filter((line) => /^\s+at /.test(line));
  return { fault: name, code, at: at.slice(0, 8).map((line) => line.trim()) };
}

/** Last in the chain: every error leaves as `{code, message, details, request}`; faults of ours go to `report`. */
export const answerErrors =
  (report: (fault: object) => void): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    const known = refusalOf(error);
    const request = response.locals['request'] as string | undefined;
    if (!known || known.status === 507) report({ request, ...faultOf(error) });
    // Half an answer is on its way: the connection is broken off, so that it is not taken for a whole one.
    if (response.headersSent) return void next(error);
    const { status, code, message, details } =
      known ?? new Refusal('unexpected', 'Something went wrong on the server. Nothing was changed.');
    // Not a file any more, whatever was to come.
    for (const header of ['Content-Disposition', 'Content-Type']) response.removeHeader(header);
    const answer = { code, message, details, ...(request !== undefined && { request }) };
    const fault = faultOfSaid(response, status, answer);
    if (fault !== null)
      return void response.status(500).json({ ...answer, code: 'unexpected', message: fault });
    response.status(status).json(answer);
  };
