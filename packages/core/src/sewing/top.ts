import { near, TOLERANCE } from '../length/tolerance.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { Point } from '../geometry/point.ts';
import type { Role } from '../piece/piece.ts';

/** A finished piece of the top, as it is sewn to its neighbours. */
interface SewnPiece {
  readonly id: string;
  readonly part: string;
  readonly role: Role;
  readonly outline: readonly Point[];
  readonly middle: Point;
}

/** Two pieces lie side by side along a stretch of one straight line. */
export interface Shared {
  /** Index of the piece to the left of the line's way, and to its right. */
  readonly left: number;
  readonly right: number;
  /** Which line. */
  readonly line: number;
  /** From where to where along it. */
  readonly from: number;
  readonly to: number;
}

/** A straight line that edges of pieces lie on. */
export interface Line {
  /** Unit vector of its way. */
  readonly way: Point;
  /** The point on it that lengths along it are counted from. */
  readonly at: Point;
}

/** The pieces of a top and how they lie beside one another. */
export interface Top {
  readonly pieces: readonly SewnPiece[];
  readonly index: ReadonlyMap<string, number>;
  readonly lines: readonly Line[];
  /** By piece: the stretches it shares with others. */
  readonly shared: readonly (readonly Shared[])[];
  /** Lengths that differ by no more are the same: a millionth of the top's longer side. */
  readonly tolerance: number;
}

/** Points as far apart as this share of a top's side are one point; figures of a plan are finer and coarser than that. */
const SAME = TOLERANCE;

/** The pieces of a layout, side by side: as planned, which is what is drawn. */
export function topOf(layout: Layout): Top {
  const pieces = layout.pieces.map(({ id, part, outline }): SewnPiece => ({
    id,
    part,
    role: layout.parts[part]!.role,
    outline,
    middle: boxMiddle(outline),
  }));
  const all = pieces.flatMap(({ outline }) => outline);
  const span = (axis: 'x' | 'y') => spread(all.map((p) => p[axis]));
  const tolerance = SAME * Math.max(span('x'), span('y'));
  const { lines, shared } = sideBySide(pieces, tolerance);
  return { pieces, index: new Map(pieces.map(({ id }, i) => [id, i])), lines, shared, tolerance };
}

const spread = (values: readonly number[]): number => {
  let [least, most] = [Infinity, -Infinity];
  for (const value of values) [least, most] = [Math.min(least, value), Math.max(most, value)];
  return most - least;
};

function boxMiddle(outline: readonly Point[]): Point {
  const middle = (axis: 'x' | 'y') => {
    const values = outline.map((p) => p[axis]);
    return (Math.min(...values) + Math.max(...values)) / 2;
  };
  return { x: middle('x'), y: middle('y') };
}

interface Edge {
  readonly piece: number;
  readonly from: number;
  readonly to: number;
  readonly offset: number;
  /** The piece lies to the left of the line's way. */
  readonly left: boolean;
}

/** Every stretch that two pieces share, line by line: edges are gathered by direction and by where they lie. */
function sideBySide(pieces: readonly SewnPiece[], tolerance: number): { lines: Line[]; shared: Shared[][] } {
  const directions: { way: Point; edges: Edge[] }[] = [];
  pieces.forEach(({ outline }, piece) => {
    const turn = Math.sign(signedArea(outline));
    outline.forEach((p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      const length = Math.hypot(q.x - p.x, q.y - p.y);
      if (length <= tolerance) return;
      const ahead = { x: (q.x - p.x) / length, y: (q.y - p.y) / length };
      // A line has one way, whichever way round a piece an edge runs.
      const flipped = ahead.x < -1e-7 || (Math.abs(ahead.x) <= 1e-7 && ahead.y < 0);
      const way = flipped ? { x: -ahead.x, y: -ahead.y } : ahead;
      let direction = directions.find((d) => near(cross(d.way, way), 0));
      if (!direction) directions.push((direction = { way, edges: [] }));
      const along = (point: Point) => point.x * direction.way.x + point.y * direction.way.y;
      const [a, b] = [along(p), along(q)];
      direction.edges.push({
        piece,
        from: Math.min(a, b),
        to: Math.max(a, b),
        offset: cross(direction.way, p),
        left: turn > 0 !== flipped,
      });
    });
  });
  const lines: Line[] = [];
  const shared: Shared[][] = pieces.map(() => []);
  for (const { way, edges } of directions) {
    edges.sort((a, b) => a.offset - b.offset);
    for (let at = 0; at < edges.length;) {
      let end = at + 1;
      while (end < edges.length && edges[end]!.offset - edges[end - 1]!.offset <= 2 * tolerance) end++;
      const own = edges.slice(at, end);
      const line = lines.length;
      const stretches = sharedAlong(own, line, 8 * tolerance);
      if (stretches.length > 0) {
        const offset = own[0]!.offset;
        lines.push({ way, at: { x: -way.y * offset, y: way.x * offset } });
        for (const stretch of stretches) {
          shared[stretch.left]!.push(stretch);
          shared[stretch.right]!.push(stretch);
        }
      }
      at = end;
    }
  }
  return { lines, shared };
}

/** Where edges on one line, some with their piece to its left and some to its right, run beside one another. */
function sharedAlong(edges: readonly Edge[], line: number, least: number): Shared[] {
  const byStart = (a: Edge, b: Edge) => a.from - b.from;
  const left = edges.filter((edge) => edge.left).sort(byStart);
  const right = edges.filter((edge) => !edge.left).sort(byStart);
  const found: Shared[] = [];
  let first = 0;
  for (const one of left) {
    while (first < right.length && right[first]!.to <= one.from + least) first++;
    for (let i = first; i < right.length && right[i]!.from < one.to - least; i++) {
      const other = right[i]!;
      const [from, to] = [Math.max(one.from, other.from), Math.min(one.to, other.to)];
      if (to - from > least) found.push({ left: one.piece, right: other.piece, line, from, to });
    }
  }
  return found;
}

const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;

function signedArea(outline: readonly Point[]): number {
  const [origin] = outline;
  return outline.reduce((sum, p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    return (
      sum + cross({ x: p.x - origin!.x, y: p.y - origin!.y }, { x: q.x - origin!.x, y: q.y - origin!.y })
    );
  }, 0);
}

/** A point so far along a line. */
export const pointAt = ({ way, at }: Line, along: number): Point => ({
  x: at.x + way.x * along,
  y: at.y + way.y * along,
});
