import { finishRefusals, shapeRefusals } from '../edge/together.ts';
import { plannedSize } from './planned-size.ts';
import type { Plan } from '../plan/shape.ts';

/** The plan with an edge its size has room for: square corners where the shape it has does not fit. */
function withEdgeThatFits(plan: Plan): Plan {
  if (shapeRefusals(plan, plannedSize(plan)).length === 0) return plan;
  const squared: Plan = { ...plan, edge: { ...plan.edge, shape: 'square' } };
  return finishRefusals(squared).length > 0 ? plan : squared;
}

/**
 * The plan for a top of another size or make: what was measured or chosen of the old one is let go, and its edge
 * is one that fits.
 */
export function resetForNewTop(plan: Plan): Plan {
  const { edge, backing, binding } = plan;
  return withEdgeThatFits({
    ...plan,
    measured: [],
    edge: { ...edge, around: null },
    backing: { ...backing, made: null },
    binding: { ...binding, start: null },
  });
}
