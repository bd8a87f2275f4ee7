import { computeQuilt } from '@lattice/core';
import { openPlan, type Surroundings } from './open-plan.ts';
import { report } from './report.ts';

/** Reads a plan file and prints the whole result. Answers the exit code: 0, or 2 after one line for each problem. */
export function compute(file: string, { json }: { readonly json: boolean }, around: Surroundings): number {
  const plan = openPlan(file, around);
  if (!plan) return 2;
  const quilt = computeQuilt(plan);
  if (json) around.out(JSON.stringify({ plan: { title: plan.title, unit: plan.unit }, ...quilt }, null, 2));
  else for (const line of report(plan, quilt)) around.out(line);
  return 0;
}
