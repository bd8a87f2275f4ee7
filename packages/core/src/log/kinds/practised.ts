import { z } from 'zod';
import { logKind } from './log-kind.ts';

/** An exercise was done: which, by which numbers, and whether it was right. */
export const practised = logKind({
  body: z.strictObject({
    exercise: z.string().min(1).max(40),
    seed: z.number().int().min(0).max(4_294_967_295),
    right: z.boolean(),
  }),
  readers: ['practice'],
  inCopy: 'stays',
  // Of the maker, not of a quilt.
  says: null,
});
