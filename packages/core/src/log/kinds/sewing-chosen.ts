import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** A seam by the two pieces it begins between. */
const seam = z.string().min(3).max(200);

/** How the top is sewn from now on, and which seams the maker presses by choice. */
export const sewingChosen = logKind({
  body: z.strictObject({
    method: z.string().min(1).max(40),
    fromRight: z.boolean(),
    alternate: z.boolean(),
    /** Rules that count otherwise than usual, by their id. */
    weights: z.record(z.string().max(40), z.number().min(0).max(1000)),
    pressed: z.record(seam, z.enum(['a', 'b', 'open'])),
  }),
  readers: ['sewing record'],
  inCopy: 'same',
  says: (entry, { way }) => [
    line(entry, 'change', 'sew', `How the top is sewn: ${way(entry.body.method)}`, { fold: 'sewing-chosen' }),
  ],
});
