import { z } from 'zod';

/** A seam by the two pieces it begins between. */
const seam = z.string().min(3).max(200);
const unit = z.enum(['in', 'cm']);
const length = z.number().positive().max(100_000);

/** How the top is sewn from now on, and which seams the maker presses by choice. */
export const sewingChosen = z.strictObject({
  method: z.string().min(1).max(40),
  fromRight: z.boolean(),
  alternate: z.boolean(),
  /** Rules that count otherwise than usual, by their id. */
  weights: z.record(z.string().max(40), z.number().min(0).max(1000)),
  pressed: z.record(seam, z.enum(['a', 'b', 'open'])),
});

/** Seams that are sewn, each with its length then. */
export const seamsSewn = z.strictObject({
  unit,
  seams: z.array(z.strictObject({ seam, length })).min(1).max(5000),
});

/** Seams that are not sewn after all, or were taken out again. */
export const seamsRipped = z.strictObject({ seams: z.array(seam).min(1).max(5000) });

/** Something done besides a seam: a step pressed, the layers basted, the binding on; or not done after all. */
export const sewingDone = z.strictObject({ what: z.string().min(1).max(200), done: z.boolean() });

/** What a part measured while it grew, raw edge to raw edge. */
export const partMeasured = z.strictObject({
  what: z.string().min(1).max(200),
  unit,
  length,
  /** Which way it was measured as it lies; across where nothing is said. */
  side: z.enum(['across', 'down']).optional(),
});
