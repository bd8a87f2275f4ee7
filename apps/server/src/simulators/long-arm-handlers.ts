import { type Handlers, Under } from '../serve/handler.ts';
import type { LongArmBookings } from './long-arm-bookings.ts';

/** The simulated long-arm service over HTTP: what it says of a job, booking it, and taking a booking back. */
export const longArmHandlers = (
  bookings: LongArmBookings,
): Handlers<'askLongArm' | 'bookLongArm' | 'cancelLongArm'> => ({
  askLongArm: ({ body }) => bookings.quote(body),
  async bookLongArm({ body: { job, ...of } }) {
    const said = await bookings.book(job, of);
    return said.entry === null ? new Under(409, said) : new Under(201, said);
  },
  cancelLongArm: async ({ params, body }) => ({ entry: await bookings.cancel(params.number, body) }),
});
