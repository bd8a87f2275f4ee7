import type { CutBy } from '../border/pieced/cut-by.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';

/** What the cuts of a plan's pieced borders are worked out by. */
export const cutByOf = (plan: Plan): CutBy => ({
  unit: plan.unit,
  seam: plan.seam,
  squaring: plan.squaring,
  usableOf: (fabric) => fabricById(plan, fabric).usableWidth,
});
