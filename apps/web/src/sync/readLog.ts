/** What reads entries of the log: script that no first screen needs, fetched when the first entry comes. */
export { logEntrySchema } from '@lattice/core';
