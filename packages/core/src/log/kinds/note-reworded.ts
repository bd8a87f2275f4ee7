import { z } from 'zod';
import { LIMITS } from '../../soundness/limits.ts';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

const text = z.string().max(LIMITS.note, 'A note holds at most 10,000 letters.');

/** A note said otherwise. What it said before stays in the log. */
export const noteReworded = logKind({
  body: z.strictObject({ note: entry, text }),
  readers: ['notes'],
  inCopy: (body, nameOf) => ({ ...body, note: nameOf(body.note) }),
  // Told with its note.
  says: null,
});
