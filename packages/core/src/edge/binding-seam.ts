import { FIBRES } from '../choice/battings.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { finishedWidth } from './binding-widths.ts';

/** What a batting adds to what the binding wraps round, in the plan's unit. */
export const loftOf = ({ batting, unit }: Pick<Plan, 'batting' | 'unit'>): number =>
  fromInches(FIBRES[batting.fibre].loft, unit);

/**
 * How far from the edge the binding of a plan is sewn: as told, otherwise as far as it finishes wide, filled
 * with batting, so that front and back show alike (rule BD-5). In the plan's unit.
 */
export function bindingSeamOf({
  binding,
  batting,
  seam,
  unit,
}: Pick<Plan, 'binding' | 'batting' | 'seam' | 'unit'>): number {
  if (binding.seam !== null) return binding.seam;
  const { value } = finishedWidth(binding.stripWidth, binding.fold, loftOf({ batting, unit }), unit);
  // A strip too narrow to finish at anything is sewn at the quilt's seam, and that is said of it.
  return value > 0 ? value : seam;
}
