import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { line } from '../line.ts';
import { unit } from './fields.ts';
import { logKind } from './log-kind.ts';

/** A seam by the two pieces it begins between. */
const seam = z.string().min(3).max(200);
const length = z.number().positive().max(100_000);

/** Seams that are sewn, each with its length then. */
export const seamsSewn = logKind({
  body: z.strictObject({
    unit,
    seams: z.array(z.strictObject({ seam, length })).min(1).max(5000),
  }),
  readers: ['sewing record', 'journal', 'sittings', 'look back'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    return [
      line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} sewn`, {
        fold: 'sewn',
        count: body.seams.length,
      }),
    ];
  },
});
