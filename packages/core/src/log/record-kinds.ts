import { z } from 'zod';

/** What only the maker can say of a finished quilt. */
export const RECORD_FIELDS = ['maker', 'for', 'place', 'thread', 'quilted', 'care', 'story'] as const;
export type RecordField = (typeof RECORD_FIELDS)[number];

/** What the whole quilt measured once it was quilted, or once it was washed; in its own unit. */
export const quiltMeasured = z.strictObject({
  when: z.enum(['quilted', 'washed']),
  unit: z.enum(['in', 'cm']),
  width: z.number().positive().max(1000),
  height: z.number().positive().max(1000),
});

/** One of them said; the last word counts, and nothing said is nothing. */
export const recordFieldSet = z.strictObject({
  field: z.enum(RECORD_FIELDS),
  text: z.string().max(2000, 'At most 2,000 letters.'),
});
