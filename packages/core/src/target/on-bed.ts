import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatLength, formatWithUnit, formatWorking } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { Target } from '../plan/shape.ts';
import { mattress } from './size.ts';

/** A quilt as it lies on its bed, in the quilt's own plane. */
export interface OnBed {
  /** The mattress's top under it. */
  readonly mattress: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  };
  /** What hangs over each edge; less than nothing where it does not reach. */
  readonly left: Figure;
  readonly right: Figure;
  readonly foot: Figure;
  readonly says: string;
}

/**
 * What a quilt of this size does on the bed it is made for: its head lies as far up as was asked, what it is wider than asked
 * is shared by both sides, and what it is longer hangs at the foot (rule TG-5).
 *
 * @param quilt finished, in the plan's unit
 * @returns null where it is for no bed
 */
export function onBed(
  target: Target | null,
  quilt: { readonly width: number; readonly height: number },
  unit: Unit,
): OnBed | null {
  if (target?.of !== 'bed') return null;
  const { drop, tuck } = target;
  const bed = mattress(target.bed, unit);
  const show = (length: number) => formatWorking(length, unit);
  const over = quilt.width - bed.width;
  const shared = (over - drop.left - drop.right) / 2;
  const side = (asked: number): Figure =>
    lengthOf(
      asked + shared,
      `${show(quilt.width)} quilt − ${show(bed.width)} mattress = ${show(over)} over both sides`,
      `${show(asked)} asked for ${shared < 0 ? '−' : '+'} ${show(Math.abs(shared))}, half of what is ${shared < 0 ? 'missing' : 'more'} = ${show(asked + shared)}`,
    );
  const [left, right] = [side(drop.left), side(drop.right)];
  const long = quilt.height - tuck - bed.length;
  const foot = lengthOf(
    long,
    `${show(quilt.height)} quilt${tuck > 0 ? ` − ${show(tuck)} pillow tuck` : ''} − ${show(bed.length)} mattress = ${show(long)}`,
  );
  return {
    mattress: { x: left.value, y: tuck, width: bed.width, height: bed.length },
    left,
    right,
    foot,
    says: `As it stands it ${sidesSay(left.value, right.value, unit)} and ${footSays(long, unit)}.`,
  };
}

const sidesSay = (left: number, right: number, unit: Unit): string => {
  if (near(left, 0) && near(right, 0)) return 'ends level with both sides';
  if (near(left, right))
    return left < 0
      ? `is ${formatWithUnit(-left, unit)} short of either side`
      : `hangs ${formatWithUnit(left, unit)} at either side`;
  const one = (value: number, where: string) =>
    value < 0
      ? `is ${formatWithUnit(-value, unit)} short of the ${where}`
      : `hangs ${formatWithUnit(value, unit)} at the ${where}`;
  return left >= 0 && right >= 0
    ? `hangs ${formatLength(left, unit)} at the left, ${formatWithUnit(right, unit)} at the right`
    : `${one(left, 'left')}, ${one(right, 'right')}`;
};

const footSays = (foot: number, unit: Unit): string =>
  near(foot, 0)
    ? 'ends level with the foot'
    : foot < 0
      ? `ends ${formatWithUnit(-foot, unit)} before the foot`
      : `${formatWithUnit(foot, unit)} at the foot`;
