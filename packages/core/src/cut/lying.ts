import { sum } from 'd3-array';
import type { ClothDirection } from '../cloth/direction.ts';
import { centroidOf } from '../geometry/outline.ts';
import type { Grain, Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';

/**
 * How many triangles lie each way on the quilt: by the side their long edge is on, or by the corner their right
 * angle is in.
 */
export type Lying = readonly { readonly way: TriangleWay; readonly count: number }[];
type TriangleWay =
  'top' | 'bottom' | 'left' | 'right' | 'top-left' | 'top-right' | 'bottom-left' | 'bottom-right';

/**
 * The way a rectangle's length has to lie on a cloth whose print runs along the selvage and stands upright on the
 * quilt: along it for what is taller than wide. Of pieces on point the falling ones lie along, the rising across (rule CU-3).
 */
export function lengthLies(outline: readonly Point[], grain: Grain): 'across' | 'along' {
  if (grain === 'square-to-edge') return span(outline, 'y') > span(outline, 'x') ? 'along' : 'across';
  const longest = outline
    .map((p, i) => ({ p, q: outline[(i + 1) % outline.length]! }))
    .reduce((a, b) =>
      Math.hypot(b.q.x - b.p.x, b.q.y - b.p.y) > Math.hypot(a.q.x - a.p.x, a.q.y - a.p.y) ? b : a,
    );
  return (longest.q.x - longest.p.x) * (longest.q.y - longest.p.y) > 0 ? 'along' : 'across';
}

/** Counts triangles by the way they lie: where their middle is off the middle of the box round them. Trimming to a float keeps that. */
export function lyingOf(
  pieces: readonly Pick<Piece, 'outline'>[],
  shape: 'quarter-square' | 'half-square',
): Lying {
  const counts = new Map<TriangleWay, number>();
  for (const { outline } of pieces) {
    const way = wayOf(outline, shape);
    counts.set(way, (counts.get(way) ?? 0) + 1);
  }
  return [...counts].map(([way, count]) => ({ way, count }));
}

function wayOf(outline: readonly Point[], shape: 'quarter-square' | 'half-square'): TriangleWay {
  const middle = centroidOf(outline);
  const [dx, dy] = [middle.x - boxMiddle(outline, 'x'), middle.y - boxMiddle(outline, 'y')];
  if (shape === 'half-square') return `${dy < 0 ? 'top' : 'bottom'}-${dx < 0 ? 'left' : 'right'}`;
  if (Math.abs(dy) > Math.abs(dx)) return dy < 0 ? 'top' : 'bottom';
  return dx < 0 ? 'left' : 'right';
}

/**
 * Squares for triangles of a cloth with a direction (rule TR-3). A square cut twice gives one for each side of the
 * quilt; one cut once gives two opposite corners, and which two depends on the diagonal. A stripe may be turned
 * upside down, so opposite sides and opposite corners are one.
 */
export function squaresLying(
  shape: 'quarter-square' | 'half-square',
  lying: Lying,
  direction: Exclude<ClothDirection, 'none'>,
): { squares: number; how: string } {
  const of = (way: TriangleWay) => sum(lying, (l) => (l.way === way ? l.count : 0));
  const pair = (a: TriangleWay, b: TriangleWay) =>
    direction === 'stripe' ? Math.ceil((of(a) + of(b)) / 2) : Math.max(of(a), of(b));
  if (shape === 'quarter-square') {
    const squares = Math.max(pair('top', 'bottom'), pair('left', 'right'));
    return {
      squares,
      how: `Each square gives one triangle for the top, the bottom, the left and the right: ${of('top')}, ${of('bottom')}, ${of('left')} and ${of('right')} are wanted`,
    };
  }
  const [falling, rising] = [pair('top-right', 'bottom-left'), pair('top-left', 'bottom-right')];
  return {
    squares: falling + rising,
    how: `${rising} cut corner to corner rising to the right, for top left and bottom right, and ${falling} falling, for the other two corners`,
  };
}

const span = (outline: readonly Point[], axis: 'x' | 'y'): number =>
  Math.max(...outline.map((p) => p[axis])) - Math.min(...outline.map((p) => p[axis]));
const boxMiddle = (outline: readonly Point[], axis: 'x' | 'y'): number =>
  (Math.max(...outline.map((p) => p[axis])) + Math.min(...outline.map((p) => p[axis]))) / 2;
