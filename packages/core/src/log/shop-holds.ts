import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { mergeLogs } from './merge.ts';

/** Orders a shop is holding for a quilt, by its log: those that were not let go. In any order, however often heard. */
export function holdsIn(log: readonly LogEntry[], quilt: string): EntryBody['shop-held'][] {
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const letGo = new Set(own.flatMap((entry) => (entry.kind === 'shop-let-go' ? [entry.body.number] : [])));
  return own.flatMap((entry) =>
    entry.kind === 'shop-held' && !letGo.has(entry.body.number) ? [entry.body] : [],
  );
}
