import { z } from 'zod';

const length = z.number().positive().max(100_000);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #c4532f.');

/** What a shop is asked for: cloths by name and colour, each so long; lengths in the plan's unit. */
export const shopListSchema = z.strictObject({
  unit: z.enum(['in', 'cm']),
  cloths: z
    .array(
      z.strictObject({
        cloth: z.string().min(1).max(64),
        name: z.string().min(1).max(60),
        colour,
        /** As it is bought, and the usable width the plan counts on. */
        length,
        usableWidth: length,
      }),
    )
    .min(1, 'A list names at least one cloth.')
    .max(200),
});
export type ShopList = z.infer<typeof shopListSchema>;

const offerSchema = z.object({
  bolt: z.string(),
  name: z.string(),
  colour,
  /** Of a yard or a metre, by the list's unit. */
  price: z.number().min(0),
  /** All lengths in the list's unit. */
  usableWidth: z.number().min(0),
  /** What the shop would cut: the length asked for, up to its own step. */
  cut: z.number().min(0),
  inStock: z.number().min(0),
  cost: z.number().min(0),
  enough: z.boolean(),
  /** How far its colour is from the one asked for (CIEDE2000), and that in a word. */
  difference: z.number().min(0),
  likeness: z.enum(['the same to the eye', 'close', 'of the family', 'another colour']),
  /** The width is less than the plan counts on. */
  narrower: z.boolean(),
});
export type ShopOffer = z.infer<typeof offerSchema>;

/** What it answers: for each cloth what it has, the best first; nothing where it has nothing like it. */
export const shopAnswerSchema = z.object({
  shop: z.string(),
  unit: z.enum(['in', 'cm']),
  cloths: z.array(z.object({ cloth: z.string(), offers: z.array(offerSchema) })),
});
export type ShopAnswer = z.infer<typeof shopAnswerSchema>;

/** An order to be laid aside: lengths of bolts, in the list's unit. */
export const shopOrderSchema = z.strictObject({
  unit: z.enum(['in', 'cm']),
  lines: z
    .array(z.strictObject({ cloth: z.string().min(1).max(64), bolt: z.string().min(1).max(40), length }))
    .min(1, 'An order has at least one line.')
    .max(200),
});
export type ShopOrder = z.infer<typeof shopOrderSchema>;
