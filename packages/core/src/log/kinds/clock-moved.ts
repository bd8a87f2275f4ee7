import { z } from 'zod';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

/** What a step was called when time was spent on it. */
const step = z.string().trim().min(1).max(200);

/** The work went on to another step; the clock with it. */
export const clockMoved = logKind({
  body: z.strictObject({ start: entry, step }),
  readers: ['sittings'],
  inCopy: 'stays',
  // Told with its sitting.
  says: null,
});
