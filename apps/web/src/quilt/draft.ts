import { type Plan, readPlan } from '@lattice/core';

/** A plan changed in this browser and not yet known to be on the server. */
export interface Draft {
  readonly revision: number;
  readonly plan: Plan;
}

const key = (id: string) => `lattice-draft-${id}`;

/** Keeps a draft; false when the browser has no room, which leaves saving to the server alone. */
export function keepDraft(id: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

/** The draft of this quilt, or null when there is none or it cannot be read. */
export function findDraft(id: string): Draft | null {
  try {
    const raw = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as {
      revision?: unknown;
      plan?: unknown;
    } | null;
    if (!raw || typeof raw.revision !== 'number') return null;
    const read = readPlan(raw.plan);
    return read.ok ? { revision: raw.revision, plan: read.plan } : null;
  } catch {
    return null;
  }
}

/** The server has it now. */
export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // A browser that keeps nothing has nothing to drop.
  }
}
