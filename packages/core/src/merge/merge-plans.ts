import { same } from '../document/same.ts';
import { convertPlan } from '../plan/convert.ts';
import type { Plan } from '../plan/shape.ts';
import { planProblems } from '../soundness/problems.ts';
import { type BothChanged, mergeThree } from './three-way.ts';

/** Two changes of one quilt put together. */
export interface MergedPlans {
  /** Sound; where both changed one field it is as mine, until they are settled. */
  readonly plan: Plan;
  /** What both changed, each in its own way. */
  readonly both: readonly BothChanged[];
}

/**
 * Puts together what two devices made of one plan. What each changed by itself is in the outcome; what both changed
 * is listed. Where the two do not go together (one took away the cloth that the other sews with), the parts at fault
 * are listed whole; null where nothing less than the whole quilt can be chosen.
 *
 * @param base the plan both began with; lengths of the three are compared in one unit
 *
 * @example
 * const base = blankPlan('in');
 * const merged = mergePlans(base, { ...base, title: 'Mine' }, { ...base, squaring: 1 });
 * [merged.plan.title, merged.plan.squaring, merged.both]; // ['Mine', 1, []]
 */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan): MergedPlans | null {
  const [one, two, three] = inOneUnit(base, mine, theirs);
  return mergeInOneUnit(one, two, three);
}

/** The three in the unit one of them was converted to: an inch of one is never put beside a centimetre of another. */
function inOneUnit(base: Plan, mine: Plan, theirs: Plan): [Plan, Plan, Plan] {
  const unit = mine.unit === base.unit ? theirs.unit : mine.unit;
  const inUnit = (plan: Plan) => (plan.unit === unit ? plan : convertPlan(plan, unit));
  return [inUnit(base), inUnit(mine), inUnit(theirs)];
}

function mergeInOneUnit(base: Plan, mine: Plan, theirs: Plan): MergedPlans | null {
  const { value, both: first } = mergeThree(base, mine, theirs);
  let plan = value as Plan;
  let both = first;
  // At most once for each part: a part that is mine whole is not at fault by the merge again.
  for (let rounds = 0; rounds < Object.keys(mine).length; rounds++) {
    const [problem] = planProblems(plan);
    if (!problem) return { plan, both };
    const part = partAtFault(problem.path, base, mine, theirs, plan);
    if (part === null) return null;
    plan = { ...plan, [part]: mine[part] };
    both = [
      ...both.filter(({ path }) => path[0] !== part),
      { path: [part], base: base[part], mine: mine[part], theirs: theirs[part] },
    ];
  }
  return null;
}

/** The part of the plan a problem points at, or another that they changed, so long as it is not yet as mine. */
function partAtFault(
  path: readonly (string | number)[],
  base: Plan,
  mine: Plan,
  theirs: Plan,
  plan: Plan,
): keyof Plan | null {
  const parts = [path[0] as keyof Plan, ...(Object.keys(plan) as (keyof Plan)[])];
  const differs = (a: unknown, b: unknown) => !same(a, b);
  const changed = parts.filter(
    (part) => part in plan && differs(plan[part], mine[part]) && differs(base[part], theirs[part]),
  );
  // A part whose own change is what does not go with the rest is at fault; a name or a tag never is.
  const where = path.join('.');
  const mends = changed.find(
    (part) =>
      !planProblems({ ...plan, [part]: mine[part] }).some((problem) => problem.path.join('.') === where),
  );
  return mends ?? changed.find((part) => !NEVER_AT_FAULT.has(part)) ?? null;
}

/** Parts that no other part has to go with. */
const NEVER_AT_FAULT: ReadonlySet<keyof Plan> = new Set(['title', 'tags', 'schemaVersion']);

/** The plan with some of what both changed as they have it; null where that cannot be drawn. */
export function withTheirs(plan: Plan, chosen: readonly BothChanged[]): Plan | null {
  const settled = chosen.reduce<unknown>(
    (now, { path, theirs }) => withValue(now, path, theirs),
    plan,
  ) as Plan;
  return planProblems(settled).length === 0 ? settled : null;
}

/** A document with another value at a path; things of a list are found by their id, and one that is not wanted goes. */
function withValue(document: unknown, path: readonly string[], value: unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return value;
  if (Array.isArray(document)) {
    const list = document as { readonly id: string }[];
    if (!list.some(({ id }) => id === step))
      return rest.length > 0 || value === undefined ? list : [...list, value];
    return list.flatMap((entry) => {
      if (entry.id !== step) return [entry];
      const next = withValue(entry, rest, value);
      return next === undefined ? [] : [next];
    });
  }
  const fields = document as Record<string, unknown>;
  const next = withValue(fields[step], rest, value);
  if (next !== undefined) return { ...fields, [step]: next };
  return Object.fromEntries(Object.entries(fields).filter(([name]) => name !== step));
}
