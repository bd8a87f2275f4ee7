import { z } from 'zod';
import { logKind } from './log-kind.ts';

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time of day is written like 19:30.');

/** When there is time to sew: minutes on each weekday, Monday first, from when; and days away. */
export const hoursSet = logKind({
  body: z.strictObject({
    week: z
      .array(
        z.strictObject({
          minutes: z
            .number()
            .int()
            .min(0)
            .max(16 * 60),
          from: clock,
        }),
      )
      .length(7),
    away: z
      .array(z.strictObject({ from: z.iso.date(), to: z.iso.date() }))
      .max(100, 'A hundred absences are enough.'),
  }),
  readers: ['hours'],
  inCopy: 'stays',
  // Of the maker, not of a quilt.
  says: null,
});
