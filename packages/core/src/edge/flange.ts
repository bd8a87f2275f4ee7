import { planStrips } from '../cutting/strips.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatLength } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** A flange: four folded strips, cut to the quilt's sides before they are sewn, since uncut ones stretch. */
export interface Flange {
  readonly visible: number;
  readonly cutWidth: Figure;
  readonly sides: Figure;
  readonly ends: Figure;
  readonly strips: Figure;
  readonly fabric: Figure;
  /** Where its strips are joined: on each of the two sides and the two ends, from its beginning. */
  readonly joins: { readonly sides: readonly (readonly number[])[]; readonly ends: readonly (readonly number[])[] };
}

/**
 * A flange of so much to be seen (handbook 8): cut `2 × (visible + a)`, folded in half; sides as long as
 * the quilt is high, then top and bottom as long as it is wide, joined on the diagonal when longer than
 * the fabric.
 */
export function planFlange(quilt: { width: number; height: number }, visible: number, seam: number, usable: number, unit: Unit): Flange {
  const show = (v: number) => formatLength(v, unit);
  const width = 2 * (visible + seam);
  const needs = [{ key: 'sides', length: quilt.height }, { key: 'ends', length: quilt.width }].map((n) => ({ ...n, name: n.key === 'sides' ? 'Sides' : 'Top and bottom', width, count: 2 }));
  const { strips, yields } = planStrips(needs, { usable, seam, unit }).groups[0]!;
  const joinsOf = (key: string) => yields.find((y) => y.key === key)?.joins ?? [];
  return {
    visible,
    cutWidth: lengthOf(width, `2 × (${show(visible)} seen + ${show(seam)} seam) = ${show(width)}`),
    sides: lengthOf(quilt.height, 'As long as the quilt is high: 2'),
    ends: lengthOf(quilt.width, 'As long as it is wide: 2'),
    strips,
    fabric: lengthOf(strips.value * width, `${strips.value} strips × ${show(width)} = ${show(strips.value * width)}`),
    joins: { sides: joinsOf('sides'), ends: joinsOf('ends') },
  };
}
