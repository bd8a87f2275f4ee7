import type { Problem } from '@lattice/core';
import { STAGES } from '@lattice/core';
import { z } from 'zod';
import { plan } from './known.ts';
import { list, moment, shape } from './plain.ts';

/** What every answer says of a quilt. */
const about = {
  id: z.string(),
  /** Said again with the next change, so that nothing is overwritten. */
  revision: z.int().min(1).describe('Said again with the next change, so that nothing is overwritten.'),
  updatedAt: moment,
};
/** What the device calls itself that saved it last; empty where it did not say. */
const savedBy = z.string();

/** Something that stands in the way of drawing a plan, and where in it. */
export const problem: z.ZodType<Problem> = z.strictObject({
  path: z.array(z.union([z.string(), z.number()])),
  message: z.string(),
});

/** A quilt as the server keeps it. */
export const storedQuilt = shape({
  ...about,
  savedBy,
  plan,
  /** What stands in the way of drawing it; it is opened to be mended. Empty for a sound one. */
  problems: list(problem),
});
export type StoredQuilt = z.infer<typeof storedQuilt>;

/** What a write is answered with: the writer knows the plan. */
export const saved = shape(about);
export type Saved = z.infer<typeof saved>;

/** What the shelf shows of a quilt that can be read; the drawing comes from its plan once the card is looked at. */
const readCard = shape({
  title: z.string(),
  tags: list(z.string()),
  unit: z.enum(['in', 'cm']),
  /** Finished, in `unit`: as far as it was measured, from there. */
  width: z.number().nonnegative(),
  height: z.number().nonnegative(),
  /** The setting's name. */
  setting: z.string(),
  /** Where the work stands; and where, with its quilting booked. */
  at: z.enum(STAGES),
  atBooked: z.enum(STAGES),
});
export type Card = z.infer<typeof readCard>;

/** The card of a quilt that cannot be read any more: its name, if even that can be made out. */
const unreadableCard = shape({ title: z.string(), unreadable: z.literal(true) });
export type UnreadableCard = z.infer<typeof unreadableCard>;

/** A quilt as the shelf lists it: without its plan. */
const listedQuilt = shape({
  ...about,
  savedBy,
  card: z.union([readCard, unreadableCard]),
  /** When it was taken off the shelf, of one that was. */
  removedAt: moment.optional(),
});
export type ListedQuilt = z.infer<typeof listedQuilt>;

/** A page of the shelf. */
export const shelfPage = shape({
  quilts: list(listedQuilt),
  /** All that were asked for. */
  total: z.int().nonnegative(),
  /** Asks for what comes after; null at the end. */
  next: z.string().nullable(),
  /** Every tag a quilt of the shelf has. */
  tags: list(z.string()),
});
export type ShelfPage = z.infer<typeof shelfPage>;

/** Quilts that were taken off, the last first. */
export const takenOff = shape({ quilts: list(listedQuilt) });
export type TakenOff = z.infer<typeof takenOff>;

/** A version of a quilt as it is listed; without a name it was kept by the day. */
export const version = shape({ id: z.string(), name: z.string().nullable(), madeAt: moment });
export type Version = z.infer<typeof version>;
