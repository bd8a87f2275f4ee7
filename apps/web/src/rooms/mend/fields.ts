import type { Plan, Problem } from '@lattice/core';

/** The number a problem points at; null where it points at something else. */
export function numberAt(plan: Plan, path: Problem['path']): number | null {
  const found = path.reduce<unknown>(
    (at, step) =>
      typeof at === 'object' && at !== null ? (at as Record<string | number, unknown>)[step] : null,
    plan,
  );
  return typeof found === 'number' ? found : null;
}

/** The plan with another number there. */
export const withNumberAt = (plan: Plan, path: Problem['path'], value: number): Plan =>
  replaced(plan, path, value) as Plan;

function replaced(at: unknown, [step, ...rest]: Problem['path'], value: number): unknown {
  if (step === undefined) return value;
  if (Array.isArray(at))
    return at.map((entry, i) => (i === step ? replaced(entry, rest, value) : (entry as unknown)));
  const fields = at as Record<string, unknown>;
  return { ...fields, [step]: replaced(fields[step], rest, value) };
}
