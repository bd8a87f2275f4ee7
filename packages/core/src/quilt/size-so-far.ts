import { isMeasured } from '../border/sizes.ts';
import { planProblems } from '../soundness/problems.ts';
import { plannedSize } from '../soundness/planned-size.ts';
import type { Plan } from '../plan/shape.ts';
import { layOut } from '../layout/lay-out.ts';

/**
 * What a quilt comes to, finished, in its own unit: as far as it was measured, from there; as planned otherwise. The
 * same figures as its own page shows, without working out the rest of it.
 */
export function sizeSoFar(plan: Plan): { width: number; height: number } {
  // What cannot be drawn is not measured either.
  if (!plan.measured.some(isMeasured) || planProblems(plan).length > 0) return plannedSize(plan);
  const { width, height } = layOut(plan).sizes.at(-1)!.used;
  return { width: width.value, height: height.value };
}
