import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const id = z.string().min(8).max(64);
const count = z.number().int().min(1).max(5000);

/** Some of them are set aside for a cloth of a quilt, given back, or no longer there. */
export const stashMoved = logKind({
  body: z.strictObject({
    piece: id,
    count,
    to: z.enum(['aside', 'back', 'gone']),
    quilt: z.string().min(1).max(64).nullable(),
    cloth: z.string().min(1).max(64).nullable(),
  }),
  readers: ['stash'],
  inCopy: 'stays',
  says: (entry, { cloth }) => {
    const { body } = entry;
    const { count, to, cloth: of } = body;
    const did =
      to === 'aside' ? 'set aside from the stash' : to === 'back' ? 'given back to the stash' : 'gone';
    return [
      line(
        entry,
        'bought',
        'cut',
        `${numberOf(count, 'piece')} ${did}${of === null ? '' : ` for ${cloth(of)}`}`,
      ),
    ];
  },
});
