import { planStrips } from '../cutting/strips.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatLength } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** A flange: four folded strips, cut to the quilt's sides before they are sewn, since uncut ones stretch. */
export interface Flange {
  readonly cutWidth: Figure;
  readonly sides: Figure;
  readonly ends: Figure;
  readonly strips: Figure;
  readonly fabric: Figure;
}

/**
 * A flange of so much to be seen (handbook 8): cut `2 × (visible + a)`, folded in half; sides as long as
 * the quilt is high, then top and bottom as long as it is wide, joined on the diagonal when longer than
 * the fabric.
 */
export function planFlange(quilt: { width: number; height: number }, visible: number, seam: number, usable: number, unit: Unit): Flange {
  const show = (v: number) => formatLength(v, unit);
  const width = 2 * (visible + seam);
  const needs = [{ key: 'sides', length: quilt.height }, { key: 'ends', length: quilt.width }].map((n) => ({ ...n, name: n.key, width, count: 2 }));
  const { strips } = planStrips(needs, { usable, seam, unit }).groups[0]!;
  return {
    cutWidth: lengthOf(width, `2 × (${show(visible)} seen + ${show(seam)} seam) = ${show(width)}`),
    sides: lengthOf(quilt.height, 'As long as the quilt is high: 2'),
    ends: lengthOf(quilt.width, 'As long as it is wide: 2'),
    strips,
    fabric: lengthOf(strips.value * width, `${strips.value} strips × ${show(width)} = ${show(strips.value * width)}`),
  };
}
