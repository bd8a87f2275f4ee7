import { z } from 'zod';
import { LIMITS } from '../soundness/limits.ts';

const entry = z.string().min(8).max(64);
const text = z.string().max(LIMITS.note, 'A note holds at most 10,000 letters.');
const id = z.string().min(1).max(64);
const picture = z.string().regex(/^[0-9a-z-]{8,40}$/);

/** What on a quilt something is about: a block, a border, a step of the work; none of them is the quilt itself. */
const about = z.strictObject({
  block: id.optional(),
  border: id.optional(),
  step: z.string().max(200).optional(),
});

/** Something the maker wants kept: in words, with photos. */
export const noted = z.strictObject({
  text,
  stage: z.string().max(20),
  about,
  pictures: z.array(picture).max(12),
});

/** A note said otherwise. What it said before stays in the log. */
export const noteReworded = z.strictObject({ note: entry, text });

/** A note struck out, or let stand again. */
export const noteStruck = z.strictObject({ note: entry, struck: z.boolean() });

/** What was decided or measured, in words, each by the field it is about. */
export const planChanged = z.strictObject({
  changes: z
    .array(
      z.strictObject({
        key: z.string().min(1).max(300),
        kind: z.enum(['change', 'measure', 'verdict']),
        stage: z.string().max(20),
        what: z.string().max(300),
        from: z.string().max(300),
        to: z.string().max(300),
        about,
      }),
    )
    .min(1)
    .max(200),
});
