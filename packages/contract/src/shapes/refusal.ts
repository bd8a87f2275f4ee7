import { z } from 'zod';
import type { ErrorCode } from '../errors.ts';
import { list } from './plain.ts';
import { problem, storedQuilt } from './quilt.ts';

/** What a refusal tells besides its words, by its code; nothing of those that are not here. */
export const DETAILS: Partial<Readonly<Record<ErrorCode, z.ZodType>>> = {
  /** What is wrong where; nothing of a request that could not be read at all. */
  'bad-request': z
    .array(z.strictObject({ path: z.array(z.union([z.string(), z.number()])), message: z.string() }))
    .nullable(),
  'unsound-plan': list(problem),
  unreadable: z.strictObject({ id: z.string(), revision: z.int(), title: z.string() }).nullable(),
  /** The newer quilt. */
  stale: storedQuilt,
};

/** How everything that is refused leaves. */
export const refusal = z.strictObject({
  code: z.string(),
  message: z.string(),
  details: z.unknown(),
  /** What the request is called in the server's log, to be read out. */
  request: z.string().optional(),
});
export type RefusalAnswer = z.infer<typeof refusal>;
