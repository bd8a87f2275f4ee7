import { LOG_BATCH, logEntrySchema } from '@lattice/core';
import { Router } from 'express';
import { z } from 'zod';
import { parseBody } from '../parse-body.ts';
import type { LogRepository } from './repository.ts';

export const addBody = z.strictObject({ entries: z.array(logEntrySchema).max(LOG_BATCH) });
export const sinceQuery = z.object({
  since: z.coerce.number().int().min(0).default(0),
  quilt: z.string().max(64).optional(),
});

/** The log over HTTP: many entries in, each kept once; what arrived since, out. */
export function logRoutes(log: LogRepository): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const why = `Entries of the log cannot be read: each has its id, quilt, time, kind and body, at most ${LOG_BATCH} at once.`;
    const { entries } = parseBody(addBody, request.body, why);
    response.json({ added: await log.add(entries) });
  });
  router.get('/', async (request, response) => {
    const { since, quilt } = parseBody(sinceQuery, request.query, 'Say since which entry: a whole number.');
    response.json(await log.since(since, quilt));
  });
  return router;
}
