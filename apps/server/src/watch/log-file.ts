import path from 'node:path';
import { type Logger, pino } from 'pino';
import { createStream } from 'rotating-file-stream';

/** A log in a file: turned over at ten megabytes, the last five kept. */
export function logTo(file: string): Logger {
  const stream = createStream(path.basename(file), { path: path.dirname(file), size: '10M', maxFiles: 5 });
  // A log that cannot be written is no reason to stop.
  stream.on('error', () => undefined);
  return pino({ base: null }, stream);
}
