import { z } from 'zod';
import { sayDay } from '../../moment/moment.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const number = z.string().trim().min(1).max(40);

/** An order a shop holds until a day: what of which bolt, and what it comes to. */
export const shopHeld = logKind({
  body: z.strictObject({
    number,
    unit: z.enum(['in', 'cm']),
    until: z.iso.date(),
    lines: z
      .array(
        z.strictObject({
          cloth: z.string().min(1).max(64),
          bolt: z.string().min(1).max(40),
          name: z.string().max(60),
          length: z.number().positive().max(100_000),
          cost: z.number().min(0),
        }),
      )
      .min(1)
      .max(200),
    total: z.number().min(0),
  }),
  readers: ['holds'],
  inCopy: 'stays',
  says: (entry) => {
    const { body } = entry;
    const { number, total, until } = body;
    return [
      line(
        entry,
        'bought',
        'cut',
        `Order ${number} laid aside in the shop until ${sayDay(until)}, ${total.toFixed(2)}`,
      ),
    ];
  },
});
