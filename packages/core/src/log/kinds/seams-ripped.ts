import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** A seam by the two pieces it begins between. */
const seam = z.string().min(3).max(200);

/** Seams that are not sewn after all, or were taken out again. */
export const seamsRipped = logKind({
  body: z.strictObject({ seams: z.array(seam).min(1).max(5000) }),
  readers: ['sewing record', 'journal', 'sittings', 'look back'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    return [
      line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} taken out, or not sewn after all`, {
        fold: 'ripped',
        count: body.seams.length,
      }),
    ];
  },
});
