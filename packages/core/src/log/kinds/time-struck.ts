import { z } from 'zod';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

/** Time that does not count, or counts again. */
export const sittingExcluded = logKind({
  body: z.strictObject({ entry, struck: z.boolean() }),
  readers: ['sittings'],
  inCopy: 'stays',
  // Told with its sitting.
  says: null,
});
