import { LOG_BATCH, logEntrySchema } from '@lattice/core';
import { z } from 'zod';
import { JSON_TYPE, type Operation } from '../operation.ts';
import { entry } from '../shapes/known.ts';
import { list, shape } from '../shapes/plain.ts';

/** Entries that arrived after another, and the number of the last. */
const logPage = shape({
  entries: list(entry),
  latest: z.int().nonnegative(),
  /** The number of the last there is at all. */
  newest: z.int().nonnegative(),
  /** There are more: ask again from `latest`. */
  more: z.boolean(),
  /** Entries of this page that cannot be read any more: they stay as they lie, and everything else goes on. */
  unreadable: z.int().nonnegative(),
});
export type LogPage = z.infer<typeof logPage>;

/** What happened. */
export const log = {
  logSince: {
    says: 'What happened: entries since one, of a quilt or of all.',
    query: z.object({
      since: z.coerce.number().int().min(0).default(0),
      quilt: z.string().max(64).optional(),
    }),
    wrong: 'Say since which entry: a whole number.',
    answers: { 200: { says: 'Entries, and the number to ask from next.', schema: logPage } },
    curl: `'/api/log?quilt=ID'`,
  },
  addEntries: {
    says: 'Adds entries: a tick, a note, time. Each has an id of its own; sent twice, it is there once.',
    body: z.strictObject({ entries: z.array(logEntrySchema).max(LOG_BATCH) }),
    wrong: `Entries of the log cannot be read: each has its id, quilt, time, kind and body, at most ${LOG_BATCH} at once.`,
    answers: { 200: { says: 'How many were new.', schema: shape({ added: z.int().nonnegative() }) } },
    curl: `-X POST ${JSON_TYPE} -d '{"entries": [{"id": "tick-from-curl-1", "quilt": "ID", "at": "2026-11-27T10:00:00Z", "kind": "sewing-done", "body": {"what": "layer", "done": true}}]}' '/api/log'`,
  },
} as const satisfies Record<string, Operation>;
