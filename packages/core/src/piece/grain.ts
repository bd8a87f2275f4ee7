import { centroidOf } from '../geometry/outline.ts';
import type { Grain } from './piece.ts';
import type { Point } from '../geometry/point.ts';
import { longer, more } from '../length/tolerance.ts';

/** A stroke along the straight grain of a piece, through its middle. */
export interface GrainMark {
  readonly from: Point;
  readonly to: Point;
}

const DIRECTIONS: Readonly<Record<Grain, readonly Point[]>> = {
  'square-to-edge': [
    { x: 1, y: 0 },
    { x: 0, y: 1 },
  ],
  diagonal: [
    { x: Math.SQRT1_2, y: Math.SQRT1_2 },
    { x: Math.SQRT1_2, y: -Math.SQRT1_2 },
  ],
};

/** A stroke takes this much of the room to either side of the middle. */
const SHARE = 0.6;

/**
 * Where to mark the straight grain on a finished, convex piece: along whichever of its two straight
 * grains the piece is longest, so that on a side triangle it lies along the quilt's edge.
 *
 * @param most the longest a stroke may be, in the plan's unit
 */
export function grainMark(outline: readonly Point[], grain: Grain, most: number): GrainMark {
  const middle = centroidOf(outline);
  const rooms = DIRECTIONS[grain].map((way) => ({ way, ...roomAlong(outline, middle, way) }));
  const { way, back, ahead } = rooms.reduce((a, b) => (longer(b.ahead + b.back, a.ahead + a.back) ? b : a));
  const reach = Math.min(SHARE * Math.min(back, ahead), most / 2);
  return {
    from: { x: middle.x - way.x * reach, y: middle.y - way.y * reach },
    to: { x: middle.x + way.x * reach, y: middle.y + way.y * reach },
  };
}

/** How far it is from a point inside to the outline, ahead and back along a direction. */
function roomAlong(outline: readonly Point[], at: Point, way: Point): { back: number; ahead: number } {
  let [back, ahead] = [Infinity, Infinity];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const side = { x: q.x - p.x, y: q.y - p.y };
    const turn = way.x * side.y - way.y * side.x;
    if (Math.abs(turn) < 1e-12) return;
    const reach = ((p.x - at.x) * side.y - (p.y - at.y) * side.x) / turn;
    const along = ((p.x - at.x) * way.y - (p.y - at.y) * way.x) / turn;
    if (more(0, along) || more(along, 1)) return;
    if (reach >= 0) ahead = Math.min(ahead, reach);
    else back = Math.min(back, -reach);
  });
  return { back, ahead };
}
