import { type LogEntry, logInCopy, type Plan } from '@lattice/core';

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
  const quilt = newId();
  const own = log.filter((entry) => entry.quilt === id);
  return { id: quilt, plan, log: logInCopy(own, { quilt, newId }) };
}
