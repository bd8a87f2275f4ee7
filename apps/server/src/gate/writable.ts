import { statSync } from 'node:fs';
import type { RequestHandler } from 'express';
import type { Database } from '../database/open.ts';
import { Refusal } from '../errors.ts';

const READING: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/**
 * Takes no write that would not be kept: while the shelf is open for reading only, and once its file is no longer where
 * it was. A file that was removed can still be written to by whoever holds it open, and is gone when they let go.
 *
 * @param readOnly why, in words that end a sentence; absent where it can be written to
 */
export function onlyWhileWritable({ file }: Database, readOnly: string | undefined): RequestHandler {
  const was = file === null ? null : statSync(file);
  const isThere = () => {
    const now = file === null ? null : statSync(file, { throwIfNoEntry: false });
    return now?.ino === was?.ino && now?.dev === was?.dev;
  };
  return (request, _response, next) => {
    if (READING.has(request.method)) return next();
    if (readOnly !== undefined)
      throw new Refusal(
        'read-only',
        `The shelf is open for reading only: ${readOnly}. What you change is kept in this browser.`,
      );
    if (!isThere())
      throw new Refusal(
        'folder-gone',
        'The data folder was moved or removed while the server runs, so nothing can be saved. What you change is kept in this browser: put the folder back, then start the server again.',
      );
    next();
  };
}
