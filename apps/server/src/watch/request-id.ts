import { randomBytes } from 'node:crypto';
import type { RequestHandler } from 'express';

/** Letters and digits that are not taken for one another when they are read out. */
const READ_OUT = 'abcdefghkmnpqrstuvwxyz23456789';

/** A short name for a request, to be read out by whoever saw it fail and found in the log. */
const shortName = (): string =>
  Array.from(randomBytes(6), (byte) => READ_OUT[byte % READ_OUT.length]).join('');

/** Names every request; an error says the name, and so does the log. */
export const requestId: RequestHandler = (_request, response, next) => {
  const id = shortName();
  response.locals['request'] = id;
  response.set('X-Request-Id', id);
  next();
};
