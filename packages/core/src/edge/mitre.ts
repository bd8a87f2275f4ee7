import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { EdgeOutline } from './outline.ts';

/** How a binding goes round one kind of corner or valley. */
export interface Mitre {
  /** Inside the quilt, to the whole degree. */
  readonly angle: number;
  readonly count: number;
  readonly kind: 'corner' | 'valley';
  /** Sewing stops so far from a corner, where the seams of both sides meet; 0 in a valley, which is pivoted in. */
  readonly stop: Figure;
  readonly says: string;
}

/** Every kind of corner and valley of an edge, for a binding sewn `seam` from it: two seams meet `seam ÷ tan(angle/2)` before the corner (geometry). */
export function mitresOf({ turns }: EdgeOutline, seam: number, unit: Unit): Mitre[] {
  const kinds = new Map<number, number>();
  for (const { angle } of turns) kinds.set(Math.round(angle), (kinds.get(Math.round(angle)) ?? 0) + 1);
  return [...kinds].sort(([a], [b]) => a - b).map(([angle, count]): Mitre => {
    if (angle > 180) {
      return {
        angle, count, kind: 'valley', stop: lengthOf(0, 'A valley is pivoted in, needle down'),
        says: 'Clip the seam allowance in the valley to within a thread of the seam. Sew to it, needle down, straighten the valley and go on; no pleat.',
      };
    }
    const stop = seam / Math.tan((angle * Math.PI) / 360);
    return {
      angle, count, kind: 'corner',
      stop: lengthOf(stop, `${formatWithUnit(seam, unit)} ÷ tan(${angle}° ÷ 2) = ${formatExact(stop)}`),
      says: angle === 90
        ? 'Stop there, fold the strip up at 45° and straight down again along the next side, and begin at the edge.'
        : `Stop there, fold the strip away so that it runs on straight from the next side, and back down along it: the fold halves the ${angle}° corner.`,
    };
  });
}
