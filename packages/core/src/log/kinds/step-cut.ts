import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { line } from '../line.ts';
import { cloth, entry, key, made, size, unit } from './fields.ts';
import { keyInCopy, stepInCopy } from '../leftover-key.ts';
import { logKind } from './log-kind.ts';

/** One step of such a plan was done: so much was taken off the cloth, these pieces came out of it, this was left. */
export const stepCut = logKind({
  body: z.strictObject({
    cloth,
    unit,
    plan: entry,
    step: key,
    takes: z.number().min(0).max(100_000),
    /** Strips and leftovers that were cut up, by the names they have in the record. */
    uses: z.array(key).max(1000),
    makes: z.array(made).max(1000),
    leaves: z.array(z.strictObject({ w: size, h: size })).max(1000),
  }),
  readers: ['cut record', 'stash', 'sittings', 'look back'],
  inCopy: (body, nameOf) => ({
    ...body,
    plan: nameOf(body.plan),
    step: stepInCopy(body.step, nameOf),
    uses: body.uses.map((key) => keyInCopy(key, nameOf)),
  }),
  says: (entry, { cloth }) => {
    const { body } = entry;
    const of = cloth(body.cloth);
    return [
      line(entry, 'cut', 'cut', (count) => `${of}: ${numberOf(count, 'cut')} made`, {
        fold: `cut ${body.cloth}`,
      }),
    ];
  },
});
