import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { mergeLogs } from './merge.ts';

/** What was really brought home of each cloth of a quilt, the last word on each; lengths in the unit asked for. */
export function boughtIn(
  log: readonly LogEntry[],
  quilt: string,
  unit: Unit,
): ReadonlyMap<string, EntryBody['bought']> {
  const bought = new Map<string, EntryBody['bought']>();
  for (const entry of mergeLogs(log.filter((one) => one.quilt === quilt)))
    if (entry.kind === 'bought') {
      const { body } = entry;
      bought.set(body.cloth, {
        ...body,
        unit,
        width: convertLength(body.width, body.unit, unit),
        length: convertLength(body.length, body.unit, unit),
      });
    } else if (entry.kind === 'bought-not') bought.delete(entry.body.cloth);
  return bought;
}
