import { z } from 'zod';
import { formatSize } from '../../length/format.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** A cloth was bought: as long and as usably wide as it really is. */
export const bought = logKind({
  body: z.strictObject({
    cloth: z.string().min(1).max(64),
    unit: z.enum(['in', 'cm']),
    width: z.number().positive().max(10_000),
    length: z.number().positive().max(100_000),
  }),
  readers: ['purchases'],
  inCopy: 'same',
  says: (entry, { cloth }) => {
    const { body } = entry;
    const size = formatSize(body.width, body.length, body.unit);
    return [line(entry, 'bought', 'cut', `Bought: ${cloth(body.cloth)}, ${size} usable`)];
  },
});
