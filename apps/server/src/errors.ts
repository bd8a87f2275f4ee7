import type { ErrorRequestHandler } from 'express';
import { type Trouble, troubleOf } from './database/trouble.ts';

/** An error with an answer for the person: what is wrong, what it means, what to do. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: unknown = null,
  ) {
    super(message);
  }
}

/** Types of errors that reading a request throws, and what they mean here. */
const BY_TYPE: Readonly<Record<string, readonly [status: number, code: string, message: string]>> = {
  'entity.parse.failed': [400, 'not-json', 'What arrived is not JSON, so nothing was changed.'],
  'entity.too.large': [
    413,
    'too-large',
    'This is too large to take: a quilt has at most 4 MB, a picture 25 MB. Nothing was changed.',
  ],
  'encoding.unsupported': [
    415,
    'bad-encoding',
    'What arrived is packed in a way that is not known here. Nothing was changed.',
  ],
  'charset.unsupported': [
    415,
    'bad-encoding',
    'What arrived is in an encoding this app cannot read. Save it as UTF-8. Nothing was changed.',
  ],
  'request.aborted': [400, 'cut-short', 'The request broke off on its way. Nothing was changed.'],
};

/** How each trouble of the database is answered. */
const BY_TROUBLE: Readonly<
  Record<Trouble['kind'], readonly [status: number, code: string, message: string]>
> = {
  full: [507, 'disk-full', 'The disk is full, so this was not saved. Free some space; the app keeps trying.'],
  'read-only': [507, 'read-only', 'The data folder cannot be written to, so this was not saved.'],
  busy: [503, 'busy', 'The database is busy with another write. The app will try again.'],
  disk: [507, 'disk-error', 'The disk could not be read or written, so this was not saved.'],
  gone: [
    507,
    'folder-gone',
    'The data folder was moved or removed while the server runs, so this was not saved.',
  ],
  damaged: [
    507,
    'damaged',
    'The database is damaged, so this was not done. The README says how to go back to the last backup.',
  ],
  'not-ours': [507, 'damaged', 'The database file was replaced by something else, so this was not done.'],
};

/** Words for what a client did wrong and no more is known of. */
const BY_STATUS: Readonly<Record<number, string>> = {
  400: 'This request cannot be read, so nothing was changed.',
  404: 'There is nothing at this address.',
  412: 'This has changed meanwhile. Nothing was changed.',
  416: 'There is no such part of it.',
};

/** What an error means to the person; null for a fault of ours. */
export function refusalOf(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error;
  const { type, status } = error as { type?: string; status?: number };
  const known = BY_TYPE[type ?? ''] ?? BY_TROUBLE[troubleOf(error)?.kind ?? ('' as never)];
  if (known) return new Refusal(...known);
  if (error instanceof URIError) return new Refusal(400, 'bad-request', BY_STATUS[400]!);
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Refusal(status, 'bad-request', BY_STATUS[status] ?? BY_STATUS[400]!);
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
      known ?? new Refusal(500, 'unexpected', 'Something went wrong on the server. Nothing was changed.');
    // Not a file any more, whatever was to come.
    for (const header of ['Content-Disposition', 'Content-Type']) response.removeHeader(header);
    response.status(status).json({ code, message, details, request });
  };
