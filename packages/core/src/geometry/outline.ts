import { sum } from 'd3-array';
import { polygonArea, polygonCentroid, polygonLength } from 'd3-polygon';
import type { Point } from './point.ts';

/** Something with an outline: its corners in order round it, in the plan's unit. */
interface Outlined {
  readonly outline: readonly Point[];
}

/** The middle of a piece, in quilt units: the average of its corners, right for squares, oblongs and triangles alike. */
export const middleOf = ({ outline }: Outlined): Point => ({
  x: sum(outline, (p) => p.x) / outline.length,
  y: sum(outline, (p) => p.y) / outline.length,
});

/**
 * The way from the middle of a piece to its nearest side, in quilt units: the half of its shorter way across,
 * however it is turned.
 */
export function nearestSideOf(piece: Outlined): number {
  const { outline } = piece;
  const middle = middleOf(piece);
  return Math.min(
    ...outline.map((from, i) => {
      const to = outline[(i + 1) % outline.length]!;
      const side = { x: to.x - from.x, y: to.y - from.y };
      const cross = side.y * (middle.x - from.x) - side.x * (middle.y - from.y);
      return Math.abs(cross) / Math.hypot(side.x, side.y);
    }),
  );
}

/** Area inside an outline, in square units of the plan. */
export const areaOf = (outline: readonly Point[]): number => Math.abs(polygonArea(asPairs(outline)));

/** Length all round an outline, in the plan's unit. */
export const lengthRound = (outline: readonly Point[]): number => polygonLength(asPairs(outline));

/** Middle of the area inside an outline. */
export function centroidOf(outline: readonly Point[]): Point {
  const [x, y] = polygonCentroid(asPairs(outline));
  return { x, y };
}

/** Points as the polygon library knows them. */
const asPairs = (outline: readonly Point[]): [number, number][] => outline.map(({ x, y }) => [x, y]);
