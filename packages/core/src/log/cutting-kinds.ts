import { z } from 'zod';
import { LIMITS } from '../soundness/limits.ts';

/** Whole units of a cloth, as its plan is made in. */
const units = z.number().int().min(0).max(10_000_000);
const size = z.number().positive().max(100_000);
const key = z.string().min(1).max(300);
const unit = z.enum(['in', 'cm']);
const cloth = z.string().min(1).max(64);
const entry = z.string().min(8).max(64);

const box = z.strictObject({ x: units, y: units, w: units, h: units, stock: key.optional() });

/** Where everything lies on a cloth: the plan that was begun to be cut. */
const sheet = z.strictObject({
  length: units,
  cuts: z.array(box.extend({ key })).max(10_000),
  runs: z
    .array(
      z.strictObject({
        width: units,
        joins: z.enum(['diagonal', 'straight']),
        pieces: z.array(z.strictObject({ key, count: z.number().int().min(0).max(10_000) })).max(1000),
        segments: z.array(box).max(10_000),
      }),
    )
    .max(1000),
  strips: z.array(units).max(10_000),
});

/**
 * The cutting of a cloth was begun, by this plan. `wants` is what the quilt then wanted of the cloth: while it wants
 * the same, this is the plan it is cut by, wherever it is looked at.
 */
export const cuttingPlanned = z.strictObject({
  cloth,
  unit,
  wants: z.string().min(2).max(LIMITS.letters),
  /** Pieces left of it that are used first. */
  stock: z.array(z.strictObject({ key, w: size, h: size, name: z.string().max(80).optional() })).max(2000),
  sheet,
});

/** Pieces cut: whose, how many, how large across the cloth and along it. */
const made = z.strictObject({
  key,
  name: z.string().max(400),
  w: size,
  h: size,
  count: z.number().int().min(1).max(10_000),
  /** Strips that are still to be joined. */
  joined: z.boolean(),
});

/** One step of such a plan was done: so much was taken off the cloth, these pieces came out of it, this was left. */
export const stepCut = z.strictObject({
  cloth,
  unit,
  plan: entry,
  step: key,
  takes: z.number().min(0).max(100_000),
  /** Strips and leftovers that were cut up, by the names they have in the record. */
  uses: z.array(key).max(1000),
  makes: z.array(made).max(1000),
  leaves: z.array(z.strictObject({ w: size, h: size })).max(1000),
});

/** Such steps were taken back: they had not been done. */
export const stepUncut = z.strictObject({ entries: z.array(entry).min(1).max(100) });

/** Something went wrong: pieces that are spoiled, or a length of cloth that cannot be used. */
export const cutLost = z.strictObject({
  cloth,
  unit,
  why: z.enum(['miscut', 'flaw', 'other-size']),
  pieces: z.array(made).max(1000),
  /** They are of use all the same, at the size they were really cut. */
  instead: z.array(made).max(1000),
  length: z.number().min(0).max(100_000),
  /** What is good of that length: pieces before a flaw and beside it. */
  leaves: z
    .array(z.strictObject({ w: size, h: size }))
    .max(10)
    .optional(),
});
