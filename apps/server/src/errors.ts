import type { ErrorRequestHandler } from 'express';

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

/** Codes of errors other packages throw, and what they mean here. */
const KNOWN: Readonly<Record<string, Refusal>> = {
  'entity.parse.failed': new Refusal(400, 'not-json', 'What arrived is not JSON, so nothing was changed.'),
  'entity.too.large': new Refusal(
    413,
    'too-large',
    'This quilt is too large to save: more than 4 MB. Nothing was changed.',
  ),
  LIMIT_FILE_SIZE: new Refusal(
    413,
    'picture-too-large',
    'This file is larger than any photo: more than 25 MB. Make it smaller and try again.',
  ),
  LIMIT_UNEXPECTED_FILE: new Refusal(400, 'no-picture', 'One picture at a time, please.'),
  SQLITE_FULL: new Refusal(
    507,
    'disk-full',
    'The disk is full, so the quilt was not saved. Free some space; the app keeps trying.',
  ),
  SQLITE_READONLY: new Refusal(
    507,
    'read-only',
    'The data folder cannot be written to, so the quilt was not saved.',
  ),
  SQLITE_BUSY: new Refusal(503, 'busy', 'The database is busy with another write. The app will try again.'),
  SQLITE_IOERR: new Refusal(507, 'disk-error', 'The disk could not be written, so the quilt was not saved.'),
};

/** Last in the chain: every error leaves as `{code, message, details}`. */
export const answerErrors: ErrorRequestHandler = (error: unknown, _request, response, _next) => {
  const { type, code } = error as { type?: string; code?: string };
  const known = error instanceof Refusal ? error : (KNOWN[type ?? ''] ?? KNOWN[code ?? '']);
  if (!known) console.error(error);
  const refusal =
    known ?? new Refusal(500, 'unexpected', 'Something went wrong on the server. Nothing was changed.');
  response
    .status(refusal.status)
    .json({ code: refusal.code, message: refusal.message, details: refusal.details });
};
