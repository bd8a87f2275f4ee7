import type { z } from 'zod';
import { migratePlan } from '../plan/migrations.ts';
import type { Problem } from './problems.ts';
import { planSchema } from './schema.ts';
import { type Plan, SCHEMA_VERSION } from '../plan/shape.ts';

/** A plan that was read, or every fault with its place. */
export type ReadPlan =
  { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * Reads a plan from outside (a file, the network, the database): brings an older version up, checks
 * it whole, and says every problem with its place. Never throws.
 */
export function readPlan(raw: unknown): ReadPlan {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return {
      ok: false,
      problems: [{ path: [], message: 'This is not a quilt plan: a plan file holds one object.' }],
    };
  }
  const version = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return {
      ok: false,
      problems: [
        {
          path: ['schemaVersion'],
          message: 'This is not a quilt plan, or it does not say its schemaVersion.',
        },
      ],
    };
  }
  if (version > SCHEMA_VERSION) {
    const message = `This plan was made by a newer version of the program (plan version ${version}; this one reads up to ${SCHEMA_VERSION}). Update first, then open it again.`;
    return { ok: false, problems: [{ path: ['schemaVersion'], message }] };
  }
  const parsed = planSchema.safeParse(migratePlan(raw as { schemaVersion: number }));
  if (parsed.success) return { ok: true, plan: parsed.data };
  return { ok: false, problems: parsed.error.issues.map(problemOf) };
}

function problemOf(issue: z.core.$ZodIssue): Problem {
  const path = issue.path.map((step) => (typeof step === 'symbol' ? String(step) : step));
  if (issue.code === 'unrecognized_keys') {
    return {
      path,
      message: `“${issue.keys.join('”, “')}” is not part of a plan here. Check the spelling or take it out.`,
    };
  }
  return { path, message: issue.message };
}
