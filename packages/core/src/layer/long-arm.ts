import { z } from 'zod';

/** Patterns a long-arm service quilts. */
export const LONG_ARM_PATTERNS = ['all-over', 'custom'] as const;

const side = z.number().positive().max(1000);
const sheet = z.strictObject({ width: side, height: side });

/** What a long-arm service is told of a job: sizes in the plan's unit. */
export const longArmJobSchema = z.strictObject({
  unit: z.enum(['in', 'cm']),
  top: sheet,
  backing: sheet.extend({ diagonals: z.tuple([side, side]).nullable() }),
  batting: sheet,
  pattern: z.enum(LONG_ARM_PATTERNS),
});
export type LongArmJob = z.infer<typeof longArmJobSchema>;

/** What it answers: a place in its queue and a price, or every reason it cannot take the job. */
export const longArmAnswerSchema = z.discriminatedUnion('accepted', [
  z.object({
    accepted: z.literal(true),
    price: z.number(),
    ahead: z.int(),
    starts: z.iso.date(),
    ready: z.iso.date(),
    working: z.array(z.string()),
  }),
  z.object({ accepted: z.literal(false), reasons: z.array(z.string()).min(1) }),
]);
export type LongArmAnswer = z.infer<typeof longArmAnswerSchema>;
