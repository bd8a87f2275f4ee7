import type { z } from 'zod';
import { migratePlan } from '../plan/migrations.ts';
import type { Problem } from '../refusal/refusal.ts';
import { excessIn } from './bounds.ts';
import { planProblems } from './problems.ts';
import { type Plan, planShape, SCHEMA_VERSION } from '../plan/shape.ts';

/** A plan that was read, or its faults with their places, as many as a person would go through. */
export type ReadPlan =
  { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly problems: readonly Problem[] };

/** A plan whose shape is right, whether or not it can be drawn: what stands in the way is listed. */
export type ReadShape =
  | { readonly ok: true; readonly plan: Plan; readonly problems: readonly Problem[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The most problems that are listed: who has more mends these first. */
const MOST_PROBLEMS = 20;
/** The most unknown fields that are named at once. */
const MOST_NAMES = 5;

/**
 * Reads a plan from outside (a file, the network, the database): brings an older version up, checks
 * it whole, and says every problem with its place. Never throws.
 */
export function readPlan(raw: unknown): ReadPlan {
  const read = readPlanShape(raw);
  if (!read.ok || read.problems.length > 0) return { ok: false, problems: read.problems };
  return { ok: true, plan: read.plan };
}

/**
 * Reads a plan that was kept: one that can no longer be drawn, since a limit was set later than it was made, is
 * still opened to be mended. Never throws.
 */
export function readPlanShape(raw: unknown): ReadShape {
  const brought = broughtUp(raw);
  if (!brought.ok) return brought;
  const parsed = planShape.safeParse(brought.document);
  if (!parsed.success) return { ok: false, problems: listed(parsed.error.issues.map(problemOf)) };
  return { ok: true, plan: parsed.data, problems: listed(planProblems(parsed.data)) };
}

/** The document in today's version; or why it is no plan at all. */
function broughtUp(raw: unknown) {
  const no = (message: string, path: Problem['path'] = []) => ({
    ok: false as const,
    problems: [{ path, message }],
  });
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return no('This is not a quilt plan: a plan file holds one object.');
  const excess = excessIn(raw);
  if (excess !== null) return no(`This is not a quilt plan: it holds ${excess}.`);
  const version = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return no('This is not a quilt plan, or it does not say its schemaVersion.', ['schemaVersion']);
  if (version > SCHEMA_VERSION)
    return no(
      `This plan was made by a newer version of the program (plan version ${version}; this one reads up to ${SCHEMA_VERSION}). Update first, then open it again.`,
      ['schemaVersion'],
    );
  const broken = brokenEntry(raw);
  if (broken) return no('This place of an older plan is damaged: something is missing here.', broken);
  return { ok: true as const, document: migratePlan(raw as { schemaVersion: number }) };
}

/** The lists that older plans are brought up by, entry by entry. */
const LISTS = ['pile', 'borders', 'fabrics'] as const;

/** Where such a list holds something that is no entry; null where all are. */
function brokenEntry(raw: object): Problem['path'] | null {
  for (const key of LISTS) {
    const list = (raw as Record<string, unknown>)[key];
    if (!Array.isArray(list)) continue;
    const at = list.findIndex((e) => typeof e !== 'object' || e === null || Array.isArray(e));
    if (at >= 0) return [key, at];
  }
  return null;
}

/** So many problems as a person would go through, and how many more there are. */
function listed(problems: readonly Problem[]): readonly Problem[] {
  if (problems.length <= MOST_PROBLEMS) return problems;
  const more = problems.length - MOST_PROBLEMS + 1;
  return [
    ...problems.slice(0, MOST_PROBLEMS - 1),
    { path: [], message: `There are ${more} more problems like these.` },
  ];
}

function problemOf(issue: z.core.$ZodIssue): Problem {
  const path = issue.path.map((step) => (typeof step === 'symbol' ? String(step) : step));
  if (issue.code === 'unrecognized_keys') {
    const names = issue.keys.slice(0, MOST_NAMES).map((key) => `“${key.slice(0, 40)}”`);
    const more = issue.keys.length > MOST_NAMES ? ` and ${issue.keys.length - MOST_NAMES} more` : '';
    return {
      path,
      message: `${names.join(', ')}${more} is not part of a plan here. Check the spelling or take it out.`,
    };
  }
  return { path, message: issue.message };
}
