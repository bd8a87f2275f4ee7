import { z } from 'zod';

/** Another entry, by its id. */
export const entry = z.string().min(8).max(64);
/** A cloth of the plan, by its id. */
export const cloth = z.string().min(1).max(64);
/** What something is called in a record. */
export const key = z.string().min(1).max(300);
/** The unit its lengths are in: the plan’s as it then was. */
export const unit = z.enum(['in', 'cm']);
/** A length across a cloth or along it. */
export const size = z.number().positive().max(100_000);

/** Pieces cut: whose, how many, how large across the cloth and along it. */
export const made = z.strictObject({
  key,
  name: z.string().max(400),
  w: size,
  h: size,
  count: z.number().int().min(1).max(10_000),
  /** Strips that are still to be joined. */
  joined: z.boolean(),
});

/** What on a quilt something is about: a block, a border, a step of the work; none of them is the quilt itself. */
export const about = z.strictObject({
  block: z.string().min(1).max(64).optional(),
  border: z.string().min(1).max(64).optional(),
  step: z.string().max(200).optional(),
});
