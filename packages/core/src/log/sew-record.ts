import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { mergeLogs } from './merge.ts';

/** What a part measured, raw edge to raw edge, as it lies; null which way it was not measured. */
interface MeasuredPart {
  readonly across: number | null;
  readonly down: number | null;
}

/** What has been sewn of a quilt, by the log; lengths in the unit that was asked for. */
export interface SewRecord {
  /** How it is sewn; null until somebody chose. */
  readonly chosen: EntryBody['sewing-chosen'] | null;
  /** Seams that are sewn, by their two pieces, with their length when they were. */
  readonly seams: ReadonlyMap<string, number>;
  /** What is done besides seams. */
  readonly done: ReadonlySet<string>;
  /** What parts measured last, by what they are called in the guide. */
  readonly measured: ReadonlyMap<string, MeasuredPart>;
}

/**
 * What has been sewn, by the log: of each seam and each act the last word counts. Entries in any order, and any of
 * them more than once, give the same.
 */
export function sewRecord(log: readonly LogEntry[], quilt: string, unit: Unit): SewRecord {
  let chosen: SewRecord['chosen'] = null;
  const seams = new Map<string, number>();
  const done = new Set<string>();
  const measured = new Map<string, MeasuredPart>();
  for (const entry of mergeLogs(log.filter((one) => one.quilt === quilt))) {
    if (entry.kind === 'sewing-chosen') chosen = entry.body;
    else if (entry.kind === 'seams-sewn')
      for (const { seam, length } of entry.body.seams)
        seams.set(seam, convertLength(length, entry.body.unit, unit));
    else if (entry.kind === 'seams-ripped') for (const seam of entry.body.seams) seams.delete(seam);
    else if (entry.kind === 'sewing-done') {
      if (entry.body.done) done.add(entry.body.what);
      else done.delete(entry.body.what);
    } else if (entry.kind === 'part-measured') {
      const { what, side = 'across', length, unit: from } = entry.body;
      const had = measured.get(what) ?? { across: null, down: null };
      measured.set(what, { ...had, [side]: convertLength(length, from, unit) });
    }
  }
  return { chosen, seams, done, measured };
}
