import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { nearestWhole } from '../length/tolerance.ts';
import type { PointsOnSide, PointsWish } from './prairie-points.ts';

/** One continuous strip on each side: folded along its middle, cut in to the fold by turns from both edges, so that points stand half a square apart. */
export interface PointStrip {
  readonly across: PointsOnSide;
  readonly down: PointsOnSide;
  readonly total: Figure;
  /** Distance of the cuts along each edge, on the sides that run across and down. */
  readonly cutEvery: { readonly across: Figure; readonly down: Figure };
  /** Each of its cloths, as cut: the whole strip, or half of it with a seam where it is made of two. */
  readonly cutWidth: Figure;
  /** Of each cloth: strips joined straight across, four lengths. */
  readonly lengths: { readonly across: number; readonly down: number };
}

/**
 * The continuous strip (rule PP-3; its measures from memory): two squares wide, cut to the fold
 * every square along one edge and half a square on along the other. Its `n` points lie half over one
 * another, so a raw side takes `(n + 1)` half squares. It cannot be eased, so the squares are cut a little
 * wider or narrower until the first and the last point end exactly at the corners.
 */
export function planPointStrip(
  quilt: { width: number; height: number },
  { square, seam, unit }: Pick<PointsWish, 'square' | 'seam' | 'unit'>,
  cloths: 1 | 2,
): PointStrip {
  const show = (v: number) => formatWorking(v, unit);
  const along = (side: number) => {
    const raw = side + 2 * seam;
    const halves = Math.max(3, nearestWhole((2 * raw) / square));
    const count = halves - 1;
    const own = (2 * raw) / halves;
    return {
      own,
      points: {
        count: countOf(
          count,
          `${show(side)} + 2 × ${show(seam)} seam = ${show(raw)}, ÷ half of ${show(square)} = ${formatExact((2 * raw) / square)}, to whole halves: ${halves}; one point fewer: ${count}`,
        ),
        overlap: lengthOf(own / 2, `Half of a square of ${formatExact(own)} = ${formatExact(own / 2)}`),
        gap: lengthOf(
          2 * seam - own / 2,
          `2 × ${show(seam)} seam − ${formatExact(own / 2)} overlap = ${formatExact(2 * seam - own / 2)}`,
        ),
        middles: Array.from({ length: count }, (_, i) => own / 2 - seam + (i * own) / 2),
      },
    };
  };
  const [across, down] = [along(quilt.width), along(quilt.height)];
  const total = 2 * (across.points.count.value + down.points.count.value);
  const every = (side: number, { own, points }: typeof across) =>
    lengthOf(own, `2 × ${show(side + 2 * seam)} ÷ (${points.count.value} points + 1) = ${formatExact(own)}`);
  const width = cloths === 1 ? 2 * square : square + seam;
  return {
    across: across.points,
    down: down.points,
    total: countOf(total, `2 × (${across.points.count.value} + ${down.points.count.value}) = ${total}`),
    cutEvery: { across: every(quilt.width, across), down: every(quilt.height, down) },
    cutWidth: lengthOf(
      width,
      cloths === 1
        ? `2 × ${show(square)} = ${show(width)}`
        : `${show(square)} + ${show(seam)} seam to join the two cloths = ${show(width)}`,
    ),
    lengths: {
      across: quilt.width + 2 * seam + across.own / 2,
      down: quilt.height + 2 * seam + down.own / 2,
    },
  };
}
