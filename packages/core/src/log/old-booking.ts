import { LOG_KINDS, type EntryBody } from './kinds/registry.ts';

/**
 * The booking an older plan document still carries, as the log says it; null where there is none. Plans kept their
 * booking until version 5.
 */
export function bookingInOldPlan(document: unknown): EntryBody['booked'] | null {
  const plan = document as {
    schemaVersion?: unknown;
    unit?: unknown;
    quilting?: { booking?: unknown };
  } | null;
  const booking = plan?.quilting?.booking as Record<string, unknown> | null | undefined;
  if (!booking || typeof plan?.schemaVersion !== 'number' || plan.schemaVersion > 5) return null;
  const read = LOG_KINDS.booked.body.safeParse({ ...booking, unit: plan.unit });
  return read.success ? read.data : null;
}
