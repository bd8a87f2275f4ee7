import { computeQuilt, type Plan, planProblems } from '../../src/index.ts';
import fc from 'fast-check';
import { inchPlan } from './plans.ts';

export const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
export const edgedPlan = (
  width: number,
  height: number,
  edge: Partial<Omit<Plan['edge'], 'scallop'>> & { scallop?: Partial<Plan['edge']['scallop']> } = {},
  binding: Partial<Plan['binding']> = {},
  change: Partial<Plan> = {},
): Plan => {
  const base = inchPlan({});
  return {
    ...base,
    block: { width, height },
    grid: { across: 1, down: 1 },
    setting: { kind: 'edge-to-edge' },
    edge: { ...base.edge, ...edge, scallop: { ...base.edge.scallop, ...edge.scallop } },
    binding: { ...base.binding, ...binding },
    ...change,
  } as Plan;
};
export const edgeOf = (...args: Parameters<typeof edgedPlan>) => {
  const made = edgedPlan(...args);
  const problems = planProblems(made);
  if (problems.length > 0) throw new Error(problems.map((p) => p.message).join('\n'));
  return computeQuilt(made).edge;
};
/** Leftover strips, wide and long. */
export const toBindWith = (...strips: readonly [width: number, length: number][]): Partial<Plan> => ({
  stock: strips.map(([width, length], i) => ({ id: `strip-${i}`, for: 'binding', width, length })),
});
export const refusalsOf = (...args: Parameters<typeof edgedPlan>) =>
  planProblems(edgedPlan(...args)).map((p) => p.message);
