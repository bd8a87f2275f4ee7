import { countOf, type Figure } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { bindingLength } from './schools.ts';

/** Straight-grain binding for a quilt. */
export interface Binding {
  /** Perimeter plus allowance. */
  readonly length: Figure;
  readonly stripWidth: number;
  readonly strips: Figure;
}

/** Less than this left over of the last strip is too close: 2" (handbook 7: 3.98 strips → take one more). */
const LAST_STRIP_SPARE_INCHES = 2;

/** Whole strips for a length of binding: length ÷ usable width, up, and one more when the last would be all but used up. */
export function stripsOf(length: number, usable: number, unit: Unit): Figure {
  const covered = howManyCover(length, usable);
  const tight = covered * usable - length < fromInches(LAST_STRIP_SPARE_INCHES, unit);
  const strips = tight ? covered + 1 : covered;
  return countOf(
    strips,
    `${formatExact(length)} ÷ ${formatLength(usable, unit)} usable = ${(length / usable).toFixed(2)}, up to whole strips: ${covered}`,
    ...(tight ? [`The last would be all but used up, so one more: ${strips}`] : []),
  );
}

/** Straight-grain binding round a quilt, by the perimeter-plus-ten school. */
export function straightBinding(size: { width: number; height: number }, stripWidth: number, usable: number, unit: Unit): Binding {
  const length = bindingLength(size, 'plus-ten', unit);
  return { length, stripWidth, strips: stripsOf(length.value, usable, unit) };
}
