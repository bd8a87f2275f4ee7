import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const number = z.string().trim().min(1).max(40);

/** Such an order was let go. */
export const holdReleased = logKind({
  body: z.strictObject({ number }),
  readers: ['holds'],
  inCopy: 'stays',
  says: (entry) => {
    const { body } = entry;
    return [line(entry, 'bought', 'cut', `Order ${body.number} let go`)];
  },
});
