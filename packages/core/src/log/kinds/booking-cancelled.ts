import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const bookingNumber = z.string().trim().min(1).max(40);

/** Such a booking taken back. */
export const bookingCancelled = logKind({
  body: z.strictObject({ number: bookingNumber }),
  readers: ['bookings'],
  inCopy: 'stays',
  says: (entry) => {
    const { body } = entry;
    return [line(entry, 'booked', 'layers', `Booking ${body.number} taken back`)];
  },
});
