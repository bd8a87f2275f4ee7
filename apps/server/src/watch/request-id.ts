import { randomBytes } from 'node:crypto';
import type { RequestHandler } from 'express';

/** Letters and digits that are not taken for one another when they are read out. */
const READ_OUT = 'abcdefghkmnpqrstuvwxyz23456789';
const LETTERS = 6;
/** Asking the system for chance costs as much as the rest of a request's beginnings: it is asked for many names at once. */
const NAMES_AT_ONCE = 256;

let chance = Buffer.alloc(0);

/** A short name for a request, to be read out by whoever saw it fail and found in the log. */
function shortName(): string {
  if (chance.length === 0) chance = randomBytes(LETTERS * NAMES_AT_ONCE);
  const name = Array.from(chance.subarray(0, LETTERS), (byte) => READ_OUT[byte % READ_OUT.length]).join('');
  chance = chance.subarray(LETTERS);
  return name;
}

/** Names every request; an error says the name, and so does the log. */
export const requestId: RequestHandler = (_request, response, next) => {
  const id = shortName();
  response.locals['request'] = id;
  response.setHeader('X-Request-Id', id);
  next();
};
