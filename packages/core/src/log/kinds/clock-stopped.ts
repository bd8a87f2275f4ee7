import { z } from 'zod';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

/** A sitting is not longer than a day. */
const minutes = z
  .number()
  .min(0)
  .max(24 * 60);

/** And got up: by the clock, or after so many minutes where the clock was forgotten. */
export const clockStopped = logKind({
  body: z.strictObject({ start: entry, minutes: minutes.nullable() }),
  readers: ['sittings'],
  inCopy: 'stays',
  // Told with its sitting.
  says: null,
});
