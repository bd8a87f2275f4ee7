import { stripsFor } from '../cutting/joins.ts';
import { countOf, type Figure } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** Less than this left over of the last strip is too close: 2" (handbook 7: 3.98 strips → take one more). */
const LAST_STRIP_SPARE_INCHES = 2;

/** Whole strips for a length of binding: length ÷ usable width, up, and one more when the last would be all but used up. */
export function stripsOf(length: number, usable: number, unit: Unit): Figure {
  const covered = howManyCover(length, usable);
  const tight = covered * usable - length < fromInches(LAST_STRIP_SPARE_INCHES, unit);
  const strips = tight && covered > 0 ? covered + 1 : covered;
  return countOf(
    strips,
    `${formatExact(length)} ÷ ${formatLength(usable, unit)} usable = ${(length / usable).toFixed(2)}, up to whole strips: ${covered}`,
    ...(tight && covered > 0 ? [`The last would be all but used up, so one more: ${strips}`] : []),
  );
}

/** Strips counting that each diagonal join takes a strip's width (handbook 7). */
export const strictStripsOf = (length: number, usable: number, strip: number, unit: Unit): Figure =>
  countOf(stripsFor(length, usable, strip), `Each diagonal join takes ${formatLength(strip, unit)}: strips of ${formatLength(usable, unit)} less a join between each two`);
