import { z } from 'zod';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

/** A note struck out, or let stand again. */
export const noteStruck = logKind({
  body: z.strictObject({ note: entry, struck: z.boolean() }),
  readers: ['notes'],
  inCopy: (body, nameOf) => ({ ...body, note: nameOf(body.note) }),
  // Told with its note.
  says: null,
});
