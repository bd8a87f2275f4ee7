import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds.ts';
import { mergeLogs } from './merge.ts';

/** What has been sewn of a quilt, by the log; lengths in the unit that was asked for. */
export interface SewRecord {
  /** How it is sewn; null until somebody chose. */
  readonly chosen: EntryBody['sewing-chosen'] | null;
  /** Seams that are sewn, by their two pieces, with their length when they were. */
  readonly seams: ReadonlyMap<string, number>;
  /** What is done besides seams. */
  readonly done: ReadonlySet<string>;
  /** What parts measured last. */
  readonly measured: ReadonlyMap<string, number>;
}

/**
 * What has been sewn, by the log: of each seam and each act the last word counts. Entries in any order, and any of
 * them more than once, give the same.
 */
export function sewRecord(log: readonly LogEntry[], quilt: string, unit: Unit): SewRecord {
  let chosen: SewRecord['chosen'] = null;
  const seams = new Map<string, number>();
  const done = new Set<string>();
  const measured = new Map<string, number>();
  for (const entry of mergeLogs(log.filter((one) => one.quilt === quilt))) {
    if (entry.kind === 'sewing-chosen') chosen = entry.body;
    else if (entry.kind === 'seams-sewn')
      for (const { seam, length } of entry.body.seams)
        seams.set(seam, convertLength(length, entry.body.unit, unit));
    else if (entry.kind === 'seams-ripped') for (const seam of entry.body.seams) seams.delete(seam);
    else if (entry.kind === 'sewing-done') {
      if (entry.body.done) done.add(entry.body.what);
      else done.delete(entry.body.what);
    } else if (entry.kind === 'part-measured')
      measured.set(entry.body.what, convertLength(entry.body.length, entry.body.unit, unit));
  }
  return { chosen, seams, done, measured };
}
