import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover, howManyFit, nearestWhole } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** Prairie points along one side: a whole number of them, so that two meet edge to edge exactly at every corner. */
export interface PointsOnSide {
  readonly count: Figure;
  /** How far each slips under the next, once the difference is spread; of the last three only, where they take it all. */
  readonly overlap: Figure;
  /** Between two points at the sewing line; negative where they lie over one another there. */
  readonly gap: Figure;
  /** Each point's share of the side, from its beginning. */
  readonly shares: readonly number[];
  /** Where each point's tip stands: in the middle of its share, or as far in as its base has to be not to reach past a corner. */
  readonly middles: readonly number[];
}

/** How wide a point's base is at the sewing line, and how high it stands from there (handbook 8): `q − 2a`, `q/2 − a`. */
export const pointBase = (square: number, seam: number): number => square - 2 * seam;
export const pointHeight = (square: number, seam: number): number => square / 2 - seam;

/** Tips of points that share a side so; where bases are wider than their shares, the ones at the ends are drawn in to the corner and the rest follow evenly. */
function middlesOf(shares: readonly number[], base: number): number[] {
  const beyond = (share: number) => Math.max(0, (base - share) / 2);
  const [first, last] = [beyond(shares[0]!), beyond(shares.at(-1)!)];
  let from = 0;
  return shares.map((share, i) => {
    const middle = from + share / 2;
    from += share;
    const t = shares.length === 1 ? 0.5 : i / (shares.length - 1);
    return middle + first * (1 - t) - last * t;
  });
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

/** How points are made and set. */
export interface PointsWish {
  readonly square: number;
  readonly overlap: number;
  readonly seam: number;
  readonly usable: number;
  readonly unit: Unit;
  readonly spread?: 'all' | 'last-three';
}

/** So many points at the end of a side take the whole difference. */
const LAST = 3;

/**
 * Prairie points in place of a binding (handbook 8): squares `q` folded to a base of `q`, one every
 * `q − overlap`. Each side takes a whole number, the difference spread over all of it or over the last
 * three. At the sewing line they just meet when the overlap is two seams.
 */
export function planPrairiePoints(quilt: { width: number; height: number }, wish: PointsWish): PrairiePoints {
  const { square, overlap, seam, usable, unit, spread = 'all' } = wish;
  const show = (v: number) => formatLength(v, unit);
  const pitch = square - overlap;
  const along = (side: number) => pointsAlong(side, { square, pitch, seam, unit, last: spread === 'last-three' ? LAST : null });
  const [across, down] = [along(quilt.width), along(quilt.height)];
  const total = 2 * (across.count.value + down.count.value);
  const each = Math.max(1, howManyFit(usable, square));
  const strips = howManyCover(total, each);
  return {
    pitch: lengthOf(pitch, `${show(square)} square − ${show(overlap)} overlap = ${show(pitch)}`),
    across, down,
    total: countOf(total, `2 × (${across.count.value} + ${down.count.value}) = ${total}`),
    strips: countOf(strips, `${total} squares, ${each} to a strip of ${show(usable)}: ${strips}`),
    fabric: lengthOf(strips * square, `${strips} strips × ${show(square)} = ${show(strips * square)}`),
  };
}

function pointsAlong(side: number, { square, pitch, seam, unit, last }: { square: number; pitch: number; seam: number; unit: Unit; last: number | null }): PointsOnSide {
  const show = (v: number) => formatLength(v, unit);
  const count = Math.max(1, nearestWhole(side / pitch));
  const some = last !== null && count > last ? last : count;
  const rest = count - some;
  // Shares of the points that take the difference.
  const share = (side - rest * pitch) / some;
  const own = square - share;
  const working = rest > 0
    ? `The last ${some} share ${show(side)} − ${rest} × ${show(pitch)} = ${formatExact(side - rest * pitch)}: ${show(square)} − ${formatExact(side - rest * pitch)} ÷ ${some} = ${formatExact(own)}`
    : `${show(square)} − ${show(side)} ÷ ${count} = ${formatExact(own)}`;
  const shares = Array.from({ length: count }, (_, i) => (i < rest ? pitch : share));
  return {
    count: countOf(count, `${show(side)} ÷ ${show(pitch)} = ${formatExact(side / pitch)}, to whole points: ${count}`),
    overlap: lengthOf(own, working),
    gap: lengthOf(2 * seam - own, `2 × ${show(seam)} seam − ${formatExact(own)} overlap = ${formatExact(2 * seam - own)}`),
    shares,
    middles: middlesOf(shares, pointBase(square, seam)),
  };
}
