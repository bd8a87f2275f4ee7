import { z } from 'zod';
import { WORKS } from '../../choice/works.ts';
import { logKind } from './log-kind.ts';

/** A sitting is not longer than a day. */
const minutes = z
  .number()
  .min(0)
  .max(24 * 60);
const work = z.enum(WORKS);
/** What a step was called when time was spent on it. */
const step = z.string().trim().min(1).max(200);

/** Time typed in afterwards: so long, and how much was done of it where that is known (seams, steps, blocks). */
export const timeNoted = logKind({
  body: z.strictObject({
    work,
    minutes: minutes.positive('A sitting takes some time.'),
    amount: z.number().positive().max(100_000).nullable(),
    step: step.optional(),
  }),
  readers: ['sittings'],
  inCopy: 'stays',
  // Told by the reader of sittings.
  says: null,
});
