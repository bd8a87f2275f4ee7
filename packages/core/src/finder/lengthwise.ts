import { TOLERANCE } from '../length/tolerance.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { computeQuilt } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { planProblems } from '../soundness/problems.ts';

/** Borders of a cloth cut along the selvage instead of across. */
export interface Lengthwise {
  readonly plan: Plan;
  /** Joins that are spared. */
  readonly joins: number;
  /** Length of cloth that is spared; less than nothing where it takes more. In the plan's unit. */
  readonly saves: number;
}

/**
 * What cutting a cloth's joined borders along the selvage would do: no joins, and sometimes less cloth (rule BO-3);
 * null where nothing of it is joined, or where its print would lie on its side.
 */
export function cutLengthwiseInstead(plan: Plan, quilt: Quilt, cloth: string): Lengthwise | null {
  // A print that has a direction would stand at the sides and lie on its side at top and bottom (rule CU-3).
  if (fabricById(plan, cloth).direction !== 'none') return null;
  const now = quilt.fabrics.find(({ fabric }) => fabric.id === cloth);
  const joined = plan.borders.filter((border) => border.fabric === cloth && border.cut === 'crosswise');
  const joins = (runs: NonNullable<typeof now>['runs']) =>
    runs.reduce((sum, { pieces }) => sum + pieces.reduce((all, piece) => all + piece.joins.length, 0), 0);
  if (!now || joined.length === 0 || joins(now.runs) === 0) return null;
  const ids = new Set(joined.map(({ id }) => id));
  const changed: Plan = {
    ...plan,
    borders: plan.borders.map((border) => (ids.has(border.id) ? { ...border, cut: 'lengthwise' } : border)),
  };
  if (planProblems(changed).length > 0) return null;
  const after = computeQuilt(changed).fabrics.find(({ fabric }) => fabric.id === cloth);
  const spared = joins(now.runs) - (after ? joins(after.runs) : 0);
  if (!after || after.tooNarrow.length > 0 || spared <= 0) return null;
  const saves = now.needed.value - after.needed.value;
  return { plan: changed, joins: spared, saves: Math.abs(saves) < TOLERANCE ? 0 : saves };
}
