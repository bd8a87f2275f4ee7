import type { z } from 'zod';
import { Refusal } from './errors.ts';

/** What a request carries, if it has the shape asked for; a refusal with this message otherwise. */
export function parseBody<T>(schema: z.ZodType<T>, body: unknown, message: string): T {
  const parsed = schema.safeParse(body);
  if (!parsed.success) throw new Refusal(400, 'bad-request', message, parsed.error.issues);
  return parsed.data;
}
