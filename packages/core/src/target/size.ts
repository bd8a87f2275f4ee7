import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { rulerFine } from '../length/rounding.ts';
import { near } from '../length/tolerance.ts';
import { convertLength, fromInches, type Unit } from '../length/unit.ts';
import type { Target } from '../plan/shape.ts';
import { bedOf, type BedId } from '../choice/beds.ts';

/** The size a target asks of a quilt, with how it was come by, and what it does on its bed, in words. */
export interface TargetSize {
  readonly width: Figure;
  readonly height: Figure;
  readonly says: string | null;
}

/**
 * A target as a size: a bed is its mattress and what hangs over three sides, with the pillow tuck
 * (rule TG-1); a wall is its own size less what stays free all round.
 */
export function targetSize(target: Target, unit: Unit): TargetSize {
  const show = (v: number) => formatWorking(v, unit);
  if (target.of === 'size')
    return {
      width: lengthOf(target.width, 'As entered'),
      height: lengthOf(target.height, 'As entered'),
      says: null,
    };
  if (target.of === 'wall') {
    const less = (value: number) =>
      lengthOf(
        value - 2 * target.free,
        `${show(value)} wall − 2 × ${show(target.free)} free = ${show(value - 2 * target.free)}`,
      );
    return { width: less(target.width), height: less(target.height), says: null };
  }
  const { drop, tuck, depth } = target;
  const bed = mattress(target.bed, unit);
  const width = bed.width + drop.left + drop.right;
  const height = bed.length + drop.foot + tuck;
  return {
    width: lengthOf(
      width,
      `${show(bed.width)} mattress + ${show(drop.left)} + ${show(drop.right)} drop = ${show(width)}`,
    ),
    height: lengthOf(
      height,
      `${show(bed.length)} mattress + ${show(drop.foot)} drop at the foot${tuck > 0 ? ` + ${show(tuck)} pillow tuck` : ''} = ${show(height)}`,
    ),
    says: depth === null ? null : hangs(drop, depth, unit),
  };
}

/** A bed's mattress top in a unit, on its ruler. */
export function mattress(id: BedId, unit: Unit): { readonly width: number; readonly length: number } {
  const bed = bedOf(id);
  const there = (value: number) => rulerFine(unit).apply(convertLength(value, bed.unit, unit));
  return { width: there(bed.width), length: there(bed.length) };
}

const isCot = (id: BedId): boolean => id.endsWith('cot') || id.endsWith('crib');

/** Whether a quilt is meant for a baby’s bed: then safe sleep is spoken of. */
export const isForBaby = (target: Target | null): boolean => target?.of === 'bed' && isCot(target.bed);

/** A bed as a target begins: cots without a drop, beds with one that covers the mattress and a little. */
export function startBed(id: BedId, unit: Unit): Extract<Target, { of: 'bed' }> {
  const cot = isCot(id);
  const round = (inches: number) =>
    rulerFine(unit).apply(unit === 'in' ? inches : Math.round(fromInches(inches, 'cm')));
  const drop = cot ? 0 : round(12);
  return {
    of: 'bed',
    bed: id,
    drop: { left: drop, right: drop, foot: drop },
    tuck: 0,
    depth: cot ? null : round(10),
  };
}

/** Where the quilt's edge ends against the mattress. */
function hangs(drop: { left: number; right: number; foot: number }, depth: number, unit: Unit): string {
  const where = (value: number) =>
    near(value, depth)
      ? 'ends level with the mattress’s lower edge'
      : value > depth
        ? `hangs ${formatWithUnit(value - depth, unit)} below the mattress`
        : `stops ${formatWithUnit(depth - value, unit)} short of the mattress’s lower edge`;
  if (near(drop.left, drop.right) && near(drop.left, drop.foot))
    return `The quilt ${where(drop.left)} on three sides.`;
  return `At the left it ${where(drop.left)}, at the right it ${where(drop.right)}, at the foot it ${where(drop.foot)}.`;
}

/**
 * How far the two corners at the foot of a bed are rounded so that the edge hangs alike all round: by the drop, the lesser
 * where they differ (rule TG-3). Null where nothing hangs there.
 */
export function footRadius(target: Target | null): number | null {
  if (target?.of !== 'bed') return null;
  const { left, right, foot } = target.drop;
  const radius = Math.min(left, right, foot);
  return radius > 0 ? radius : null;
}

/**
 * What is cut out of the two corners at the foot so that a quilt hangs beside the posts of a bed (rule TG-4): the drop at the
 * side by the drop at the foot; of two sides that differ the lesser. Null where nothing hangs there.
 */
export function postCutOut(target: Target | null): { readonly across: number; readonly down: number } | null {
  if (target?.of !== 'bed') return null;
  const { left, right, foot } = target.drop;
  const across = Math.min(left, right);
  return across > 0 && foot > 0 ? { across, down: foot } : null;
}
