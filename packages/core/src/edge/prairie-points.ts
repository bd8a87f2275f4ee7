import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover, howManyFit } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** Prairie points along one side: a whole number of them, so that two meet edge to edge exactly at every corner. */
export interface PointsOnSide {
  readonly count: Figure;
  /** How far each slips under the next, once the difference is spread over all. */
  readonly overlap: Figure;
  /** Between two points at the sewing line; negative where they lie over one another there. */
  readonly gap: Figure;
}

/** Points all round a quilt, and what they are cut from. */
export interface PrairiePoints {
  readonly pitch: Figure;
  readonly across: PointsOnSide;
  readonly down: PointsOnSide;
  readonly total: Figure;
  readonly strips: Figure;
  readonly fabric: Figure;
}

/**
 * Prairie points in place of a binding (handbook 8): squares `q` folded to a base of `q`, one every
 * `q − overlap`. Each side takes a whole number, the difference spread over all of it. At the sewing line
 * they just meet when the overlap is two seams.
 */
export function planPrairiePoints(quilt: { width: number; height: number }, square: number, overlap: number, seam: number, usable: number, unit: Unit): PrairiePoints {
  const show = (v: number) => formatLength(v, unit);
  const pitch = square - overlap;
  const along = (side: number): PointsOnSide => {
    const count = Math.max(1, Math.round(side / pitch));
    const own = square - side / count;
    return {
      count: countOf(count, `${show(side)} ÷ ${show(pitch)} = ${formatExact(side / pitch)}, to whole points: ${count}`),
      overlap: lengthOf(own, `${show(square)} − ${show(side)} ÷ ${count} = ${formatExact(own)}`),
      gap: lengthOf(2 * seam - own, `2 × ${show(seam)} seam − ${formatExact(own)} overlap = ${formatExact(2 * seam - own)}`),
    };
  };
  const [across, down] = [along(quilt.width), along(quilt.height)];
  const total = 2 * (across.count.value + down.count.value);
  const each = howManyFit(usable, square);
  const strips = howManyCover(total, each);
  return {
    pitch: lengthOf(pitch, `${show(square)} square − ${show(overlap)} overlap = ${show(pitch)}`),
    across, down,
    total: countOf(total, `2 × (${across.count.value} + ${down.count.value}) = ${total}`),
    strips: countOf(strips, `${total} squares, ${each} to a strip of ${show(usable)}: ${strips}`),
    fabric: lengthOf(strips * square, `${strips} strips × ${show(square)} = ${show(strips * square)}`),
  };
}
