import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** Something done besides a seam: a step pressed, the layers basted, the binding on; or not done after all. */
export const sewingDone = logKind({
  body: z.strictObject({ what: z.string().min(1).max(200), done: z.boolean() }),
  readers: ['sewing record', 'sittings', 'look back'],
  inCopy: 'same',
  says: (entry, { step }) => {
    const { body } = entry;
    const { what, done } = body;
    return [
      line(entry, 'sewn', 'sew', `${step(what)}: ${done ? 'done' : 'not done after all'}`, {
        about: { step: what },
      }),
    ];
  },
});
