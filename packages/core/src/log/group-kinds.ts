import { z } from 'zod';

const who = z.string().trim().min(1, 'A maker has a name.').max(80);

/** Somebody was asked for blocks: so many, by a day. A later word takes its place; none asked is asked no more. */
export const blocksAsked = z.strictObject({
  who,
  count: z.number().int().min(0).max(500),
  by: z.iso.date().nullable(),
});

/** Somebody was thanked, or has not been after all. */
export const makerThanked = z.strictObject({ who, thanked: z.boolean() });
