import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { atLeast, howManyCover, howManyFit, nearestWhole } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** Prairie points along one side: a whole number of them, so that two meet edge to edge exactly at every corner. */
export interface PointsOnSide {
  readonly count: Figure;
  /** How far each slips under the next, once the difference is spread; of the last ones only, where they take it all. */
  readonly overlap: Figure;
  /** Between two points at the sewing line; negative where they lie over one another there. */
  readonly gap: Figure;
  /** Where each point's tip stands, from the side's beginning. No base reaches past a corner. */
  readonly middles: readonly number[];
}

/** How wide a point's base is at the sewing line, and how high it stands from there (rule PP-1): `q − 2a`, `q/2 − a`. */
export const pointBase = (square: number, seam: number): number => square - 2 * seam;
/** How high a point stands beyond the sewing line: `q/2 − a`, in the plan's unit (rule PP-1). */
export const pointHeight = (square: number, seam: number): number => square / 2 - seam;

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
 * Prairie points in place of a binding (rule PP-1): squares `q` folded to a base of `q`, one every
 * `q − overlap`. Each side takes a whole number, the difference spread over all of it or over the last
 * three. At the sewing line they just meet when the overlap is two seams.
 */
export function planPrairiePoints(quilt: { width: number; height: number }, wish: PointsWish): PrairiePoints {
  const { square, overlap, seam, usable, unit, spread = 'all' } = wish;
  const show = (v: number) => formatWorking(v, unit);
  const pitch = square - overlap;
  const along = (side: number) =>
    pointsAlong(side, { square, pitch, seam, unit, last: spread === 'last-three' ? LAST : null });
  const [across, down] = [along(quilt.width), along(quilt.height)];
  const total = 2 * (across.count.value + down.count.value);
  const each = Math.max(1, howManyFit(usable, square));
  const strips = howManyCover(total, each);
  return {
    pitch: lengthOf(pitch, `${show(square)} square − ${show(overlap)} overlap = ${show(pitch)}`),
    across,
    down,
    total: countOf(total, `2 × (${across.count.value} + ${down.count.value}) = ${total}`),
    strips: countOf(strips, `${numberOf(total, 'square')}, ${each} to a strip of ${show(usable)}: ${strips}`),
    fabric: lengthOf(
      strips * square,
      `${numberOf(strips, 'strip')} × ${show(square)} = ${show(strips * square)}`,
    ),
  };
}

/** How points along a side are made. */
interface SideWish {
  readonly square: number;
  readonly pitch: number;
  readonly seam: number;
  readonly unit: Unit;
  /** So many at the end take the whole difference; null where all do. */
  readonly last: number | null;
}

/**
 * Points along one side. Where bases do not lie over one another at the seam each has an even share of the
 * side, half a gap at either corner. Where they do, shares would push the outer two past the corners: then
 * the outer bases end exactly at the corners, and `n` points reach `(n − 1)` pitches and one base (rule PP-2).
 */
function pointsAlong(side: number, wish: SideWish): PointsOnSide {
  const { square, pitch, seam } = wish;
  const base = pointBase(square, seam);
  const shared = Math.max(1, nearestWhole(side / pitch));
  if (atLeast(pitch, base) && atLeast(side / shared, base)) return sharing(side, shared, wish);
  return lapping(side, Math.max(2, nearestWhole((side - base) / pitch) + 1), wish);
}

/** Points that each have their share of a side; the last few share what the others leave, where they take the difference. */
function sharing(side: number, count: number, wish: SideWish): PointsOnSide {
  const { square, pitch, seam, unit, last } = wish;
  const show = (v: number) => formatWorking(v, unit);
  const some = last !== null && count > last ? last : count;
  const rest = count - some;
  const share = (side - rest * pitch) / some;
  // Squeezed below a base the last ones lie over one another too: their outer base ends at the corner.
  const base = pointBase(square, seam);
  const step = atLeast(share, base) ? share : (some * share - base / 2 + pitch / 2) / some;
  const own = square - step;
  const first = atLeast(share, base) ? share / 2 : step - pitch / 2;
  const working =
    rest === 0
      ? `${show(square)} − ${show(side)} ÷ ${count} = ${formatExact(own)}`
      : atLeast(share, base)
        ? `The last ${some} share ${show(side)} − ${rest} × ${show(pitch)} = ${formatExact(some * share)}: ${show(square)} − ${formatExact(some * share)} ÷ ${some} = ${formatExact(own)}`
        : `From the tip before them to the corner’s point the last ${some} have ${formatExact(some * step)}: ${show(square)} − ${formatExact(some * step)} ÷ ${some} = ${formatExact(own)}`;
  return {
    count: countOf(
      count,
      `${show(side)} ÷ ${show(pitch)} = ${formatExact(side / pitch)}, to whole points: ${count}`,
    ),
    ...gapOf(own, wish, working),
    middles: Array.from({ length: count }, (_, i) =>
      i < rest ? (i + 0.5) * pitch : rest * pitch + first + (i - rest) * step,
    ),
  };
}

/** Points that lie over one another at the seam, the first and the last ending at the corners. */
function lapping(side: number, count: number, wish: SideWish): PointsOnSide {
  const { square, pitch, seam, unit, last } = wish;
  const show = (v: number) => formatWorking(v, unit);
  const base = pointBase(square, seam);
  const steps = count - 1;
  const some = last !== null && steps > last ? last : steps;
  const rest = steps - some;
  const step = (side - base - rest * pitch) / some;
  const own = square - step;
  const room = `${show(side)} − ${show(base)} base = ${formatExact(side - base)}`;
  return {
    count: countOf(
      count,
      `The outer bases end at the corners: ${room}, ÷ ${show(pitch)} = ${formatExact((side - base) / pitch)}, to whole steps: ${steps}, and one: ${count}`,
    ),
    ...gapOf(
      own,
      wish,
      `${room}${rest > 0 ? ` − ${rest} × ${show(pitch)} = ${formatExact(some * step)}` : ''}, ÷ ${some} = ${formatExact(step)}; ${show(square)} − ${formatExact(step)} = ${formatExact(own)}`,
    ),
    middles: Array.from(
      { length: count },
      (_, i) => base / 2 + (i <= rest ? i * pitch : rest * pitch + (i - rest) * step),
    ),
  };
}

/** How far points slip under one another, and what lies between two at the sewing line. */
function gapOf(
  own: number,
  { seam, unit }: SideWish,
  working: string,
): Pick<PointsOnSide, 'overlap' | 'gap'> {
  return {
    overlap: lengthOf(own, working),
    gap: lengthOf(
      2 * seam - own,
      `2 × ${formatWorking(seam, unit)} seam − ${formatExact(own)} overlap = ${formatExact(2 * seam - own)}`,
    ),
  };
}
