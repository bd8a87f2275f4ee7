import type { LogEntry } from './entry.ts';

/**
 * Logs of several devices as one: each entry once, in the order things happened. In whatever order, and however
 * often they are merged, one log comes of it: entries never change, so those of one id are one.
 */
export function mergeLogs(...logs: readonly (readonly LogEntry[])[]): LogEntry[] {
  const byId = new Map<string, LogEntry>();
  for (const log of logs) for (const entry of log) if (!byId.has(entry.id)) byId.set(entry.id, entry);
  return [...byId.values()].sort(asItHappened);
}

/** By when it happened; of the same moment by id, so that every device has one order. */
function asItHappened(a: LogEntry, b: LogEntry): number {
  const [first, second] = [sortable(a), sortable(b)];
  return first < second ? -1 : first > second ? 1 : 0;
}

/** Times in UTC sort as texts once they are written equally fine, to the billionth of a second. */
function sortable({ at, id }: LogEntry): string {
  const [second, fraction = ''] = at.replace(/Z$/, '').split('.');
  return `${second}.${fraction.padEnd(9, '0')} ${id}`;
}
