import type { Request, RequestHandler } from 'express';
import { Refusal } from '../errors.ts';

/** Who is inside and sends nothing for so long is hung up on: others wait for the place. */
const SILENT_MS = 15_000;

/**
 * Lets so many requests further at once. Others wait, and what they carry is not read meanwhile: their senders wait with
 * them, and none of it lies in memory. One that gives up leaves its place.
 *
 * @param atOnce how many are worked on together
 * @param most how many may wait; who comes after them is asked to come again (503)
 */
export function fewAtOnce(atOnce: number, most: number): RequestHandler {
  const waiting = new Set<() => void>();
  let inside = 0;
  const next = () => {
    const [first] = waiting;
    if (inside < atOnce) first?.();
  };
  return (request, response, go) => {
    if (waiting.size >= most)
      throw new Refusal('busy', 'Many have asked for this in the same moment. The app will try again.');
    let isInside = false;
    const enter = () => {
      waiting.delete(enter);
      inside++;
      isInside = true;
      hangUpIfSilent(request);
      go();
    };
    response.once('close', () => {
      waiting.delete(enter);
      if (isInside) inside--;
      // After whoever waits for an answer of another kind.
      setImmediate(next);
    });
    waiting.add(enter);
    next();
  };
}

function hangUpIfSilent(request: Request): void {
  if (request.method === 'GET') return;
  const { socket } = request;
  const hangUp = () => void request.destroy();
  socket.setTimeout(SILENT_MS, hangUp);
  request.once('end', () => {
    socket.setTimeout(0);
    socket.off('timeout', hangUp);
  });
}
