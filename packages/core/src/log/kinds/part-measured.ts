import { z } from 'zod';
import { formatWithUnit } from '../../length/format.ts';
import { line } from '../line.ts';
import { unit } from './fields.ts';
import { logKind } from './log-kind.ts';

const length = z.number().positive().max(100_000);

/** What a part measured while it grew, raw edge to raw edge. */
export const partMeasured = logKind({
  body: z.strictObject({
    what: z.string().min(1).max(200),
    unit,
    length,
    /** Which way it was measured as it lies; across where nothing is said. */
    side: z.enum(['across', 'down']).optional(),
  }),
  readers: ['sewing record'],
  inCopy: 'same',
  says: (entry, { step }) => {
    const { body } = entry;
    const { what, length, unit } = body;
    return [
      line(entry, 'measure', 'sew', `${step(what)} measured ${formatWithUnit(length, unit)}`, {
        about: { step: what },
      }),
    ];
  },
});
