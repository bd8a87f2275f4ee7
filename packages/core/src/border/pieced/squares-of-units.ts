import type { UnitsMade } from '../../choice/pieced-borders.ts';
import { type Figure, lengthOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../../length/format.ts';
import { rulerUp } from '../../length/rounding.ts';
import { near } from '../../length/tolerance.ts';
import type { Unit } from '../../length/unit.ts';

/** A large square with four small ones gives so many geese. */
export const GEESE_OF_SQUARE = 4;

/** Half-square units that one pair of squares gives. */
export const UNITS_OF_PAIR: Readonly<Record<Exclude<UnitsMade, 'strips'>, number>> = {
  one: 2,
  two: 2,
  four: 4,
  eight: 8,
};

/**
 * The square cut of each cloth for half-square units made several at a time (rule PB-3). Eight: sewn on both sides of
 * both diagonals, cut in eight: twice what one pair of triangles takes, `2f + 2a(2 + √2)`, at a quarter-inch seam
 * `2f + 1 3/4`. Four: sewn all round, cut on both diagonals: `√2(f + 2a) + 2a`.
 *
 * @param finished side of a unit
 * @param seam the seam allowance, in the same unit
 * @returns the side as cut, up to the next mark of the ruler
 */
export function pairSquare(made: 'four' | 'eight', finished: number, seam: number, unit: Unit): Figure {
  const { value, says, onMark } = pairSquareSum(made, finished, seam, unit);
  return lengthOf(value, `${says}${onMark ? ' =' : ':'} ${formatWithUnit(value, unit)}`);
}

/** That side with what it is come by, up to the last equals sign, as a cut that is given in full wants it. */
export function pairSquareSum(
  made: 'four' | 'eight',
  finished: number,
  seam: number,
  unit: Unit,
): { readonly value: number; readonly says: string; readonly onMark: boolean } {
  const [f, a] = [formatWorking(finished, unit), formatWorking(seam, unit)];
  const trade = unit === 'in' && near(seam, 1 / 4);
  const [exact, sum] =
    made === 'four'
      ? [Math.SQRT2 * (finished + 2 * seam) + 2 * seam, `√2 × (${f} + 2 × ${a}) + 2 × ${a}`]
      : trade
        ? [2 * finished + 1.75, `2 × ${f} + 1 3/4`]
        : [2 * finished + 2 * seam * (2 + Math.SQRT2), `2 × ${f} + 2 × ${a} × (2 + √2)`];
  const rounding = rulerUp(unit);
  const value = rounding.apply(exact);
  const onMark = near(value, exact);
  return { value, says: onMark ? sum : `${sum} = ${formatExact(exact)}, ${rounding.name}`, onMark };
}
