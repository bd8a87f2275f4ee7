import { z } from 'zod';
import { sayDay } from '../../moment/moment.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** When a quilt has to be ready; null for whenever it is. A gift may be washed, and spends days in the post. */
export const dueDateSet = logKind({
  body: z.strictObject({
    date: z.iso.date().nullable(),
    wash: z.boolean(),
    postDays: z.number().int().min(0).max(90),
  }),
  readers: ['hours'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    const { date } = body;
    return [
      line(entry, 'change', '', date === null ? 'No day to be ready by' : `To be ready by ${sayDay(date)}`, {
        fold: 'due',
      }),
    ];
  },
});
