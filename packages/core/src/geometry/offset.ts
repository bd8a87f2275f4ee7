import { polygonArea } from 'd3-polygon';
import type { Point } from './point.ts';

/**
 * An outline with every side moved outwards by so much, its corners as sharp as they were; inwards where `by` is less
 * than nothing. For outlines that do not bend in, given in either direction.
 *
 * @param by in the outline's own unit
 * @returns null where nothing is left of it
 */
export function grownBy(outline: readonly Point[], by: number): Point[] | null {
  const turn = Math.sign(polygonArea(outline.map(({ x, y }) => [x, y])));
  const sides = outline.map((from, i) => {
    const to = outline[(i + 1) % outline.length]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
    const out = { x: -turn * along.y, y: turn * along.x };
    // All points of the moved side are so far out.
    return { along, out, far: from.x * out.x + from.y * out.y + by };
  });
  const corners = sides.map(({ out: b, far: farB }, i) => {
    const { out: a, far: farA } = sides.at(i - 1)!;
    const cross = a.x * b.y - a.y * b.x;
    return { x: (farA * b.y - farB * a.y) / cross, y: (farB * a.x - farA * b.x) / cross };
  });
  // A side that goes the other way now has run past its neighbours.
  const lasts = sides.every(({ along }, i) => {
    const [from, to] = [corners[i]!, corners[(i + 1) % corners.length]!];
    return (to.x - from.x) * along.x + (to.y - from.y) * along.y > 0;
  });
  return lasts ? corners : null;
}
