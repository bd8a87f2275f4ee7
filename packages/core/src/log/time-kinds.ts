import { z } from 'zod';
import { WORKS } from '../choice/works.ts';

const entry = z.string().min(8).max(64);
/** A sitting is not longer than a day. */
const minutes = z
  .number()
  .min(0)
  .max(24 * 60);
const work = z.enum(WORKS);

/** Somebody sat down to work. */
export const clockStarted = z.strictObject({ work });

/** And got up: by the clock, or after so many minutes where the clock was forgotten. */
export const clockStopped = z.strictObject({ start: entry, minutes: minutes.nullable() });

/** Time typed in afterwards: so long, and how much was done of it where that is known (seams, steps, blocks). */
export const timeNoted = z.strictObject({
  work,
  minutes: minutes.positive('A sitting takes some time.'),
  amount: z.number().positive().max(100_000).nullable(),
});

/** Time that does not count, or counts again. */
export const timeStruck = z.strictObject({ entry, struck: z.boolean() });
