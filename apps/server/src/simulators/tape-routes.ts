import { Router } from 'express';
import { z } from 'zod';
import { Refusal } from '../errors.ts';
import { parseBody } from '../parse-body.ts';
import type { Tape } from './tape.ts';

export const squeezeBody = z.object({ millimetres: z.number().positive().max(6000) });
export const carryBody = z.object({ inReach: z.boolean() });
const NONSENSE = 'The tape was asked for something it cannot do.';
const outOfReach = () =>
  new Refusal(
    409,
    'tape-out-of-reach',
    'The tape is out of reach. Bring it nearer; typing goes on meanwhile.',
  );

/** The simulated tape over HTTP: readings as a stream of events, its button, and being carried off. */
export function tapeRoutes(tape: Tape): Router {
  const router = Router();
  router.get('/readings', (request, response) => {
    if (!tape.inReach) throw outOfReach();
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      Connection: 'keep-alive',
    });
    response.flushHeaders();
    response.write('event: ready\ndata: {}\n\n');
    const stop = tape.listen({
      reading: (reading) => response.write(`event: reading\ndata: ${JSON.stringify(reading)}\n\n`),
      gone: () => response.end(),
    });
    request.on('close', stop);
  });
  router.post('/squeeze', (request, response) => {
    const { millimetres } = parseBody(squeezeBody, request.body, NONSENSE);
    const reading = tape.squeeze(millimetres);
    if (!reading) throw outOfReach();
    response.json(reading);
  });
  router.post('/carry', (request, response) => {
    tape.carry(parseBody(carryBody, request.body, NONSENSE).inReach);
    response.json({ inReach: tape.inReach });
  });
  return router;
}
