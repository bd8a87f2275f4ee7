import { numberOf } from '../figure/figure.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import { mostAlike } from './most-alike.ts';

/** Squares one thinks of in front of a piece of cloth, as cut (common practice). */
const SQUARES: Readonly<Record<Unit, readonly number[]>> = { in: [2.5, 3.5, 5, 6.5], cm: [6.5, 9, 13, 16.5] };
/** More than this nobody counts: it is a length of cloth. */
const MOST = 500;

/**
 * What a piece of cloth gives, in squares of the usual sizes: "56 squares of 2 1/2″, 30 of 3 1/2″" (rule PC-1). Empty where it
 * gives none, or is a length of cloth rather than a piece.
 */
export function givesSays(
  { width, length }: { readonly width: number; readonly length: number },
  unit: Unit,
): string {
  const said = SQUARES[unit].flatMap((side) => {
    const { count } = mostAlike({ width, height: length }, { width: side, height: side }, false);
    return count > 0 && count <= MOST ? [{ side, count }] : [];
  });
  return said
    .map(({ side, count }, i) =>
      i === 0
        ? `${numberOf(count, 'square')} of ${formatWithUnit(side, unit)}`
        : `${count} of ${formatWithUnit(side, unit)}`,
    )
    .join(', ');
}
