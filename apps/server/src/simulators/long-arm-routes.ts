import { longArmJobSchema } from '@lattice/core';
import { Router } from 'express';
import { z } from 'zod';
import { parseBody } from '../parse-body.ts';
import type { LongArmBookings } from './long-arm-bookings.ts';

const NO_JOB = 'The long-arm service cannot read this job: it needs the sizes of top, backing and batting.';
const NOT_ASKED = 'Say for which quilt, and with which entry of the log.';

export const asked = z.object({
  quilt: z.string().min(1).max(64),
  entry: z.string().regex(/^[0-9A-Za-z-]{8,64}$/),
});
export const bookBody = asked.extend({ job: longArmJobSchema });

/** The simulated long-arm service over HTTP: what it says of a job, booking it, and taking a booking back. */
export function longArmRoutes(bookings: LongArmBookings): Router {
  const router = Router();
  router.post('/quotes', async (request, response) => {
    response.json(await bookings.quote(parseBody(longArmJobSchema, request.body, NO_JOB)));
  });
  router.post('/bookings', async (request, response) => {
    const { job, ...of } = parseBody(bookBody, request.body, NO_JOB);
    const { entry, answer } = await bookings.book(job, of);
    response.status(entry === null ? 409 : 201).json({ entry, answer });
  });
  router.post('/bookings/:number/cancel', async (request, response) => {
    const of = parseBody(asked, request.body, NOT_ASKED);
    response.json({ entry: await bookings.cancel(request.params.number, of) });
  });
  return router;
}
