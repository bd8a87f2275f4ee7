import type { LogEntry, Plan } from '@lattice/core';

/** A quilt with its log, as it is put on the shelf. */
export interface Unpacked {
  readonly id: string;
  readonly plan: Plan;
  readonly log: readonly LogEntry[];
}

/**
 * A quilt that is on the shelf already, as one of its own: under a new id, its entries under new ones, and whatever they
 * say of one another by those. What is the stash's stays with the quilt that has it.
 */
export function asNew({ id, plan, log }: Unpacked, newId: () => string): Unpacked {
  const own = log.filter((entry) => entry.quilt === id);
  const renamed = new Map([[id, newId()], ...own.map((entry): [string, string] => [entry.id, newId()])]);
  const again = (value: unknown): unknown => {
    if (typeof value === 'string') return renamed.get(value) ?? value;
    if (Array.isArray(value)) return value.map(again);
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, again(part)]));
    return value;
  };
  return { id: renamed.get(id)!, plan, log: own.map((entry) => again(entry) as LogEntry) };
}
