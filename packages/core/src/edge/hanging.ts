import type { HangingKind } from '../choice/hanging.ts';
import { type Cut, cutOf } from '../cut/cut.ts';
import { countOf, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { ofUnit, type Unit } from '../length/unit.ts';
import type { FinishLine } from './finish/finish.ts';
import { longer } from '../length/tolerance.ts';

/** Where something lies on the back, in the quilt's own lengths from its top left corner as the front is seen. */
interface OnBack {
  readonly name: string;
  readonly outline: readonly { readonly x: number; readonly y: number }[];
}

/** What a quilt is hung by, on its back. */
export interface Hanging {
  readonly as: Exclude<HangingKind, 'none'>;
  readonly lines: readonly FinishLine[];
  readonly cuts: readonly Cut[];
  readonly lies: readonly OnBack[];
}

/** What it is made for; lengths in `unit`. */
export interface HangingWish {
  readonly as: Exclude<HangingKind, 'none'>;
  /** What the quilt finishes at across. */
  readonly width: number;
  /** How deep a sleeve finishes; how long the short sides of a corner. */
  readonly depth: number;
  readonly seam: number;
  readonly fabric: string;
  readonly unit: Unit;
}

/** A sleeve is so much shorter than the quilt is wide, half at each end (common practice; every show asks). */
const shorter = (unit: Unit): number => ofUnit(unit, 1, 2.5);
/** Its ends are hemmed by so much. */
export const hem = (unit: Unit): number => ofUnit(unit, 1 / 2, 1.5);
/** Wider than this a rod bends, and the sleeve is made in two with a hook between (from memory). */
const oneSleeve = (unit: Unit): number => ofUnit(unit, 60, 150);
const between = (unit: Unit): number => ofUnit(unit, 1, 2.5);

/** A sleeve, or two corners, for a quilt of this width (rule SL-1). */
export function planHanging(wish: HangingWish): Hanging {
  return wish.as === 'sleeve' ? sleeve(wish) : corners(wish);
}

/** A tube of cloth along the top of the back: cut twice its depth and two seams, hemmed at both ends. */
function sleeve({ width, depth, seam, fabric, unit }: HangingWish): Hanging {
  const show = (v: number) => formatWorking(v, unit);
  const two = longer(width, oneSleeve(unit));
  const whole = width - shorter(unit);
  const reach = two ? (whole - between(unit)) / 2 : whole;
  const cutWidth = lengthOf(
    2 * depth + 2 * seam,
    `2 × ${show(depth)} deep + 2 × ${show(seam)} seam = ${formatExact(2 * depth + 2 * seam)}`,
  );
  const finished = lengthOf(
    reach,
    `${show(width)} wide − ${show(shorter(unit))} = ${formatExact(whole)}`,
    ...(two
      ? [`(${formatExact(whole)} − ${show(between(unit))} between them) ÷ 2 = ${formatExact(reach)}`]
      : []),
  );
  const length = lengthOf(
    reach + 2 * hem(unit),
    `${formatExact(reach)} + 2 × ${show(hem(unit))} hem = ${formatExact(reach + 2 * hem(unit))}`,
  );
  const from = shorter(unit) / 2;
  const starts = two ? [from, from + reach + between(unit)] : [from];
  return {
    as: 'sleeve',
    lines: [
      {
        name: 'Sleeve, strip cut',
        figure: cutWidth,
        ...(two ? { rest: 'two of them, a hook for the rod between' } : {}),
      },
      { name: 'Sleeve, cut long', figure: length },
      { name: 'Sleeve, finished', figure: finished, rest: `${formatWithUnit(depth, unit)} deep` },
    ],
    cuts: [
      cutOf({
        id: 'sleeve',
        owner: 'edge',
        role: 'sleeve',
        name: 'Sleeve',
        fabric,
        use: { what: 'sleeve' },
        size: { shape: 'rectangle', width: cutWidth, length },
        count: countOf(two ? 2 : 1, two ? 'Wider than one rod carries: 2' : 'One along the top: 1'),
        joins: 'straight',
      }),
    ],
    lies: starts.map((x) => ({
      name: 'sleeve',
      outline: [
        { x, y: 0 },
        { x: x + reach, y: 0 },
        { x: x + reach, y: depth },
        { x, y: depth },
      ],
    })),
  };
}

/** Two squares folded corner to corner in the upper corners: a dowel rests in them. */
function corners({ width, depth, fabric, unit }: HangingWish): Hanging {
  const show = (v: number) => formatWorking(v, unit);
  const rod = width - shorter(unit);
  return {
    as: 'corners',
    lines: [
      { name: 'Corners, squares cut', figure: lengthOf(depth, 'As chosen'), after: 'square, two of them' },
      {
        name: 'Dowel',
        figure: lengthOf(rod, `${show(width)} wide − ${show(shorter(unit))} = ${formatExact(rod)}`),
        rest: 'long',
      },
    ],
    cuts: [
      cutOf({
        id: 'hanging-corners',
        owner: 'edge',
        role: 'sleeve',
        name: 'Hanging corners',
        fabric,
        use: { what: 'sleeve' },
        size: { shape: 'rectangle', width: lengthOf(depth), length: lengthOf(depth) },
        count: countOf(2, 'One in each upper corner: 2'),
        joins: 'never',
      }),
    ],
    lies: [0, width].map((x) => ({
      name: 'corner',
      outline: [
        { x, y: 0 },
        { x: x === 0 ? depth : width - depth, y: 0 },
        { x, y: depth },
      ],
    })),
  };
}
