import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** It was not bought after all. */
export const purchaseCancelled = logKind({
  body: z.strictObject({ cloth: z.string().min(1).max(64) }),
  readers: ['purchases'],
  inCopy: 'same',
  says: (entry, { cloth }) => {
    const { body } = entry;
    return [line(entry, 'bought', 'cut', `${cloth(body.cloth)}: not bought after all`)];
  },
});
