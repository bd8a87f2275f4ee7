import { z } from 'zod';
import { RECORD_FIELDS } from '../record-fields.ts';
import { logKind } from './log-kind.ts';

/** One of them said; the last word counts, and nothing said is nothing. */
export const recordFieldSet = logKind({
  body: z.strictObject({
    field: z.enum(RECORD_FIELDS),
    text: z.string().max(2000, 'At most 2,000 letters.'),
  }),
  readers: ['record card'],
  inCopy: 'same',
  // Told on the record card.
  says: null,
});
