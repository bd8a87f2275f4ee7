import type { z } from 'zod';
import { Refusal } from './errors.ts';

/** The most faults of a request that are listed. */
const MOST_FAULTS = 20;

/** What a request carries, if it has the shape asked for; a refusal with this message otherwise. */
export function parseBody<T>(schema: z.ZodType<T>, body: unknown, message: string): T {
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues
    .slice(0, MOST_FAULTS)
    .map(({ path, message: says }) => ({ path, message: says }));
  throw new Refusal('bad-request', message, faults);
}
