import { z } from 'zod';

/** The log's place for what belongs to the maker and to no one quilt: hours, practice. */
export const MAKER = 'maker';

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time of day is written like 19:30.');

/** When there is time to sew: minutes on each weekday, Monday first, from when; and days away. */
export const hoursSet = z.strictObject({
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
});

/** When a quilt has to be ready; null for whenever it is. A gift may be washed, and spends days in the post. */
export const dueDateSet = z.strictObject({
  date: z.iso.date().nullable(),
  wash: z.boolean(),
  postDays: z.number().int().min(0).max(90),
});

/** An exercise was done: which, by which numbers, and whether it was right. */
export const practised = z.strictObject({
  exercise: z.string().min(1).max(40),
  seed: z.number().int().min(0).max(4_294_967_295),
  right: z.boolean(),
});
