import { Refusal } from '../errors.ts';
import type { Handlers } from '../serve/handler.ts';
import type { Tape } from './tape.ts';

const outOfReach = () =>
  new Refusal('tape-out-of-reach', 'The tape is out of reach. Bring it nearer; typing goes on meanwhile.');

/** The simulated tape over HTTP: readings as a stream of events, its button, and being carried off. */
export const tapeHandlers = (tape: Tape): Handlers<'tapeReadings' | 'squeezeTape' | 'carryTape'> => ({
  tapeReadings({ request, response }) {
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
  },
  squeezeTape({ body: { millimetres } }) {
    const reading = tape.squeeze(millimetres);
    if (!reading) throw outOfReach();
    return reading;
  },
  carryTape({ body: { inReach } }) {
    tape.carry(inReach);
    return { inReach: tape.inReach };
  },
});
