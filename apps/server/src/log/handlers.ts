import type { Handlers } from '../serve/handler.ts';
import type { LogRepository } from './repository.ts';

/** The log over HTTP: many entries in, each kept once; what arrived since, out. */
export const logHandlers = (log: LogRepository): Handlers<'addEntries' | 'logSince'> => ({
  addEntries: async ({ body: { entries } }) => ({ added: await log.add(entries) }),
  logSince: ({ query: { since, quilt } }) => log.since(since, quilt),
});
