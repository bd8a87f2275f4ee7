import { z } from 'zod';
import { LOG_KINDS, type EntryBody } from './kinds/registry.ts';

/** Made where it happened, so that the same entry may arrive any number of times and stays one. */
const entryId = z
  .string()
  .regex(/^[0-9A-Za-z-]{8,64}$/, 'An entry’s id is 8 to 64 letters, digits and dashes.');

/** What every entry says besides its kind and its body: which quilt, and when it happened there. */
const common = {
  id: entryId,
  quilt: z.string().min(1, 'An entry is of a quilt.').max(64),
  at: z.iso.datetime('An entry’s time is written like 2026-11-26T09:30:00Z.'),
};

/** Something that happened, as the log keeps it. Entries are added and never changed. */
export type LogEntry = {
  [K in keyof EntryBody]: {
    readonly id: string;
    readonly quilt: string;
    /** When it happened, by the clock where it did; ISO 8601 in UTC. */
    readonly at: string;
    readonly kind: K;
    readonly body: EntryBody[K];
  };
}[keyof EntryBody];

const shapes = Object.entries(LOG_KINDS).map(([kind, { body }]) =>
  z.strictObject({ ...common, kind: z.literal(kind), body }),
);

/** One entry from outside: its kind decides what its body has to be. */
export const logEntrySchema = z.union(shapes).transform((entry) => entry as LogEntry);

/** The most entries that are sent or fetched at once. */
export const LOG_BATCH = 500;
