import { convertLength, type Unit } from '../length/unit.ts';
import type { LogEntry } from './entry.ts';
import type { EntryBody } from './kinds/registry.ts';
import { mergeLogs } from './merge.ts';

/** A booking that stands; sizes in the unit that was asked for. */
export type Booking = Omit<EntryBody['booked'], 'unit'>;

/**
 * The booking a quilt has, by its log: the last that was made and not taken back. Entries in any order, and any of
 * them more than once, give the same.
 *
 * @param unit its sizes are wanted in
 */
export function bookingIn(log: readonly LogEntry[], quilt: string, unit: Unit): Booking | null {
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const cancelled = new Set(
    own.flatMap((entry) => (entry.kind === 'booking-cancelled' ? [entry.body.number] : [])),
  );
  const standing = own.flatMap((entry) =>
    entry.kind === 'booked' && !cancelled.has(entry.body.number) ? [entry.body] : [],
  );
  const last = standing.at(-1);
  if (!last) return null;
  const { unit: from, width, height, ...said } = last;
  return { ...said, width: convertLength(width, from, unit), height: convertLength(height, from, unit) };
}
