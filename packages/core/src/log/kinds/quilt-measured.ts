import { z } from 'zod';
import { formatSize } from '../../length/format.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** What the whole quilt measured once it was quilted, or once it was washed; in its own unit. */
export const quiltMeasured = logKind({
  body: z.strictObject({
    when: z.enum(['quilted', 'washed']),
    unit: z.enum(['in', 'cm']),
    width: z.number().positive().max(1000),
    height: z.number().positive().max(1000),
  }),
  readers: ['measured after'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    const { when, unit, width, height } = body;
    return [
      line(entry, 'measure', 'edge', `The quilt, ${when}, measured ${formatSize(width, height, unit)}`),
    ];
  },
});
