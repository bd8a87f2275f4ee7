import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { line } from '../line.ts';
import { entry } from './fields.ts';
import { logKind } from './log-kind.ts';

/** Such steps were taken back: they had not been done. */
export const stepUncut = logKind({
  body: z.strictObject({ entries: z.array(entry).min(1).max(100) }),
  readers: ['cut record', 'stash', 'sittings', 'look back'],
  inCopy: ({ entries }, nameOf) => ({ entries: entries.map(nameOf) }),
  says: (entry) => {
    const { body } = entry;
    return [
      line(entry, 'cut', 'cut', `${numberOf(body.entries.length, 'cut')} taken back: not made after all`),
    ];
  },
});
