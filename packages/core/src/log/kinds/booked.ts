import { z } from 'zod';
import { sayDay } from '../../moment/moment.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

/** A side in the plan's unit as it then was. */
const side = z.number().positive().max(10_000);
const bookingNumber = z.string().trim().min(1).max(40);

/** Quilting booked with a long-arm service: at which sizes, for how much, from when until when. */
export const booked = logKind({
  body: z.strictObject({
    number: bookingNumber,
    unit: z.enum(['in', 'cm']),
    width: side,
    height: side,
    price: z.number().min(0),
    starts: z.iso.date(),
    ready: z.iso.date(),
  }),
  readers: ['bookings'],
  inCopy: 'stays',
  says: (entry) => {
    const { body } = entry;
    const { number, starts, ready, price } = body;
    return [
      line(
        entry,
        'booked',
        'layers',
        `Quilting booked, ${number}: from ${sayDay(starts)}, ready ${sayDay(ready)}, ${price.toFixed(2)}`,
      ),
    ];
  },
});
