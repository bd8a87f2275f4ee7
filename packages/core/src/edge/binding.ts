import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** Straight-grain binding for a quilt. */
export interface Binding {
  /** Perimeter plus allowance. */
  readonly length: Figure;
  readonly stripWidth: number;
  readonly strips: Figure;
}

/** For corners and tails: 10" (handbook 7), or 25 cm. */
const allowance = (unit: Unit): number => (unit === 'in' ? 10 : 25);

/** Less than this left over of the last strip is too close: 2" (handbook 7: 3.98 strips → take one more). */
const LAST_STRIP_SPARE_INCHES = 2;

/**
 * Binding by the perimeter-plus-ten school: length ÷ usable width, rounded up to whole strips, one
 * more when the last would be all but used up.
 */
export function straightBinding(size: { width: number; height: number }, stripWidth: number, usable: number, unit: Unit): Binding {
  const show = (v: number) => formatLength(v, unit);
  const perimeter = 2 * (size.width + size.height);
  const length = perimeter + allowance(unit);
  const covered = howManyCover(length, usable);
  const tight = covered * usable - length < fromInches(LAST_STRIP_SPARE_INCHES, unit);
  const strips = tight ? covered + 1 : covered;
  return {
    length: lengthOf(
      length,
      `Round the quilt: 2 × (${show(size.width)} + ${show(size.height)}) = ${formatExact(perimeter)}`,
      `+ ${allowance(unit)} for corners and tails = ${formatExact(length)}`,
    ),
    stripWidth,
    strips: countOf(
      strips,
      `${formatExact(length)} ÷ ${show(usable)} usable = ${(length / usable).toFixed(2)}, up to whole strips: ${covered}`,
      ...(tight ? [`The last would be all but used up, so one more: ${strips}`] : []),
    ),
  };
}
