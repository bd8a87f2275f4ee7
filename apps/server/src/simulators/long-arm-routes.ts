import { longArmJobSchema } from '@lattice/core';
import { Router } from 'express';
import { Refusal } from '../errors.ts';
import { parseBody } from '../parse-body.ts';
import type { LongArm } from './long-arm.ts';

const NO_JOB = 'The finishing service cannot read this job: it needs the sizes of top, backing and batting.';

/** The simulated finishing service over HTTP: what it says of a job, booking it, and taking a booking back. */
export function longArmRoutes(service: LongArm): Router {
  const router = Router();
  router.post('/quotes', (request, response) => {
    response.json(service.quote(parseBody(longArmJobSchema, request.body, NO_JOB)));
  });
  router.post('/bookings', (request, response) => {
    const { number, answer } = service.book(parseBody(longArmJobSchema, request.body, NO_JOB));
    response.status(number === null ? 409 : 201).json({ number, answer });
  });
  router.delete('/bookings/:number', (request, response) => {
    if (!service.cancel(request.params.number))
      throw new Refusal(404, 'no-such-booking', 'The finishing service has no booking of this number.');
    response.status(204).end();
  });
  return router;
}
