import { sum } from 'd3-array';
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

/** A square corner that turns inward, as where a quilt is cut out for a post (common practice). */
const INNER =
  'An inner corner: clip the quilt’s edge to within a thread of the seam. Sew to it, needle down, pull the edge straight and go on; lay a mitre in the fold on both sides when it is turned.';

/** Angles nearer than this are one kind to a quilter: 2° (from memory). */
const ALIKE_DEGREES = 2;

/** Angles by kind, each kind by its mean to the whole degree; a corner and a valley are never one kind. */
function alike(angles: readonly number[]): { angle: number; count: number }[] {
  const kinds: number[][] = [];
  for (const angle of [...angles].sort((a, b) => a - b)) {
    const last = kinds.at(-1);
    if (last && angle - last[0]! <= ALIKE_DEGREES && angle > 180 === last[0]! > 180) last.push(angle);
    else kinds.push([angle]);
  }
  return kinds.map((kind) => ({
    angle: Math.round(sum(kind) / kind.length),
    count: kind.length,
  }));
}

/** Every kind of corner and valley of an edge, for a binding sewn `seam` from it: two seams meet `seam ÷ tan(angle/2)` before the corner (rule ED-3; geometry). */
export function mitresOf({ turns }: EdgeOutline, seam: number, unit: Unit): Mitre[] {
  return alike(turns.map((turn) => turn.angle)).map(({ angle, count }): Mitre => {
    if (angle > 180) {
      return {
        angle,
        count,
        kind: 'valley',
        stop: lengthOf(0, 'A valley is pivoted in, needle down'),
        says:
          angle === 270
            ? INNER
            : 'Clip the seam allowance in the valley to within a thread of the seam. Sew to it, needle down, straighten the valley and go on; no pleat.',
      };
    }
    const stop = seam / Math.tan((angle * Math.PI) / 360);
    return {
      angle,
      count,
      kind: 'corner',
      stop: lengthOf(stop, `${formatWithUnit(seam, unit)} ÷ tan(${angle}° ÷ 2) = ${formatExact(stop)}`),
      says:
        angle === 90
          ? 'Stop there, fold the strip up at 45° and straight down again along the next side, and begin at the edge.'
          : `Stop there, fold the strip away so that it runs on straight from the next side, and back down along it: the fold halves the ${angle}° corner.`,
    };
  });
}
