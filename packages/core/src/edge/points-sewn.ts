import type { PointsSewn } from '../choice/edge.ts';
import { formatWithUnit } from '../length/format.ts';
import { ofUnit, type Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';

/**
 * How prairie points come to a quilt's edge (rule PP-4): as chosen, where that can be. A long-arm holds a quilt by the
 * overhang of its backing, which one that was turned has lost.
 */
export const pointsSewn = ({ edge, quilting }: Pick<Plan, 'edge' | 'quilting'>): PointsSewn =>
  quilting.by === 'home' ? edge.points.sewn : 'quilted';

/** Quilting stays so far from an edge whose points are sewn on afterwards: the backing has to fold away there (from memory). */
export const quiltingShort = (unit: Unit): number => ofUnit(unit, 1.5, 4);

/** In a few words what it takes; in full the steps of Sew tell it. */
export function pointsSewnSays(plan: Pick<Plan, 'edge' | 'quilting' | 'unit'>): string {
  if (pointsSewn(plan) === 'turned')
    return 'The points go on the top before it is layered; batting, backing and top are sewn round, turned through the opening, and quilted then.';
  const after = `Quilt no closer to the edge than ${formatWithUnit(quiltingShort(plan.unit), plan.unit)}: then the points go through top and batting, and the backing is turned in by hand.`;
  return plan.edge.points.sewn === 'turned'
    ? `A long-arm holds a quilt by the backing’s overhang, so it cannot be turned first. ${after}`
    : after;
}
