import type { Point } from '@lattice/core';

/** A block's six lengths, in inches: across at its top, middle and bottom, down at its left, middle and right. */
export interface SixLengths {
  readonly width: { readonly top: number; readonly middle: number; readonly bottom: number };
  readonly height: { readonly left: number; readonly middle: number; readonly right: number };
}

const between = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);
const half = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** The six lengths of a block by its corners, clockwise from the top left; middles run from the middle of one edge to that of the opposite one. */
export function sixLengths([a, b, c, d]: readonly Point[]): SixLengths {
  return {
    width: { top: between(a!, b!), middle: between(half(a!, d!), half(b!, c!)), bottom: between(d!, c!) },
    height: { left: between(a!, d!), middle: between(half(a!, b!), half(d!, c!)), right: between(b!, c!) },
  };
}

/** The six in one row. */
export const inRow = ({ width, height }: SixLengths): readonly number[] => [
  width.top,
  width.middle,
  width.bottom,
  height.left,
  height.middle,
  height.right,
];

/** How far each corner is from square, in degrees, more where it is wider than a right angle. */
export function offSquareBy(corners: readonly Point[]): readonly number[] {
  return corners.map((p, k) => {
    const before = corners[(k + 3) % 4]!;
    const after = corners[(k + 1) % 4]!;
    const a = { x: before.x - p.x, y: before.y - p.y };
    const b = { x: after.x - p.x, y: after.y - p.y };
    const cos = (a.x * b.x + a.y * b.y) / (Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y));
    return (Math.acos(Math.min(1, Math.max(-1, cos))) * 180) / Math.PI - 90;
  });
}
