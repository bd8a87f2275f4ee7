import { z } from 'zod';
import { WORKS } from '../../choice/works.ts';
import { logKind } from './log-kind.ts';

const work = z.enum(WORKS);
/** What a step was called when time was spent on it. */
const step = z.string().trim().min(1).max(200);

/** Somebody sat down to work, at a step where it is known. */
export const clockStarted = logKind({
  body: z.strictObject({ work, step: step.optional() }),
  readers: ['sittings'],
  inCopy: 'stays',
  // Told by the reader of sittings: a sitting has more than one entry.
  says: null,
});
