import { z } from 'zod';
import { WORKS } from '../choice/works.ts';

const entry = z.string().min(8).max(64);
/** A sitting is not longer than a day. */
const minutes = z
  .number()
  .min(0)
  .max(24 * 60);
const work = z.enum(WORKS);

/** What a step was called when time was spent on it. */
const step = z.string().trim().min(1).max(200);

/** Somebody sat down to work, at a step where it is known. */
export const clockStarted = z.strictObject({ work, step: step.optional() });

/** The work went on to another step; the clock with it. */
export const clockMoved = z.strictObject({ start: entry, step });

/** And got up: by the clock, or after so many minutes where the clock was forgotten. */
export const clockStopped = z.strictObject({ start: entry, minutes: minutes.nullable() });

/** Time typed in afterwards: so long, and how much was done of it where that is known (seams, steps, blocks). */
export const timeNoted = z.strictObject({
  work,
  minutes: minutes.positive('A sitting takes some time.'),
  amount: z.number().positive().max(100_000).nullable(),
  step: step.optional(),
});

/** Time that does not count, or counts again. */
export const sittingExcluded = z.strictObject({ entry, struck: z.boolean() });
