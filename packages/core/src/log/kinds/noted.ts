import { z } from 'zod';
import { LIMITS } from '../../soundness/limits.ts';
import { about } from './fields.ts';
import { logKind } from './log-kind.ts';

const text = z.string().max(LIMITS.note, 'A note holds at most 10,000 letters.');
const picture = z.string().regex(/^[0-9a-z-]{8,40}$/);

/** Something the maker wants kept: in words, with photos. */
export const noted = logKind({
  body: z.strictObject({
    text,
    stage: z.string().max(20),
    about,
    pictures: z.array(picture).max(12),
  }),
  readers: ['notes'],
  inCopy: 'same',
  // Told by the reader of notes: a note has more than one entry.
  says: null,
});
