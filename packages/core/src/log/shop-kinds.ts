import { z } from 'zod';

const number = z.string().trim().min(1).max(40);

/** An order a shop holds until a day: what of which bolt, and what it comes to. */
export const shopHeld = z.strictObject({
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
});

/** A cloth was bought: as long and as usably wide as it really is. */
export const bought = z.strictObject({
  cloth: z.string().min(1).max(64),
  unit: z.enum(['in', 'cm']),
  width: z.number().positive().max(10_000),
  length: z.number().positive().max(100_000),
});

/** It was not bought after all. */
export const purchaseCancelled = z.strictObject({ cloth: z.string().min(1).max(64) });

/** Such an order was let go. */
export const holdReleased = z.strictObject({ number });
